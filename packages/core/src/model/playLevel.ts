import { z } from 'zod';

export const TOP_LEVELS = ['new', 'club', 'sharp', 'knows best'] as const;
export const BOTTOM_LEVELS = ['keeps to the plan', 'like the opponent'] as const;

/** How often the two of a round pick the better answer: top as one of a few kinds, bottom at the plan or as human as top. */
export const PlayLevelSchema = z.strictObject({
  top: z.enum(TOP_LEVELS).default('club'),
  bottom: z.enum(BOTTOM_LEVELS).default('keeps to the plan'),
});
export type PlayLevel = z.infer<typeof PlayLevelSchema>;

/** Whom a round is with where nothing else is said. */
export const CLUB_LEVEL: PlayLevel = { top: 'club', bottom: 'keeps to the plan' };
