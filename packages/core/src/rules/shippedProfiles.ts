import type { HazardTag } from '../model/hazards.ts';
import type { RulesProfile } from '../model/rulesProfile.ts';

const POINTS = { sweep: 2, 'top-guard': 2, 'knee-on-belly': 2, mount: 4, back: 4, pass: 3, takedown: 2 };
const NO_POINTS = { sweep: 0, 'top-guard': 0, 'knee-on-belly': 0, mount: 0, back: 0, pass: 0, takedown: 0 };

const ALWAYS: HazardTag[] = ['slam', 'scissor-takedown', 'spine-lock'];
const TWISTING: HazardTag[] = ['heel-hook', 'knee-reap'];
const LEG_LOCKS: HazardTag[] = ['knee-bar', 'toe-hold', 'calf-slicer'];
const NOVICE: HazardTag[] = [...ALWAYS, ...TWISTING, ...LEG_LOCKS, 'wrist-lock', 'neck-crank', 'jump'];
const NOTE = 'A neutral starting point to copy and edit.';

/** Neutral profiles to start from; sources in docs/SOURCES.md. Coaches edit copies. */
export const SHIPPED_PROFILES: readonly RulesProfile[] = [
  {
    id: 'youth-gi',
    name: 'Youth, gi',
    apparel: 'gi',
    ageGroup: 'youth',
    level: 'novice',
    points: POINTS,
    barred: [...NOVICE, 'straight-ankle', 'shoulder-lock'],
    refereeRisk: ['strangle'],
    note: NOTE,
  },
  {
    id: 'novice-gi',
    name: 'Novice, gi',
    apparel: 'gi',
    ageGroup: 'adult',
    level: 'novice',
    points: POINTS,
    barred: NOVICE,
    refereeRisk: ['straight-ankle'],
    note: NOTE,
  },
  {
    id: 'intermediate-gi',
    name: 'Intermediate, gi',
    apparel: 'gi',
    ageGroup: 'adult',
    level: 'intermediate',
    points: POINTS,
    barred: [...ALWAYS, ...TWISTING, ...LEG_LOCKS, 'neck-crank'],
    refereeRisk: ['jump'],
    note: NOTE,
  },
  {
    id: 'expert-gi',
    name: 'Expert, gi',
    apparel: 'gi',
    ageGroup: 'adult',
    level: 'expert',
    points: POINTS,
    barred: [...ALWAYS, ...TWISTING],
    refereeRisk: ['neck-crank'],
    note: NOTE,
  },
  {
    id: 'novice-no-gi',
    name: 'Novice, no-gi',
    apparel: 'no-gi',
    ageGroup: 'adult',
    level: 'novice',
    points: POINTS,
    barred: NOVICE,
    refereeRisk: ['straight-ankle'],
    note: NOTE,
  },
  {
    id: 'expert-no-gi',
    name: 'Expert, no-gi',
    apparel: 'no-gi',
    ageGroup: 'adult',
    level: 'expert',
    points: POINTS,
    barred: ALWAYS,
    refereeRisk: ['neck-crank'],
    note: NOTE,
  },
  {
    id: 'submission-only',
    name: 'Submission only, no-gi',
    apparel: 'no-gi',
    ageGroup: 'adult',
    level: 'expert',
    points: NO_POINTS,
    barred: ['slam', 'spine-lock'],
    refereeRisk: [],
    note: NOTE,
  },
  {
    id: 'club-room',
    name: 'Club room',
    apparel: 'gi',
    ageGroup: 'adult',
    level: 'novice',
    points: POINTS,
    barred: [...ALWAYS, ...TWISTING],
    refereeRisk: ['knee-bar', 'toe-hold', 'calf-slicer', 'neck-crank', 'wrist-lock', 'jump'],
    note: NOTE,
  },
];
