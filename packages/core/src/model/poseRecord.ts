import { z } from 'zod';

/** Of one body: where and how the pelvis is, and the joint angles. */
const UNKNOWNS = 42;
const three = z.tuple([z.number(), z.number(), z.number()]);
const BodyStateSchema = z.strictObject({
  place: three,
  turn: z.array(z.number()).length(9),
  angles: z.array(z.number()).length(UNKNOWNS),
});
/** A solved pose as it is kept: what `poseBodies` found, rounded, of the side that is solved. */
export const PoseRecordSchema = z.strictObject({
  energy: z.number(),
  bottom: BodyStateSchema,
  top: BodyStateSchema,
  /** How far off each hold is, and where it is held, metres; in the order of `posedHolds`. */
  holds: z.array(z.strictObject({ distance: z.number(), at: three.optional() })),
});
export type PoseRecord = z.infer<typeof PoseRecordSchema>;
