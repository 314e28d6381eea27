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
export const HazardTagSchema = z.enum(HAZARD_TAGS);
export type HazardTag = z.infer<typeof HazardTagSchema>;
