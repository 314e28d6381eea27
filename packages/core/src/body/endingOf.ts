import { asPosition, type Ending } from '../model/ending.ts';
import type { Exchange } from '../model/exchange.ts';
import type { Hold, Part } from '../model/hold.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import { isOutcome, type Landing, type Outcome } from '../model/outcome.ts';
import type { Position } from '../model/position.ts';
import { stepsOf } from '../model/seconds.ts';
import type { Facet } from '../model/signs.ts';
import { afterReaction } from './afterReaction.ts';
import { followSteps, type Moment } from './followSteps.ts';
import { sided } from './mirror.ts';

const LIMBS: Partial<Record<Part, 'arm' | 'leg'>> = {
  sleeve: 'arm',
  wrist: 'arm',
  forearm: 'arm',
  elbow: 'arm',
  'upper-arm': 'arm',
  armpit: 'arm',
  shoulder: 'arm',
  trousers: 'leg',
  hip: 'leg',
  thigh: 'leg',
  knee: 'leg',
  'knee-crook': 'leg',
  shin: 'leg',
  ankle: 'leg',
  heel: 'leg',
  toes: 'leg',
};

/** How much one hold speaks for another: nothing unless it is on the same limb; more for the same part, and the same way. */
function speaksFor({ target: a, action }: Hold, { target: b, action: wanted }: Hold): number {
  if (a.of !== b.of || a.side !== b.side || (LIMBS[a.part] ?? a.part) !== (LIMBS[b.part] ?? b.part)) return 0;
  return 1 + Number(a.part === b.part) + Number(action === wanted);
}

/** How much a moment speaks for an ending: by the limbs that are held, and by the signs that both have. */
function likeness(moment: Moment, ending: Position): number {
  const held = (has: readonly Hold[], wants: readonly Hold[]) =>
    wants.reduce((sum, wanted) => sum + Math.max(0, ...has.map((hold) => speaksFor(hold, wanted))), 0);
  const signs = Object.entries(ending.signs).filter(
    ([facet, value]) => moment.signs[facet as Facet] === value,
  ).length;
  return held(moment.holds, ending.holds) + held(moment.topHolds, ending.topHolds) + signs;
}

/**
 * The ending that an outcome is shown with: of those that name the move, else of those for all moves, the one that is most
 * like what is held and seen last, on the side of the limb that is held. Ties go to the one written first, as it is written.
 */
export function endingOf(
  { endings }: Pick<GuardMap, 'endings'>,
  outcome: Outcome,
  moment: Moment,
  move?: string,
): Position | undefined {
  const fitting = endings.filter((ending) => ending.outcome === outcome);
  const own = fitting.filter(({ moves }) => move !== undefined && moves.includes(move));
  const open = own.length > 0 ? own : fitting.filter(({ moves }) => moves.length === 0);
  let best: Position | undefined;
  let most = -1;
  for (const ending of open)
    for (const here of bothSides(ending)) {
      const alike = likeness(moment, here);
      if (alike > most) [best, most] = [here, alike];
    }
  return best;
}

const bothSides = (ending: Ending): Position[] => {
  const written = asPosition(ending);
  return [written, sided('position', written, true)];
};

/** What is held and seen after an exchange's reaction and the steps that happen; undefined where its move is not there. */
export function momentAfter(map: GuardMap, exchange: Exchange): Moment | undefined {
  const index = indexMap(map);
  const move = index.move.get(exchange.move);
  const from = move && index.position.get(move.position);
  if (!move || !from) return undefined;
  const { holds, topHolds, signs } = from;
  const met = exchange.reaction === 'none' ? undefined : index.reaction.get(exchange.reaction.id);
  const mirrored = exchange.reaction !== 'none' && exchange.reaction.mirrored;
  const start: Moment = { holds, topHolds, signs };
  const reacted = met ? afterReaction(start, sided('reaction', met, mirrored)).moment : start;
  return followSteps(reacted, stepsOf(move, exchange)).moment;
}

/**
 * Where an exchange leads, as it is to be drawn: the position on its side, or how the outcome looks.
 * @param mirrored the exchange is looked at on its other side
 * @returns undefined where the map does not say how it looks
 */
export function landingScene(
  map: GuardMap,
  exchange: Exchange,
  { to = exchange.to, mirrored = false }: { to?: Landing; mirrored?: boolean } = {},
): Position | undefined {
  if (!isOutcome(to)) {
    const there = indexMap(map).position.get(to.position);
    return there && sided('position', there, Boolean(to.mirrored) !== mirrored);
  }
  const moment = momentAfter(map, exchange);
  const ending = moment && endingOf(map, to.outcome, moment, exchange.move);
  return ending && sided('position', ending, mirrored);
}
