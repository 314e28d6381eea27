import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import type { Move } from '../../model/move.ts';
import { isOutcome } from '../../model/outcome.ts';
import type { Position } from '../../model/position.ts';
import type { Level } from '../../model/primitives.ts';
import { type ReactionRef, reactionKey } from '../../model/reaction.ts';
import { bestConnectedSet, type ConnectedItem } from './bestConnectedSet.ts';
import type { Repertoire, RepertoireLink } from './repertoire.ts';

export interface RepertoireChoice {
  root: string;
  /** Moves the group knows already: they connect for nothing. */
  known?: readonly string[] | undefined;
  /** At most so many new moves; by the level when absent: novice 3, intermediate 5, expert 7. */
  mostNew?: number | undefined;
  level: Level;
  /** Moves that have to be taught, and such as may not. */
  pinned?: readonly string[] | undefined;
  out?: readonly string[] | undefined;
  /** Seconds that teaching each move takes at least, and how many there are. */
  seconds: (move: string) => number;
  budget: number;
  /** So many sets are tried before a beam takes over. */
  limit?: number | undefined;
}

/** One move of a lesson, in the order in which it is taught. */
interface TaughtMove {
  move: string;
  /** Points from the root with it and all that was taught before, and what it adds to them. */
  value: number;
  adds: number;
  part: 'trunk' | 'fork';
  /** What calls for it: the reaction top gives most when it works, and how often. Undefined where top's answer does not matter. */
  trigger: { reaction: ReactionRef; share: number } | undefined;
}

export interface ChosenRepertoire {
  /** In the order in which they are taught. */
  steps: TaughtMove[];
  /** Points of a round from the root: with what is known, with the lesson, and with all the map knows. */
  before: number;
  value: number;
  withAll: number;
  /** What comes up in the lesson's play, the exchanges of the chosen moves alone. */
  links: RepertoireLink[];
  /** The best move that is left for another time, and what it would add. */
  next: { move: string; adds: number } | undefined;
  proved: boolean;
  tried: number;
}

const MOST_NEW: Record<Level, number> = { novice: 3, intermediate: 5, expert: 7 };
const LEVEL_ORDER: readonly Level[] = ['novice', 'intermediate', 'expert'];

/** Whether a move, by its own level or its position's, is above a level. */
export const isAbove = (
  move: Pick<Move, 'level'>,
  position: Pick<Position, 'level'>,
  level: Level,
): boolean => LEVEL_ORDER.indexOf(move.level ?? position.level) > LEVEL_ORDER.indexOf(level);
/** So many sets are tried: the answer is there while one looks. */
const LIMIT = 1200;
/** What a move of a higher level, and one with more to be taught before it, has to bring more, points: within 0.02 the simpler one is taken. */
const HIGHER = 0.02;
const PREREQUISITE = 0.004;
/** A set without a pinned move is worth less than one with it; to teach nothing less than anything that fits; what is over its time least. */
const NEVER = -1e6;
/** A reaction that top gives less often than this is no link of the lesson. */
const LEAST_SHARE = 0.05;
/** A gain below this is none. */
const MIN_GAIN_POINTS = 0.002;

/**
 * What to teach from a root: the connected set of new moves that a round from there is worth most with, none above the
 * level, none that does not fit the time, with what they require known or chosen; and the order to teach it in.
 * @param repertoire of the root, as `repertoireOf` makes it
 */
