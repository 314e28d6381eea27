import { z } from 'zod';
import { HazardTagSchema } from './hazards.ts';
import { ApparelSchema, IdSchema, LevelSchema, NameSchema, TextSchema } from './primitives.ts';

const points = z.number().min(0).max(100);

/** What scores and what is barred. The event's current rule book decides; a profile only lets the map compute. */
export const RulesProfileSchema = z.strictObject({
  id: IdSchema,
  name: NameSchema,
  apparel: ApparelSchema,
  ageGroup: z.enum(['youth', 'adult']),
  level: LevelSchema,
  points: z.strictObject({
    sweep: points,
    'top-guard': points,
    'knee-on-belly': points,
    mount: points,
    back: points,
    pass: points,
    takedown: points,
  }),
  barred: z.array(HazardTagSchema).default([]),
  refereeRisk: z.array(HazardTagSchema).default([]),
  note: TextSchema.default(''),
});
export type RulesProfile = z.infer<typeof RulesProfileSchema>;
