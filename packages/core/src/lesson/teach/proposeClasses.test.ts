import { describe, expect, it } from 'vitest';
import { emptyMap } from '../../model/map.ts';
import { smallMap } from '../../test/smallMap.ts';
import { planLesson } from './planLesson.ts';
import { proposeClasses } from './proposeClasses.ts';

const map = smallMap();
const asked = { map, minutes: 60, people: 12, apparel: 'gi', level: 'expert', method: 'mixed' } as const;

describe('proposed classes', () => {
  it('start from different positions, and each can be made as it is told', () => {
    const proposals = proposeClasses(asked);
    expect(proposals.length).toBeGreaterThan(0);
    expect(new Set(proposals.map(({ root }) => root)).size).toBe(proposals.length);
    for (const { root, name, aim, why } of proposals) {
      const planned = planLesson({ ...asked, root });
      expect(planned.name).toBe(name);
      expect(JSON.stringify(planned.blocks[0])).toContain(aim);
      expect(why).toMatch(/^(Every round|\d+ rounds in 10|1 round in \d+) comes? through here\.$/);
    }
  });

  it('begin with what the log asks for: where most faults were seen and most answers fade', () => {
    const exchange = map.exchanges.at(-1)!;
    const move = map.moves.find(({ id }) => id === exchange.move)!;
    const [first] = proposeClasses({
      ...asked,
      returns: [{ exchange: exchange.id, why: 'it fades' }],
      faults: [{ of: 'move', id: move.id, name: move.name, fault: 'too late', falsePositive: false }],
    });
    expect(first).toMatchObject({
      from: 'log',
      root: move.position,
      why: 'You saw lately: “too late”. 1 answer from here fades.',
    });
  });

  it('go on from the class before, but never from a class that stands already', () => {
    const { root } = proposeClasses(asked)[0]!;
    const last = { name: 'Tuesday', root };
    expect(proposeClasses(asked, { last })[0]).toMatchObject({
      from: 'before',
      root,
      why: 'It goes on from “Tuesday”.',
    });
    expect(proposeClasses(asked, { without: [root] }).some((one) => one.root === root)).toBe(false);
    expect(proposeClasses(asked, { most: 1 })).toHaveLength(1);
  });

  it('say what is missing where no round can start', () => {
    expect(() => proposeClasses({ ...asked, map: emptyMap('empty', 'Empty') })).toThrow(/can start nowhere/);
  });
});
