import { z } from 'zod';
import { defineBlock, linesOf, played, playedShape } from './defineBlock.ts';

/** Rounds from a position, both doing what they can. */
export const rounds = defineBlock({
  kind: 'rounds',
  name: 'rounds',
  schema: z.strictObject({ kind: z.literal('rounds'), ...played }),
  shape: playedShape,
  lines: ({ start, bottom, top, ends, restart, note }) =>
    linesOf(['all', start], ['bottom', bottom], ['top', top], ['all', ends], ['all', restart], ['all', note]),
});
