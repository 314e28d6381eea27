import { landingWords } from '../body/landingWords.ts';
import type { ClassPlan } from '../model/classPlan.ts';
import type { Exchange } from '../model/exchange.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Move } from '../model/move.ts';
import { reactionKey } from '../model/reaction.ts';
import { exchangeSeconds } from '../model/seconds.ts';
import { PRACTICE_HALFWAY, PRACTICE_LIFT } from '../weigh/drillWorth.ts';
import { allotReps, type RepItem } from './allotReps.ts';
import type { ChosenRepertoire } from './chooseRepertoire.ts';
import type { RepertoireLink } from './repertoire.ts';

/** Seconds a new move is shown. */
export const DEMO = 60;
/** A new move is worth beginning with so many reps a person, another reaction to it with so many. */
export const LEAST_REPS = 8;
const LEAST_MORE = 4;
/** Set-ups to each full finish. */
export const SETUPS = 3;

/** A part of the lesson that is practised: a move with the reaction that calls for it, or one more reaction to it. */
export interface Practice {
  exchange: Exchange;
  move: Move;
  /** The move itself; else one more reaction to it. */
  first: boolean;
  link: RepertoireLink;
}

/** The exchanges that are practised: of each move first the one that brings most, then those that end elsewhere. */
export function practicesOf(map: GuardMap, { steps, links }: ChosenRepertoire): Practice[] {
  const index = indexMap(map);
  return steps.flatMap(({ move: id, trigger }): Practice[] => {
    const move = index.move.get(id)!;
    const own = links
      .filter((link) => link.move === id)
      .map((link) => ({ link, exchange: index.exchange.get(link.exchange)! }))
      .sort((a, b) => b.link.share * b.exchange.chance - a.link.share * a.exchange.chance);
    const called =
      trigger && own.find(({ link }) => reactionKey(link.reaction) === reactionKey(trigger.reaction));
    const main = called ?? own[0];
    if (!main) {
      const [exchange] = index.exchangesOf(id);
      if (!exchange) return [];
      const link = { exchange: exchange.id, move: id, reaction: { id: '' }, share: 1, rate: 0, slope: 0 };
      return [{ exchange, move, first: true, link }];
    }
    const places = new Set([landingWords(map, main.exchange.to)]);
    const others = own.filter(({ exchange, link }) => {
      // The same ending against another reaction is the same technique.
      const place = landingWords(map, exchange.to);
      if (exchange === main.exchange || places.has(place) || link.slope <= 0) return false;
      places.add(place);
      return true;
    });
    return [
      { ...main, move, first: true },
      ...others.slice(0, 2).map((other) => ({ ...other, move, first: false })),
    ];
  });
}

/** Of the time for drills, what single moves and answers have; the rest is for what joins them. */
export const FOR_LINKS = 0.72;

/** Reps on each side without which a move is not worth beginning: set-ups have three to each finish. */
export const leastReps = (move: Move, sides: number): number =>
  Math.ceil((LEAST_REPS * (setsUp(move) ? SETUPS : 1)) / sides);

interface RepRoom {
  shifts: number;
  sides: number;
  reset: number;
  budget: number;
  room: Pick<ClassPlan, 'people' | 'changeOverSeconds'>;
}

/** Reps of every practice on each side: first the least of all new moves, then of more answers to them, then where the next one brings most. */
export function repsOf(
  practices: readonly Practice[],
  { shifts, sides, reset, budget, room }: RepRoom,
): Map<string, number> {
  const changes = (shifts - 1) * room.changeOverSeconds;
  const ordered = [...practices.filter(({ first }) => first), ...practices.filter(({ first }) => !first)];
  let left = budget;
  const items = ordered.flatMap(({ exchange, move, first, link }): RepItem[] => {
    const c = exchange.chance;
    const secondsPerRep = (exchangeSeconds(move, exchange) + reset) * shifts;
    const least = first ? leastReps(move, sides) : Math.ceil(LEAST_MORE / sides);
    const needed = least * secondsPerRep + changes + (first ? DEMO : DEMO / 2);
    if (needed > left) return [];
    left -= needed;
    return [
      {
        id: exchange.id,
        secondsPerRep,
        scale: Math.max(1e-6, link.slope * c * (1 - c) * PRACTICE_LIFT),
        // Three set-ups are as much as one rep of an answer.
        halfway: PRACTICE_HALFWAY * (setsUp(move) ? SETUPS : 1),
        least,
        most: Math.ceil((setsUp(move) ? 48 : 24) / sides),
      },
    ];
  });
  const overhead = items.reduce((sum, { least, secondsPerRep }) => sum + least * secondsPerRep, 0);
  return new Map(allotReps({ items, budget: overhead + left }).map(({ id, reps }) => [id, reps]));
}

/** Whether a move leads on and finishes nothing. */
export const setsUp = ({ kind }: Move): boolean => kind === 'connect' || kind === 'provoke';
