import { z } from 'zod';
import { defineBlock, drilled, drilledLines, drilledShape } from './defineBlock.ts';

/** Exchanges in a row, the new one joined to what is known. */
export const chain = defineBlock({
  kind: 'chain',
  name: 'chain',
  schema: z.strictObject({ kind: z.literal('chain'), ...drilled }),
  shape: drilledShape,
  lines: (block) => drilledLines(block),
});
