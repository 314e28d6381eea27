import { z } from 'zod';
import { defineBlock, drilled, drilledLines, drilledShape } from './defineBlock.ts';

/** A review along the shortest walks through what was taught. */
export const flow = defineBlock({
  kind: 'flow',
  name: 'review flow',
  schema: z.strictObject({ kind: z.literal('flow'), ...drilled }),
  shape: drilledShape,
  lines: (block) => drilledLines(block),
});
