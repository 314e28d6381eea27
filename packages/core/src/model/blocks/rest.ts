import { z } from 'zod';
import { defineBlock, linesOf, timed, timedShape } from './defineBlock.ts';

/** Water. */
export const rest = defineBlock({
  kind: 'rest',
  name: 'rest',
  schema: z.strictObject({ kind: z.literal('rest'), ...timed }),
  shape: timedShape,
  lines: ({ note }) => linesOf(['all', note]),
});
