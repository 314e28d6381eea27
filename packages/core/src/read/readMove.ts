import { followSteps, type Moment } from '../body/followSteps.ts';
import { freeContacts } from '../body/freeContacts.ts';
import { barePattern, translateHold } from '../body/translateApparel.ts';
import { conditionWords, holdWords, patternWords, type WordContext } from '../body/words.ts';
import { answerTo } from '../model/answerTo.ts';
import type { Contact } from '../model/contacts.ts';
import type { Exchange } from '../model/exchange.ts';
import type { HazardTag } from '../model/hazards.ts';
import { type Hold, type HoldPattern } from '../model/hold.ts';
import { joins, matchesPattern, sameHold } from '../model/holdPattern.ts';
import type { Move, Step } from '../model/move.ts';
import type { Fit } from '../model/notes.ts';
import type { Apparel } from '../model/primitives.ts';
import type { ReactionRef } from '../model/reaction.ts';
import type { RulesProfile } from '../model/rulesProfile.ts';
import { stepsOf } from '../model/seconds.ts';
import { conditionMet } from '../model/signs.ts';
import { legality } from '../rules/legality.ts';

/** Builds of the two players, as far as they are known, in the words of `Fit`. */
export interface Builds {
  own?: Partial<Record<Fit['about'], string>>;
  partner?: Partial<Record<Fit['about'], string>>;
}

export type Rank = 'ready' | 'one-change' | 'two-changes' | 'not-written' | 'not-from-here';

export interface Option {
  move: Move;
  rank: Rank;
  /** Needs that are met and needs that are not, in words. */
  met: string[];
  missing: string[];
  /** Bottom's holds the move leaves in place, lets go of and takes. */
  keeps: Hold[];
  releases: Hold[];
  takes: Hold[];
  /** Holds that were there already and to which another limb comes. */
  joined: Hold[];
  /** Holds marked to be kept that the move lets go of. */
  dropsKept: Hold[];
  /** Contacts with nothing in them once the move is done. */
  free: Contact[];
  holdChanges: number;
  legal: boolean;
  legalWhy?: string;
  hazards: HazardTag[];
  fit: { effect: number; why: string }[];
  /** The exchange written for this reaction; without one the map has no answer here. */
  exchange?: Exchange;
  chance?: number;
}

interface MoveQuestion {
  move: Move;
  exchanges: readonly Exchange[];
  /** Whether an exchange can be played in the apparel. */
  playable: (exchange: Exchange) => boolean;
  reaction: ReactionRef | 'none';
  moment: Moment;
  apparel: Apparel;
  available: boolean;
  unavailableWhy?: string;
  /** Holds that the position rests on and that are not there. */
  lacking: readonly Hold[];
  rules: RulesProfile | undefined;
  athlete: Builds | undefined;
  context: WordContext;
}

/** One move weighed against one moment; everything on the side the moment is on. */
export function readMove(question: MoveQuestion): Option {
  const { move, moment, context, apparel } = question;
  const exchange = answerTo(move, question.exchanges, question.reaction, question.playable);
  const met: string[] = [];
  const missing: string[] = [];
  if (!question.available)
    missing.push(question.unavailableWhy ?? 'this position is not played in this apparel');
  missing.push(...question.lacking.map((hold) => holdWords(hold, context)));
  for (const need of move.needs) {
    if (need.mark === 'must' || conditionMet(need, moment.signs)) {
      (conditionMet(need, moment.signs) ? met : missing).push(conditionWords(need));
    }
  }
  for (const pattern of move.needsHolds) {
    const wanted = apparel === 'no-gi' ? barePattern(pattern) : pattern;
    const held =
      wanted && holdsOf(moment, wanted).some((hold) => matchesPattern(hold, wanted, wanted.by ?? 'own'));
    (held ? met : missing).push(patternWords(wanted ?? pattern, context));
  }

  const steps = stepsIn(apparel, stepsOf(move, exchange));
  const change = holdChange(moment, steps.steps);
  for (const hold of steps.lost) missing.push(`${holdWords(hold, context)}: not without a jacket`);
  const law = legality(move.hazards, question.rules);
  return {
    move,
    rank: rankOf(missing.length, exchange !== undefined),
    met,
    missing,
    ...change,
    legal: law.legal,
    ...(law.why !== undefined && { legalWhy: law.why }),
    hazards: move.hazards,
    fit: fitOf([...move.fits], question.athlete),
    ...(exchange && { exchange, chance: exchange.chance }),
  };
}

/** What the map has no answer for is not ready, however little is missing. */
function rankOf(missing: number, written: boolean): Rank {
  if (missing === 0) return written ? 'ready' : 'not-written';
  if (missing === 1) return 'one-change';
  return missing === 2 ? 'two-changes' : 'not-from-here';
}

const holdsOf = (moment: Moment, pattern: HoldPattern): Hold[] =>
  pattern.by === 'top' ? moment.topHolds : moment.holds;

function stepsIn(apparel: Apparel, steps: readonly Step[]): { steps: readonly Step[]; lost: Hold[] } {
  if (apparel === 'gi') return { steps, lost: [] };
  const lost: Hold[] = [];
  const translated = steps.map((step) => ({
    ...step,
    take: step.take.flatMap((hold) => {
      const { hold: bare } = translateHold(hold);
      if (!bare) lost.push(hold);
      return bare ? [bare] : [];
    }),
  }));
  return { steps: translated, lost };
}

function holdChange(moment: Moment, steps: readonly Step[]) {
  const after = followSteps(moment, steps).moment.holds;
  const keeps = moment.holds.filter((hold) => after.some((other) => sameHold(hold, other)));
  const joined = after.filter((hold) => moment.holds.some((other) => joins(hold, other)));
  const releases = moment.holds.filter(
    (hold) => !keeps.includes(hold) && !joined.some((other) => joins(other, hold)),
  );
  const takes = after.filter(
    (hold) => !joined.includes(hold) && !moment.holds.some((other) => sameHold(hold, other)),
  );
  return {
    keeps,
    releases,
    takes,
    joined,
    dropsKept: releases.filter((hold) => hold.keep),
    free: freeContacts(after),
    holdChanges: releases.length + takes.length + joined.length,
  };
}

function fitOf(fits: readonly Fit[], athlete: Builds | undefined): { effect: number; why: string }[] {
  if (!athlete) return [];
  return fits
    .filter((fit) => athlete[fit.of]?.[fit.about] === fit.value)
    .map(({ effect, why }) => ({ effect, why }));
}
