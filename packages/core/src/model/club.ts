import { z } from 'zod';
import { JointSchema } from './joint.ts';
import { BUILD_VALUES } from './notes.ts';
import { DaySchema, IdSchema, LevelSchema, NameSchema, TextSchema, TimeOfDaySchema } from './primitives.ts';
import { RulesProfileSchema } from './rulesProfile.ts';

export const CLUB_FORMAT = 'aftersquall-club';
const CLUB_VERSION = 1;

/** Someone who trains, under an alias. Mass in kg, stature in m. */
export const AthleteSchema = z.strictObject({
  id: IdSchema,
  alias: NameSchema,
  level: LevelSchema.default('novice'),
  ageGroup: z.enum(['youth', 'adult']).default('adult'),
  mass: z.number().min(15, 'at least 15 kg').max(300, 'at most 300 kg').optional(),
  stature: z.number().min(0.8, 'at least 0.8 m').max(2.5, 'at most 2.5 m').optional(),
  limbs: z.enum(BUILD_VALUES.limbs).optional(),
  flexibility: z.enum(BUILD_VALUES.flexibility).optional(),
  /** Joints that are not to be loaded, in either role. */
  spare: z.array(z.strictObject({ joint: JointSchema, side: z.enum(['L', 'R']).optional() })).default([]),
  preferredSide: z.enum(['L', 'R']).optional(),
  /** The rules profile that is gone by: one that ships, or one of the club's. */
  rules: IdSchema.optional(),
  note: TextSchema.default(''),
});
export type Athlete = z.infer<typeof AthleteSchema>;

export const GroupSchema = z.strictObject({
  id: IdSchema,
  name: NameSchema,
  athletes: z.array(IdSchema).default([]),
  note: TextSchema.default(''),
});
/** Athletes who train together. */
export type Group = z.infer<typeof GroupSchema>;

export const MatSchema = z.strictObject({
  id: IdSchema,
  name: NameSchema,
  /** Metres. */
  length: z.number().positive().max(100).optional(),
  width: z.number().positive().max(100).optional(),
});
export type Mat = z.infer<typeof MatSchema>;

export const TermSlotSchema = z.strictObject({
  id: IdSchema,
  /** 1 = Monday … 7 = Sunday. */
  weekday: z.number().int().min(1).max(7),
  start: TimeOfDaySchema,
  minutes: z.number().int().min(5).max(240),
  group: IdSchema.optional(),
  mat: IdSchema.optional(),
});
/** A time of the week at which a class is held. */
export type TermSlot = z.infer<typeof TermSlotSchema>;

export const HolidaySchema = z.strictObject({
  id: IdSchema,
  name: NameSchema,
  from: DaySchema,
  to: DaySchema,
});
/** Days without classes, the last included. */
export type Holiday = z.infer<typeof HolidaySchema>;

/** What is the club's and no map's: people, groups, rules, mats, times, holidays. */
export const ClubSchema = z.strictObject({
  format: z.literal(CLUB_FORMAT),
  version: z.literal(CLUB_VERSION),
  id: IdSchema,
  name: NameSchema,
  note: TextSchema.default(''),
  athletes: z.array(AthleteSchema).default([]),
  groups: z.array(GroupSchema).default([]),
  profiles: z.array(RulesProfileSchema).default([]),
  mats: z.array(MatSchema).default([]),
  slots: z.array(TermSlotSchema).default([]),
  holidays: z.array(HolidaySchema).default([]),
});
export type Club = z.infer<typeof ClubSchema>;

/** A club of which nothing is known yet. */
export function emptyClub(id: string, name: string): Club {
  return ClubSchema.parse({ format: CLUB_FORMAT, version: CLUB_VERSION, id, name });
}
