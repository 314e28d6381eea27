import { z } from 'zod';
import { HazardTagSchema } from './hazards.ts';
import { LoadsSchema } from './joint.ts';
import { AliasesSchema, CuesSchema, FaultSchema, NoteSchema } from './notes.ts';
import { IdSchema, NameSchema, SaidSchema, ShortSchema, TextSchema } from './primitives.ts';

export const MECHANIC_FORMS = ['solo', 'pair', 'line'] as const;

/** A movement that many moves are made of, taught once: alone, with a partner, or down the mat. */
export const MechanicSchema = z.strictObject({
  id: IdSchema,
  name: NameSchema,
  short: ShortSchema,
  aliases: AliasesSchema,
  form: z.enum(MECHANIC_FORMS),
  /** How much of it at a time: "8 a side". */
  dose: NoteSchema,
  how: TextSchema.min(1, 'say how it is done'),
  /** As it is said in class. */
  said: SaidSchema,
  /** What the partner does. */
  partner: NoteSchema,
  cues: CuesSchema,
  faults: z.array(FaultSchema).default([]),
  hazards: z.array(HazardTagSchema).default([]),
  /** The joints that doing it loads. */
  loads: LoadsSchema,
  note: NoteSchema,
});
export type Mechanic = z.infer<typeof MechanicSchema>;
