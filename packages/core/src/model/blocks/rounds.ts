import { z } from 'zod';
import { defineBlock, played, playedLines, playedShape } from './defineBlock.ts';

/** Rounds from a position, both doing what they can. */
export const rounds = defineBlock({
  kind: 'rounds',
  name: 'rounds',
  schema: z.strictObject({ kind: z.literal('rounds'), ...played }),
  shape: playedShape,
  lines: (block) => playedLines(block, ''),
});
