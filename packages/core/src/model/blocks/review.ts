import { z } from 'zod';
import { TextSchema } from '../primitives.ts';
import { defineBlock, linesOf, timed, timedShape } from './defineBlock.ts';

/** Said again at the end: what it was, questions, what to practise until next time. */
export const review = defineBlock({
  kind: 'review',
  name: 'recap',
  schema: z.strictObject({ kind: z.literal('review'), ...timed, text: TextSchema.default('') }),
  shape: timedShape,
  lines: ({ text, note }) =>
    linesOf(...text.split('\n').map((line) => ['all', line] as const), ['all', note]),
});
