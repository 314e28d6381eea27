import { z } from 'zod';
import { HoldSchema } from './hold.ts';
import { NoteSchema } from './notes.ts';
import { OutcomeSchema } from './outcome.ts';
import { PoseHintsSchema } from './poseHints.ts';
import { type Position, PositionSchema } from './position.ts';
import { IdSchema, NameSchema, ShortSchema } from './primitives.ts';
import { remember } from './remember.ts';
import { SignsSchema } from './signs.ts';

/** How an outcome looks: who holds what, on one side. Nothing is played from it. */
export const EndingSchema = z
  .strictObject({
    id: IdSchema,
    name: NameSchema,
    short: ShortSchema,
    outcome: OutcomeSchema,
    /** The moves that end just so; an ending without any is for all others. */
    moves: z.array(IdSchema).default([]),
    holds: z.array(HoldSchema).default([]),
    topHolds: z.array(HoldSchema).default([]),
    signs: SignsSchema.default({}),
    pose: PoseHintsSchema.optional(),
    note: NoteSchema,
  })
  .refine(({ holds, topHolds }) => holds.length + topHolds.length > 0, {
    path: ['holds'],
    message: 'an ending says who holds what: give at least one hold, of bottom or of top',
  });
export type Ending = z.infer<typeof EndingSchema>;

/** An ending as a position that leads nowhere: to be drawn and put in words as one. */
export const asPosition = remember(
  ({ outcome: _, moves: __, ...ending }: Ending): Position => PositionSchema.parse(ending),
);
