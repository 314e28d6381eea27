import { z } from 'zod';

export const JOINTS = ['neck', 'shoulder', 'elbow', 'wrist', 'back', 'knee', 'ankle'] as const;
export const JointSchema = z.enum(JOINTS);
/** A joint that is spared while it is sore. */
export type Joint = z.infer<typeof JointSchema>;

/** How much a joint carries in the one who does something: `hard` is nothing for a sore one, `some` is a caution. */
export const LOADS = ['some', 'hard'] as const;
/** The joints that something loads; empty: looked at, and nothing beyond ordinary mat work. */
export const LoadsSchema = z.partialRecord(JointSchema, z.enum(LOADS)).optional();
export type Loads = NonNullable<z.infer<typeof LoadsSchema>>;
