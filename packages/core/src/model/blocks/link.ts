import { z } from 'zod';
import { defineBlock, drilled, drilledShape, linesOf } from './defineBlock.ts';

/** One exchange, many reps. */
export const link = defineBlock({
  kind: 'link',
  name: 'answer',
  schema: z.strictObject({ kind: z.literal('link'), ...drilled }),
  shape: drilledShape,
  lines: ({ bottom, top, note }) => linesOf(['bottom', bottom], ['top', top], ['all', note]),
});
