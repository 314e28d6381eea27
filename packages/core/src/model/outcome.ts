import { z } from 'zod';
import { IdSchema } from './primitives.ts';

/** Where a round can leave the map. */
export const OUTCOMES = [
  'top-side',
  'top-mount',
  'top-knee-on-belly',
  'top-guard',
  'back',
  'submission',
  'neutral',
  'entangled',
  'recovered',
  'passed',
  'swept-back',
  'submitted',
] as const;
export const OutcomeSchema = z.enum(OUTCOMES);
export type Outcome = z.infer<typeof OutcomeSchema>;

/** Outcomes that only counting produces: the round ran out, or a dead end was reached. */
const COUNTED_OUTCOMES = ['time', 'stuck'] as const;
export type CountedOutcome = (typeof COUNTED_OUTCOMES)[number];

const PositionRefSchema = z.strictObject({ position: IdSchema, mirrored: z.boolean().optional() });

const OutcomeRefSchema = z.strictObject({ outcome: OutcomeSchema });
export type OutcomeRef = z.infer<typeof OutcomeRefSchema>;

/** Where an exchange, or waiting, leads: a position of the map (perhaps on the other side) or an outcome. */
export const LandingSchema = z.union([PositionRefSchema, OutcomeRefSchema], {
  error: 'give a position ({"position": id}) or an outcome ({"outcome": kind})',
});
export type Landing = z.infer<typeof LandingSchema>;

export const isOutcome = (landing: Landing): landing is OutcomeRef => 'outcome' in landing;
