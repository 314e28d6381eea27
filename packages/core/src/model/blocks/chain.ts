import { z } from 'zod';
import { defineBlock, drilled, drilledShape, linesOf } from './defineBlock.ts';

/** Exchanges in a row, the new one joined to what is known. */
export const chain = defineBlock({
  kind: 'chain',
  name: 'chain',
  schema: z.strictObject({ kind: z.literal('chain'), ...drilled }),
  shape: drilledShape,
  lines: ({ bottom, top, note }) => linesOf(['bottom', bottom], ['top', top], ['all', note]),
});
