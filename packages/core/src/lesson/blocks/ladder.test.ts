import { describe, expect, it } from 'vitest';
import { BlockSchema, type DrilledBlock } from '../../model/blocks/blockKinds.ts';
import { takeRung, withReps } from './ladder.ts';

const link = (exchange: string) => ({ exchange, move: 'Hip bump', seconds: 6 });
const ladder = BlockSchema.parse({
  kind: 'link',
  id: 'bump',
  title: 'Hip bump',
  links: [link('still'), link('called'), link('harder')],
  rungs: [
    { exchange: 'still', what: 'still', reps: 2 },
    { exchange: 'called', what: 'call', reps: 4 },
    { exchange: 'harder', what: 'counter', reps: 1 },
  ],
  reps: 7,
  sides: 1,
  secondsPerRep: 14,
  demoSeconds: 60,
  top: 'Kneel normally (2) · posture up (4) · yank the hand back (1).',
}) as DrilledBlock;

describe('a ladder of repetitions', () => {
  it('keeps its rungs when there are more or fewer, and the calls count along', () => {
    const more = withReps(ladder, 9);
    expect(more.rungs?.map(({ reps }) => reps)).toEqual([2, 6, 1]);
    expect(more.top).toBe('Kneel normally (2) · posture up (6) · yank the hand back (1).');
    expect(withReps(ladder, 5).rungs?.map(({ reps }) => reps)).toEqual([2, 2, 1]);
    expect(withReps(ladder, 3)).toMatchObject({ reps: 3, rungs: undefined });
  });

  it('counts along where one call is given in three ways', () => {
    const called: DrilledBlock = {
      ...ladder,
      rungs: [{ exchange: 'called', what: 'call', reps: 7 }],
      top: 'Posture up: slowly on “go” (2), when you feel the move (4), quickly (1).',
    };
    expect(withReps(called, 8).top).toBe(
      'Posture up: slowly on “go” (2), when you feel the move (5), quickly (1).',
    );
    expect(takeRung(called, 0)).toBeUndefined();
  });

  it('leaves words alone that do not count as it does', () => {
    expect(withReps({ ...ladder, top: 'Whatever they like.' }, 9).top).toBe('Whatever they like.');
  });

  it('is taken apart: each rung by itself, with its own call', () => {
    expect(takeRung(ladder, 1)).toMatchObject({
      reps: 4,
      links: [{ exchange: 'called' }],
      rungs: [{ exchange: 'called', reps: 4 }],
      top: 'Posture up (4).',
    });
    expect(takeRung(ladder, 3)).toBeUndefined();
    // A rung may have more than one call.
    const two: DrilledBlock = {
      ...ladder,
      rungs: [
        { exchange: 'still', what: 'still', reps: 6 },
        { exchange: 'harder', what: 'counter', reps: 1 },
      ],
    };
    expect(takeRung(two, 0)?.top).toBe('Kneel normally (2) · posture up (4).');
    expect(takeRung(two, 1)?.top).toBe('Yank the hand back (1).');
  });
});
