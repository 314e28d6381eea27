import { z } from 'zod';
import { defineBlock, played, playedLines, playedShape } from './defineBlock.ts';

/** A task with a score for both: where it starts, what each wants, what ends it. */
export const game = defineBlock({
  kind: 'game',
  name: 'game',
  schema: z.strictObject({ kind: z.literal('game'), ...played }),
  shape: playedShape,
  lines: (block) => playedLines(block),
});
