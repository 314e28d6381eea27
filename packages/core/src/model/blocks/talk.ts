import { z } from 'zod';
import { TextSchema } from '../primitives.ts';
import { defineBlock, linesOf, timed, timedShape } from './defineBlock.ts';

/** The coach speaks: what it is about, why, what hurts. */
export const talk = defineBlock({
  kind: 'talk',
  name: 'talk',
  schema: z.strictObject({ kind: z.literal('talk'), ...timed, text: TextSchema.default('') }),
  shape: timedShape,
  lines: ({ text, note }) =>
    linesOf(...text.split('\n').map((line) => ['all', line] as const), ['all', note]),
});
