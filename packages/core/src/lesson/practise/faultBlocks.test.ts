import { describe, expect, it } from 'vitest';
import type { Move } from '../../model/move.ts';
import type { SeenFault } from '../../model/notes.ts';
import { smallMap } from '../../test/smallMap.ts';
import { blockTime } from '../blocks/blockTime.ts';
import { planLesson } from '../teach/planLesson.ts';
import { faultBlocks } from './faultBlocks.ts';

const plain = smallMap();
const [move] = plain.moves;
const [position] = plain.positions;
const map = {
  ...plain,
  mechanics: [],
  positions: plain.positions.map((one) =>
    one.id === position!.id ? { ...one, faults: [{ id: 'flat', text: 'Lies flat' }] } : one,
  ),
  moves: plain.moves.map((one) =>
    one.id === move!.id
      ? {
          ...one,
          faults: [{ id: 'early', text: 'Pulls too early', mend: 'wait for the step' }],
          falsePositives: [{ text: 'It goes on a light partner', test: 'let them lean back' }],
        }
      : one,
  ),
};
const early: SeenFault = {
  of: 'move',
  id: move!.id,
  name: move!.name,
  fault: 'Pulls too early',
  falsePositive: false,
};
const flat: SeenFault = {
  ...early,
  of: 'position',
  id: position!.id,
  name: position!.name,
  fault: 'Lies flat',
};
const seems: SeenFault = { ...early, fault: 'It goes on a light partner', falsePositive: true };
const gone: SeenFault = { ...early, id: 'no-such-move' };
const room = { people: 12, changeOverSeconds: 10 };
const CLASS = {
  root: position!.id,
  minutes: 60,
  people: 12,
  apparel: 'gi',
  level: 'expert',
  method: 'mixed',
} as const;
const asked = { sides: 2, budget: 900, room, may: () => true } as const;

describe('the block of faults', () => {
  it('says of each what goes wrong and what mends it, and drills it once for each exchange', () => {
    const { blocks, taken, seconds } = faultBlocks(map, [early, flat, seems], asked);
    expect(blocks).toHaveLength(1);
    const [block] = blocks;
    expect(block!.note).toBe(
      `${move!.name}: Pulls too early. Instead: wait for the step.\n${position!.name}: Lies flat.\n` +
        'Only seems to work: It goes on a light partner. Test: let them lean back.',
    );
    expect(block).toMatchObject({ kind: 'flow', reps: 2, sides: 2 });
    const links = 'links' in block! ? block.links.map(({ exchange }) => exchange) : [];
    expect(new Set(links).size).toBe(links.length);
    expect(taken).toEqual([early, flat, seems]);
    expect(seconds).toBe(blockTime(block!, room).total);
  });

  it('leaves out what the map does not know any more, and is none where nothing is left', () => {
    expect(faultBlocks(map, [gone, early], asked).taken).toEqual([early]);
    expect(faultBlocks(map, [gone], asked)).toEqual({ blocks: [], taken: [], seconds: 0 });
    expect(faultBlocks(map, [early], { ...asked, budget: 30 }).blocks).toEqual([]);
  });

  it('is the first thing that a lesson drills, and its time is taken from the rest', () => {
    const request = {
      map,
      ...CLASS,
      faults: [early, gone],
    } as const;
    const planned = planLesson(request);
    const drilled = planned.blocks.filter((block) => 'links' in block);
    expect(drilled[0]!.id).toBe('faults');
    expect(planned.lesson.faults).toEqual([early]);
    expect(planned.total).toBeLessThanOrEqual(3600);
    const { faults: _, ...without } = request;
    expect(planLesson(without).blocks.some(({ id }) => id === 'faults')).toBe(false);
  });

  it('has nothing in it, and nothing comes back, that the class may not do', () => {
    // Barred for the young: the choke is made a heel hook.
    const [lock] = map.moves.filter(({ id }) => id === 'choke') as [Move];
    const twisting: Move = { ...lock, hazards: ['heel-hook'] };
    const choke: SeenFault = { ...early, id: lock.id, name: lock.name, fault: 'Elbows wide' };
    const request = {
      map: { ...map, moves: map.moves.map((one) => (one === lock ? twisting : one)) },
      ...CLASS,
    } as const;
    const faults = [choke];
    const returns = [{ exchange: 'choke-none', why: 'It fades.' }];
    expect(planLesson({ ...request, faults }).lesson).toMatchObject({ faults: [choke] });
    expect(planLesson({ ...request, returns }).lesson).toMatchObject({ returns: [{ move: lock.id }] });
    const { lesson, blocks } = planLesson({ ...request, faults, returns, youth: true });
    expect(lesson).toMatchObject({ faults: [], returns: [] });
    const drilled = blocks.flatMap((block) => ('links' in block ? block.links : []));
    expect(drilled.map(({ exchange }) => exchange)).not.toContain('choke-none');
  });
});
