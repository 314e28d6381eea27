import { z } from 'zod';

export const JOINTS = ['neck', 'shoulder', 'elbow', 'wrist', 'back', 'knee', 'ankle'] as const;
export const JointSchema = z.enum(JOINTS);
/** A joint that is spared while it is sore. */
export type Joint = z.infer<typeof JointSchema>;
