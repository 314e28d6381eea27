import { z } from 'zod';
import { defineBlock, linesOf, played, playedShape } from './defineBlock.ts';

/** A task with a score for both: where it starts, what each wants, what ends it. */
export const game = defineBlock({
  kind: 'game',
  name: 'game',
  schema: z.strictObject({ kind: z.literal('game'), ...played }),
  shape: playedShape,
  lines: ({ start, bottom, top, ends, restart, note }) =>
    linesOf(['all', start], ['bottom', bottom], ['top', top], ['all', ends], ['all', restart], ['all', note]),
});