export function chooseRepertoire(
  map: GuardMap,
  repertoire: Repertoire,
  choice: RepertoireChoice,
): ChosenRepertoire {
  const index = indexMap(map);
  const { root, level, pinned = [], out = [], seconds, budget } = choice;
  const playable = new Set(repertoire.moves);
  const known = new Set((choice.known ?? []).filter((id) => playable.has(id)));
  const levelOf = (move: Move): Level => move.level ?? index.position.get(move.position)!.level;
  const above = (move: Move) => isAbove(move, index.position.get(move.position)!, level);
  const moves = repertoire.moves.map((id) => index.move.get(id)!);
  const candidates = moves.filter(
    (move) => !known.has(move.id) && !out.includes(move.id) && (pinned.includes(move.id) || !above(move)),
  );
  const leads = (move: Move): string[] =>
    index
      .exchangesOf(move.id)
      .flatMap(({ to, otherwise }) => [to, otherwise])
      .flatMap((landing) => (landing && !isOutcome(landing) ? [landing.position] : []));
  const reach = reachByKnown(
    moves.filter(({ id }) => known.has(id)),
    leads,
  );
  const taught = new Set([...known, ...candidates.map(({ id }) => id)]);
  const items = candidates.map((move): ConnectedItem => {
    const required = move.requires.flatMap((need) => ('move' in need ? [need.move] : []));
    return {
      id: move.id,
      from: reach(root).has(move.position) ? root : move.position,
      to: [...new Set(leads(move).flatMap((place) => [...reach(place)]))],
      needs: required.filter((id) => taught.has(id) && !known.has(id)),
    };
  });
  const cost = new Map(candidates.map((move) => [move.id, extraCost(move)]));
  const worth = (ids: ReadonlySet<string>): number => {
    let time = 0;
    let extra = 0;
    for (const id of ids) {
      time += seconds(id);
      extra += cost.get(id)!;
    }
    const missing = pinned.filter((id) => cost.has(id) && !ids.has(id)).length;
    if (ids.size === 0) return NEVER;
    if (time > budget) return NEVER * (1 + time / budget);
    return repertoire.value(new Set([...known, ...ids])) - extra + NEVER * missing * 1e-3;
  };
  const most = Math.max(choice.mostNew ?? MOST_NEW[level], Math.min(pinned.length, MOST_NEW.expert));
  const {
    ids: chosen,
    proved,
    tried,
  } = bestConnectedSet({ root, items, most, worth, limit: choice.limit ?? LIMIT });
  const steps = order(chosen);
  const all = new Set([...known, ...chosen]);
  const links = repertoire
    .links(all)
    .filter(({ move, share }) => chosen.includes(move) && share >= LEAST_SHARE);
  const value = repertoire.value(all);
  return {
    steps,
    before: repertoire.value(known),
    value,
    withAll: repertoire.value(playable),
    links,
    next: nextBest(),
    proved,
    tried,
  };

  function extraCost(move: Move): number {
    const higher = LEVEL_ORDER.indexOf(levelOf(move)) * HIGHER;
    return (higher + move.requires.length * PREREQUISITE) / 4;
  }

  /** Next comes, of those that can be done, the one that adds most, looking one move further where none adds anything. */
  function order(ids: readonly string[]): TaughtMove[] {
    const left = new Set(ids);
    const done = new Set(known);
    const steps: TaughtMove[] = [];
    let before = repertoire.value(done);
    let places = new Set(reach(root));
    let ended = false;
    while (left.size > 0) {
      const usable = [...left].filter((id) => places.has(index.move.get(id)!.position));
      const ready = usable.filter((id) =>
        index.move.get(id)!.requires.every((need) => !('move' in need) || !left.has(need.move)),
      );
      const open = ready.length > 0 ? ready : usable.length > 0 ? usable : [...left];
      const value = (more: readonly string[]) => repertoire.value(new Set([...done, ...more]));
      const rated = open.map((id) => ({ id, now: value([id]), later: 0 }));
      if (rated.every(({ now }) => now - before < MIN_GAIN_POINTS))
        for (const one of rated) {
          const follow = [...left].filter((id) => id !== one.id);
          one.later = Math.max(one.now, ...follow.map((id) => value([one.id, id])));
        }
      rated.sort((a, b) => b.later - a.later || b.now - a.now || (a.id < b.id ? -1 : 1));
      const { id, now } = rated[0]!;
      const move = index.move.get(id)!;
      left.delete(id);
      done.add(id);
      // The trunk is the way to the first good ending; what comes after that forks off it.
      const part = ended ? 'fork' : 'trunk';
      ended ||= index
        .exchangesOf(id)
        .some(({ to, chance }) => isOutcome(to) && repertoire.points[to.outcome] > 0 && chance > 0);
      steps.push({ move: id, value: now, adds: now - before, part, trigger: triggerOf(id, done) });
      before = now;
      for (const place of leads(move)) places = new Set([...places, ...reach(place)]);
    }
    return steps;
  }

  /** The reaction that calls for a move: of those it is met with, the one in which it brings most as often as it comes. */
  function triggerOf(move: string, done: ReadonlySet<string>): TaughtMove['trigger'] {
    const met = repertoire.links(done).filter((link) => link.move === move);
    const byReaction = new Map<string, { reaction: ReactionRef; share: number; worth: number }>();
    for (const { reaction, share, exchange } of met) {
      const { chance } = index.exchange.get(exchange)!;
      const key = reactionKey(reaction);
      byReaction.set(key, { reaction, share, worth: share * chance });
    }
    const [best] = [...byReaction.values()].sort((a, b) => b.worth - a.worth);
    return best && { reaction: best.reaction, share: best.share };
  }

  function nextBest(): ChosenRepertoire['next'] {
    const places = new Set([
      ...reach(root),
      ...chosen.flatMap((id) => leads(index.move.get(id)!).flatMap((p) => [...reach(p)])),
    ]);
    let best: ChosenRepertoire['next'];
    for (const { id, position } of candidates) {
      if (all.has(id) || !places.has(position)) continue;
      const adds = repertoire.value(new Set([...all, id])) - value;
      if (adds > MIN_GAIN_POINTS && (!best || adds > best.adds)) best = { move: id, adds };
    }
    return best;
  }
}

/** The places that known moves lead on to from a place, itself included. */
function reachByKnown(known: readonly Move[], leads: (move: Move) => string[]) {
  const next = new Map<string, string[]>();
  for (const move of known) next.set(move.position, [...(next.get(move.position) ?? []), ...leads(move)]);
  const made = new Map<string, ReadonlySet<string>>();
  return (from: string): ReadonlySet<string> => {
    const before = made.get(from);
    if (before) return before;
    const seen = new Set<string>();
    const open = [from];
    for (let place = open.pop(); place !== undefined; place = open.pop()) {
      if (seen.has(place)) continue;
      seen.add(place);
      open.push(...(next.get(place) ?? []));
    }
    made.set(from, seen);
    return seen;
  };
}
