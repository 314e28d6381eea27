import { afterReaction } from '../body/afterReaction.ts';
import { followStep, type Moment } from '../body/followSteps.ts';
import { contactName, holdWords, joinWords, wordContext } from '../body/words.ts';
import type { Contact } from '../model/contacts.ts';
import type { Hold } from '../model/hold.ts';
import type { Move } from '../model/move.ts';
import type { Position } from '../model/position.ts';
import type { Reaction } from '../model/reaction.ts';
import { stepsOf } from '../model/seconds.ts';
import { type Repost, type TippingProfile, tippingProfile } from './tippingProfile.ts';
import { type TopSetup, topSetup } from './topSetup.ts';
import { weakestArc } from './weakestArc.ts';

export interface SweepCheck {
  setup: TopSetup;
  profile: TippingProfile;
  /** Where the sweep sends top; without one nothing is judged. */
  direction?: number;
  /** Whether that lies in the weakest arc: guarded ≤ least + 0.2·|least|. */
  weakest?: boolean;
  /** The directions of the weakest arc. */
  arc: number[];
  /** Posts of top on that side that are held, each with the hold that does it. */
  held: { post: Contact; hold: Hold }[];
  /** Posts that top could still make on that side. */
  free: Repost[];
  /** In words, for a coach. */
  verdict: string;
}

export interface SweepOptions {
  reaction?: Reaction | undefined;
  stature?: number;
  mass?: number;
}

/** The build that stands in where none is given: between the two tables. */
export const USUAL_BUILD = { stature: 1.72, mass: 75 } as const;

/**
 * Whether a sweep sends top where balance is weakest: the moment before the last step, with all it has taken, after the
 * reaction if there is one. Statics only: speed, timing and grip of the mat are not in it.
 */
export function checkSweep(position: Position, move: Move, options: SweepOptions = {}): SweepCheck {
  const moment = momentOfSweep(position, move, options.reaction);
  const setup = topSetup(moment);
  const { stature, mass } = { ...USUAL_BUILD, ...withoutUndefined(options) };
  const { direction } = move;
  const profile = profileOf(setup, stature, mass, direction);
  const arc = weakestArc(profile);
  const there = profile.directions.find(({ degrees }) => degrees === direction);
  const side = direction === undefined ? undefined : sideOf(direction);
  const held = setup.by.filter(({ post }) => !side || post.endsWith(side));
  const free = there?.reposts ?? [];
  return {
    setup,
    profile,
    ...(direction !== undefined && { direction, weakest: arc.has(direction) }),
    arc: [...arc].filter((degrees) => degrees % 15 === 0),
    held,
    free,
    verdict: there
      ? words(arc.has(there.degrees), held, free, position)
      : 'Say which way it sends top. Then the balance can be checked.',
  };
}

const worked = new Map<string, TippingProfile>();

/** The profile every 15°, and in the direction asked for. Many sweeps begin from the same set-up: it is kept for a while. */
function profileOf(setup: TopSetup, stature: number, mass: number, direction?: number): TippingProfile {
  const { by: _, ...posts } = setup;
  const key = JSON.stringify([posts, stature, mass]);
  const known = worked.get(key) ?? tippingProfile({ ...posts, stature, mass });
  if (worked.size >= 400) worked.clear();
  worked.set(key, known);
  if (direction === undefined || known.directions.some(({ degrees }) => degrees === direction)) return known;
  const there = tippingProfile({ ...posts, stature, mass, degrees: [direction] });
  return { ...known, directions: [...known.directions, ...there.directions] };
}

const withoutUndefined = ({ stature, mass }: SweepOptions) => ({
  ...(stature !== undefined && { stature }),
  ...(mass !== undefined && { mass }),
});

/** The side of top that a direction falls to; none straight ahead and straight back. */
function sideOf(direction: number): 'L' | 'R' | undefined {
  const right = Math.sin((direction * Math.PI) / 180);
  return right > 0.3 ? 'R' : right < -0.3 ? 'L' : undefined;
}

/** Holds and signs just before the last step lets go: whatever was taken on the way is there. */
export function momentOfSweep(position: Position, move: Move, reaction?: Reaction): Moment {
  const start: Moment = { holds: position.holds, topHolds: position.topHolds, signs: position.signs };
  let moment = reaction ? afterReaction(start, reaction).moment : start;
  const steps = stepsOf(move);
  for (const [i, step] of steps.entries())
    moment = followStep(moment, i === steps.length - 1 ? { ...step, release: [] } : step).moment;
  return moment;
}

function words(
  weakest: boolean,
  held: SweepCheck['held'],
  free: readonly Repost[],
  position: Position,
): string {
  const context = wordContext(position);
  const holding = [...new Set(held.map(({ hold }) => holdWords(hold, context)))];
  const already = holding.length > 0 ? ` Held already: ${joinWords(holding)}.` : '';
  const posts = joinWords(free.map(({ contact }) => `top's ${contactName(contact)}`));
  if (weakest && free.length === 0)
    return holding.length > 0 ? `Where top is weakest: ${joinWords(holding)}.` : 'Where top is weakest.';
  if (weakest) return `Top is weakest there, but ${posts} can still come down.${already}`;
  return free.length > 0
    ? `Top is weaker elsewhere: ${posts} can still come down on this side.${already}`
    : `Top is weaker elsewhere.${already}`;
}
