import { z } from 'zod';
import { defineBlock, drilled, drilledShape, linesOf } from './defineBlock.ts';

/** A review along the shortest walks through what was taught. */
export const flow = defineBlock({
  kind: 'flow',
  name: 'review flow',
  schema: z.strictObject({ kind: z.literal('flow'), ...drilled }),
  shape: drilledShape,
  lines: ({ bottom, top, note }) => linesOf(['bottom', bottom], ['top', top], ['all', note]),
});
