import { z } from 'zod';

export const HAZARD_TAGS = [
  'heel-hook',
  'knee-reap',
  'knee-bar',
  'toe-hold',
  'calf-slicer',
  'straight-ankle',
  'wrist-lock',
  'shoulder-lock',
  'elbow-lock',
  'neck-crank',
  'spine-lock',
  'strangle',
  'scissor-takedown',
  'slam',
  'jump',
] as const;
/** Hazards that are top's act: a move that invites them warns, and the rules bar them for top, never the move. */
export const TOPS_ACTS: readonly (typeof HAZARD_TAGS)[number][] = ['slam', 'jump'];
export const HazardTagSchema = z.enum(HAZARD_TAGS);
export type HazardTag = z.infer<typeof HazardTagSchema>;
