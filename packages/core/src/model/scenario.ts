import { z } from 'zod';
import { HoldClassSchema } from './hold.ts';
import { JointSchema } from './joint.ts';
import { OutcomeSchema } from './outcome.ts';
import { PlayLevelSchema } from './playLevel.ts';
import {
  ApparelSchema,
  ChanceSchema,
  ContinuationSchema,
  IdSchema,
  NameSchema,
  TextSchema,
} from './primitives.ts';

/** A what-if kept under a name: what is forbidden, what is worth how much, which chances are changed. */
export const ScenarioSchema = z.strictObject({
  id: IdSchema,
  name: NameSchema,
  note: TextSchema.default(''),
  rules: IdSchema.optional(),
  apparel: ApparelSchema.optional(),
  continuation: ContinuationSchema.optional(),
  rest: z.number().min(-100).max(100).optional(),
  submissionWorth: z.number().min(0).max(100).optional(),
  outcomeWorth: z.partialRecord(OutcomeSchema, z.number().min(-100).max(100)).default({}),
  forbiddenMoves: z.array(IdSchema).default([]),
  forbiddenHolds: z.array(HoldClassSchema).default([]),
  forbiddenReactions: z.array(IdSchema).default([]),
  sparedJoints: z.array(JointSchema).default([]),
  chances: z.array(z.strictObject({ exchange: IdSchema, chance: ChanceSchema })).default([]),
  opponent: IdSchema.optional(),
  trust: z.number().min(0).max(1).optional(),
  /** How human the two are; at club level when absent. */
  level: PlayLevelSchema.optional(),
});
export type Scenario = z.infer<typeof ScenarioSchema>;

/** What a scenario changes, its name left aside. */
export const WhatIfSchema = ScenarioSchema.omit({ id: true, name: true, note: true });
export type WhatIf = z.infer<typeof WhatIfSchema>;
