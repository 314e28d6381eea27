import { describe, expect, it } from 'vitest';
import { isOutcome } from '../../model/outcome.ts';
import { smallMap } from '../../test/smallMap.ts';
import type { LessonRequest } from '../choose/lessonRequest.ts';
import { planLesson } from './planLesson.ts';

const small = smallMap();
const positionOf = (exchange: string) =>
  small.moves.find(({ id }) => id === small.exchanges.find((one) => one.id === exchange)!.move)!.position;
/** Two answers of which the second begins where the first leads. */
const [first, second] = small.exchanges.flatMap((one) => {
  const { to } = one;
  if (isOutcome(to) || to.mirrored || to.position === positionOf(one.id)) return [];
  const next = small.exchanges.find(
    (other) => other.move !== one.move && positionOf(other.id) === to.position,
  );
  return next ? [[one, next] as const] : [];
})[0]!;
const asked: LessonRequest = {
  map: small,
  root: '',
  minutes: 60,
  people: 12,
  apparel: 'gi',
  level: 'expert',
  method: 'mixed',
};
const drills = (chain: LessonRequest['chain'], changes: Partial<LessonRequest> = {}) => {
  const planned = planLesson({ ...asked, ...changes, chain });
  const linked = planned.blocks.flatMap((block) => ('links' in block ? [block] : []));
  return {
    planned,
    linked,
    order: linked.filter(({ kind }) => kind === 'link').map(({ links }) => links[0]!.exchange),
  };
};

describe('a class along a chain', () => {
  const turns = [first.id, second.id];

  it('teaches each of its turns in order and then the whole of it, under its name', () => {
    const { planned, linked, order } = drills({ name: 'Over the top', turns });
    expect(planned.name).toBe('Over the top');
    expect(planned.lesson.root).toBe(positionOf(first.id));
    expect(planned.lesson.chain?.turns).toEqual(turns);
    expect(order.slice(0, 2)).toEqual(turns);
    const whole = linked.find(({ kind }) => kind === 'chain')!;
    expect(whole.title).toBe('The whole way');
    expect(whole.links.slice(0, 2).map(({ exchange }) => exchange)).toEqual(turns);
    expect(linked.some(({ kind }) => kind === 'fork')).toBe(false);
  });

  it('begins at its end where that is asked for, each block going on to the end', () => {
    const { linked, order } = drills({ name: 'Over the top', turns, backward: true });
    expect(order.indexOf(second.id)).toBeLessThan(order.indexOf(first.id));
    const before = linked.find(({ links }) => links[0]!.exchange === first.id)!;
    expect(before.start).toMatch(/Last two: go on to the end\.$/);
  });

  it('goes through what fails: the block ends in the place where failing leads', () => {
    const missed = { ...first, otherwise: first.to, to: { outcome: 'top-side' as const } };
    const map = { ...small, exchanges: small.exchanges.map((one) => (one.id === first.id ? missed : one)) };
    const { linked } = drills(
      { name: 'Missed', turns: [{ exchange: first.id, fails: true }, second.id] },
      { map },
    );
    const block = linked.find(({ links }) => links[0]!.exchange === first.id)!;
    expect(block.start).toMatch(/The last one fails: you are in .*, go on from there\.$/);
    const whole = linked.find(({ kind }) => kind === 'chain')!;
    expect(whole.links[0]).toMatchObject({ exchange: first.id, fails: true });
    expect(whole.bottom).toMatch(/; it fails, you are in /);
  });

  it('says what to do where a turn is gone, is not for the class, or where it only waits', () => {
    const chain = (list: NonNullable<LessonRequest['chain']>['turns']) => () =>
      drills({ name: 'X', turns: list });
    expect(chain(['gone'])).toThrow(/Keep the chain again in Read/);
    expect(chain([first.id, 'gone'])).toThrow(/Keep the chain again in Read/);
    expect(chain([{ waits: positionOf(first.id) }])).toThrow(/only waits/);
    expect(() => drills({ name: 'X', turns }, { out: [second.move] })).toThrow(/is not for this class/);
  });
});
