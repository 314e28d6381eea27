import { z } from 'zod';

/** The parts of a body that can hold or be held with; bottom and top have the same ones. */
export const CONTACTS = [
  'handL',
  'handR',
  'armL',
  'armR',
  'footL',
  'footR',
  'legL',
  'legR',
  'head',
  'hips',
  'back',
  'chest',
] as const;

export const ContactSchema = z.enum(CONTACTS);
export type Contact = z.infer<typeof ContactSchema>;
