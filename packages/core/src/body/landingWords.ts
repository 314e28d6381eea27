import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { isOutcome, type Landing, type Outcome } from '../model/outcome.ts';
import type { Position } from '../model/position.ts';
import type { ReactionRef } from '../model/reaction.ts';
import { isTurned, landingSide, type SideOf, sidedName } from './sidedName.ts';

export const OUTCOME_WORDS: Record<Outcome, string> = {
  'top-side': 'on top in side control',
  'top-mount': 'on top in mount',
  'top-knee-on-belly': 'knee on belly',
  'top-guard': 'on top in their guard',
  back: 'on the back',
  submission: 'submission',
  neutral: 'apart, or both standing',
  entangled: 'leg entanglement',
  recovered: 'guard recovered',
  passed: 'guard passed',
  'swept-back': 'swept back',
  submitted: 'submitted',
};

/** Whom an outcome is good for. */
export const OUTCOME_GOOD: Record<Outcome, 'own' | 'top' | 'even'> = {
  'top-side': 'own',
  'top-mount': 'own',
  'top-knee-on-belly': 'own',
  'top-guard': 'own',
  back: 'own',
  submission: 'own',
  neutral: 'even',
  entangled: 'even',
  recovered: 'even',
  passed: 'top',
  'swept-back': 'top',
  submitted: 'top',
};

/**
 * Where a landing is, in words.
 * @param at from where: its side is near or far from there, and only the other one where nobody says
 */
export function landingWords(map: GuardMap, landing: Landing, at?: SideOf): string {
  return landingText(map, landing, at, ({ name }) => name);
}

/** Where a landing is, as a coach calls it. */
export function landingShort(map: GuardMap, landing: Landing, at?: SideOf): string {
  return landingText(map, landing, at, shortName);
}

function landingText(
  map: GuardMap,
  landing: Landing,
  at: SideOf | undefined,
  nameOf: (position: Position) => string,
): string {
  if (isOutcome(landing)) return OUTCOME_WORDS[landing.outcome];
  const position = indexMap(map).position.get(landing.position);
  if (!position) return landing.position;
  return landing.mirrored ? `${nameOf(position)}, ${landingSide(position, at)}` : nameOf(position);
}

/** What a coach calls something across the mat; its name where nobody said. */
export const shortName = ({ short, name }: { short?: string | undefined; name: string }): string =>
  short ?? name;

/** A position as most rooms call it: its usual name, else what the coach calls it, else its name. */
export const placeName = ({
  usual,
  short,
  name,
}: {
  usual?: string | undefined;
  short?: string | undefined;
  name: string;
}): string => usual ?? short ?? name;

/** A reaction as a coach calls it, on its side; `at` says where it happens. */
export function reactionShort(map: GuardMap, { id, mirrored }: ReactionRef, at?: SideOf): string {
  const reaction = indexMap(map).reaction.get(id);
  if (!reaction?.short) return reactionName(map, { id, mirrored }, at);
  if (mirrored && isTurned(mirrored, at) && reaction.shortMirrored) return reaction.shortMirrored;
  return sidedName(reaction.short, reaction, mirrored, at);
}

/** A reaction of the map by its name, with the limb of the side it happens on; `at` says where. */
export function reactionName(map: GuardMap, { id, mirrored }: ReactionRef, at?: SideOf): string {
  const reaction = indexMap(map).reaction.get(id);
  return reaction ? sidedName(reaction.name, reaction, mirrored, at) : id;
}
