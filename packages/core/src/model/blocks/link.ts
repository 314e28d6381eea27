import { z } from 'zod';
import { defineBlock, drilled, drilledLines, drilledShape } from './defineBlock.ts';

/** One exchange, many reps. */
export const link = defineBlock({
  kind: 'link',
  name: 'answer',
  schema: z.strictObject({ kind: z.literal('link'), ...drilled }),
  shape: drilledShape,
  lines: (block) => drilledLines(block),
});
