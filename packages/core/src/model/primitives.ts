import { z } from 'zod';

/** Letters, digits, hyphen and underscore: safe in a URL, in a file name and in the line notation. */
export const IdSchema = z
  .string()
  .regex(/^[A-Za-z0-9][A-Za-z0-9_-]*$/, 'use letters, digits, - and _ only, starting with a letter or digit')
  .max(80, 'at most 80 characters');

/** The most letters of a name, and of a text such as a note. */
export const NAME_LIMIT = 120;
export const SHORT_LIMIT = 40;
export const TEXT_LIMIT = 4000;
export const NameSchema = z
  .string()
  .trim()
  .min(1, 'give it a name')
  .max(NAME_LIMIT, `at most ${NAME_LIMIT} characters`);
/** What a coach calls it across the mat: shown where there is little room, or where somebody reads from afar. */
export const ShortSchema = z
  .string()
  .trim()
  .min(1, 'say what you call it')
  .max(SHORT_LIMIT, `at most ${SHORT_LIMIT} characters`)
  .optional();
/** A step or a movement as it is said in class, whole. */
export const SAID_LIMIT = 200;
export const SaidSchema = z
  .string()
  .trim()
  .min(1, 'say it, or leave it out')
  .max(SAID_LIMIT, `at most ${SAID_LIMIT} characters`)
  .regex(/^[^\n[\]]*$/, 'one line without square brackets')
  .optional();
export const TextSchema = z.string().max(TEXT_LIMIT, `at most ${TEXT_LIMIT} characters`);
export const SecondsSchema = z.number().min(0, 'seconds cannot be negative').max(3600, 'at most an hour');
export const ChanceSchema = z
  .number()
  .min(0, 'a chance lies between 0 and 1')
  .max(1, 'a chance lies between 0 and 1');

/** Chance that a round goes on for another round's pace. */
export const ContinuationSchema = z
  .number()
  .gt(0, 'more than 0: a round has to be able to go on')
  .lt(1, 'less than 1: a round has to be able to end');

export const ApparelSchema = z.enum(['gi', 'no-gi']);
export type Apparel = z.infer<typeof ApparelSchema>;

/** What a position can be played in. */
export const WearSchema = z.enum(['gi', 'no-gi', 'both']);

export const LevelSchema = z.enum(['novice', 'intermediate', 'expert']);
export type Level = z.infer<typeof LevelSchema>;

/** Year-month-day. */
export const DaySchema = z.iso.date('a day such as 2026-11-26');
/** Hour and minute, by the club's own clock. */
export const TimeOfDaySchema = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'a time of day such as 18:30');

/** The held player's own left and right, or the middle of the body. */
export const SideSchema = z.enum(['L', 'R', 'C']);
export type Side = z.infer<typeof SideSchema>;
