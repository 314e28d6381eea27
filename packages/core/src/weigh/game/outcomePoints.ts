import { OUTCOMES, type Outcome } from '../../model/outcome.ts';
import type { RulesProfile } from '../../model/rulesProfile.ts';

export type OutcomePoints = Record<Outcome, number>;

export interface Worths {
  rules?: RulesProfile | undefined;
  /** What a submission is worth beside points. */
  submissionWorth: number;
  /** Added to each outcome; without it a submission-only map values every sweep at nothing. */
  outcomeWorth?: Partial<Record<Outcome, number>> | undefined;
}

/** Points when nobody has chosen a profile: a neutral scale like the shipped ones. */
const NEUTRAL = { sweep: 2, 'top-guard': 2, 'knee-on-belly': 2, mount: 4, back: 4, pass: 3, takedown: 2 };

/** What every outcome is worth to bottom, in points: a sweep that lands in mount scores for both. */
export function outcomePoints({ rules, submissionWorth, outcomeWorth = {} }: Worths): OutcomePoints {
  const points = rules?.points ?? NEUTRAL;
  const base: OutcomePoints = {
    'top-side': points.sweep,
    'top-guard': points['top-guard'] > 0 ? points.sweep : 0,
    'top-mount': points.sweep + points.mount,
    'top-knee-on-belly': points.sweep + points['knee-on-belly'],
    back: points.back,
    submission: submissionWorth,
    neutral: 0,
    entangled: 0,
    recovered: 0,
    passed: -points.pass,
    'swept-back': -points.sweep,
    submitted: -submissionWorth,
  };
  return Object.fromEntries(
    OUTCOMES.map((outcome) => [outcome, base[outcome] + (outcomeWorth[outcome] ?? 0)]),
  ) as OutcomePoints;
}
