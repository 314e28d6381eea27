import { z } from 'zod';
import { HazardTagSchema } from '../hazards.ts';
import { MECHANIC_FORMS } from '../mechanic.ts';
import { IdSchema, TextSchema } from '../primitives.ts';
import { defineBlock, linesOf, timed, timedShape } from './defineBlock.ts';

/** A mechanic by itself: alone, with a partner, or down the mat. */
export const move = defineBlock({
  kind: 'move',
  name: 'movement',
  schema: z.strictObject({
    kind: z.literal('move'),
    ...timed,
    mechanic: IdSchema.optional(),
    form: z.enum(MECHANIC_FORMS).default('solo'),
    dose: TextSchema.default(''),
    how: TextSchema.default(''),
    partner: TextSchema.default(''),
    hazards: z.array(HazardTagSchema).default([]),
  }),
  shape: timedShape,
  lines: ({ dose, how, partner, note }) =>
    linesOf(
      ['all', /[.!?]$/.test(how) && dose ? `${how} Do ${dose}.` : [how, dose].filter(Boolean).join('; ')],
      ['top', partner],
      ['all', note],
    ).map((line) => (line.who === 'top' ? { ...line, label: 'Partner' } : line)),
});
