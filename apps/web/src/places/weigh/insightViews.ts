/** What the right column of Weigh can show. */
export const INSIGHT_VIEWS = ['holes', 'dilemmas', 'what-if', 'opponent', 'rests', 'ends', 'chains'] as const;
export type InsightView = (typeof INSIGHT_VIEWS)[number];
