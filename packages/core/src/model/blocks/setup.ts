import { z } from 'zod';
import { defineBlock, drilled, drilledLines, drilledShape } from './defineBlock.ts';

/** Connect and provoke only, then begin again. */
export const setup = defineBlock({
  kind: 'setup',
  name: 'set-ups',
  schema: z.strictObject({ kind: z.literal('setup'), ...drilled }),
  shape: drilledShape,
  lines: (block) => drilledLines(block),
});
