import { type Arc, shortestPaths } from '../../game/shortestPaths.ts';
import { isOutcome, type Landing, OUTCOMES, type Outcome } from '../../model/outcome.ts';
import { landingWorth } from '../game/mapGame.ts';
import { WAITING } from '../game/plays.ts';
import { BAD_OUTCOMES } from './bestChains.ts';
import type { LevelPlay } from './playMap.ts';

/** A way from a position to an outcome: moves, each with the chance that it leads on to where the way goes. */
export interface Way {
  from: string;
  to: Outcome;
  points: number;
  /** Chance that all of it comes off, bottom's moves taken as given. */
  chance: number;
  /** Chance of being passed, swept or submitted on the way. */
  countered: number;
  /** Of each move: the chance that it leads on, whatever top does, and the exchange by which it does so most. */
  steps: { move: string; chance: number; exchange: string }[];
}

interface Step {
  from: string;
  move: string;
  to: Landing;
  chance: number;
  countered: number;
  exchange: string;
  most: number;
}

const keyOf = (landing: Landing): string =>
  isOutcome(landing) ? `outcome:${landing.outcome}` : landing.position;

/**
 * The way that brings most, its chance × what it ends in, from any of some positions. Top answers as it is expected to;
 * a position comes once at most.
 */
export function bestWay(play: LevelPlay, from: readonly string[]): Way | undefined {
  const steps = stepsOf(play);
  const arcs = [...steps].map(
    ([id, step]): Arc => ({
      id,
      from: step.from,
      to: keyOf(step.to),
      cost: Math.max(0, -Math.log(step.chance)),
    }),
  );
  let best: Way | undefined;
  for (const start of from)
    for (const to of OUTCOMES) {
      const points = landingWorth(play.game, play.values, { outcome: to });
      if (points <= 0) continue;
      const [path] = shortestPaths({ arcs, from: start, to: keyOf({ outcome: to }), count: 1 });
      if (!path) continue;
      const way = wayOf(
        path.arcs.map((id) => steps.get(id)!),
        { from: start, to, points },
      );
      if (!best || way.chance * points > best.chance * best.points) best = way;
    }
  return best;
}

function wayOf(steps: readonly Step[], ends: Pick<Way, 'from' | 'to' | 'points'>): Way {
  let chance = 1;
  let countered = 0;
  for (const step of steps) {
    countered += chance * step.countered;
    chance *= step.chance;
  }
  return {
    ...ends,
    chance,
    countered,
    steps: steps.map((step) => ({ move: step.move, chance: step.chance, exchange: step.exchange })),
  };
}

/** Where each move leads, whatever top does about it: as often as top does that, and it works. */
function stepsOf({ game, plays }: LevelPlay): Map<string, Step> {
  const steps = new Map<string, Step>();
  for (const [s, own] of plays.entries()) {
    const { position, looks } = game.states[s]!;
    // Bottom's moves are taken as given: what top does about each is told by how the plays of that move are shared out.
    const shown = new Map<string, number>();
    for (const { look, m, share } of own)
      if (look !== WAITING) shown.set(`${look} ${m}`, (shown.get(`${look} ${m}`) ?? 0) + share);
    const bad = new Map<string, number>();
    for (const { look, m, r, share } of own) {
      const total = shown.get(`${look} ${m}`) ?? 0;
      const exchange = look === WAITING ? undefined : looks[look]!.cells[m]![r]!.exchange;
      if (!exchange || !(total > 0) || share === 0) continue;
      const works = game.chanceOf(exchange);
      const often = share / total;
      const { otherwise } = exchange;
      if (otherwise && isOutcome(otherwise) && BAD_OUTCOMES.has(otherwise.outcome))
        bad.set(exchange.move, (bad.get(exchange.move) ?? 0) + often * (1 - works));
      if (works === 0) continue;
      const id = `${exchange.move} > ${keyOf(exchange.to)}`;
      const step = steps.get(id);
      const chance = often * works;
      if (!step)
        steps.set(id, {
          from: position.id,
          move: exchange.move,
          to: exchange.to,
          chance,
          countered: 0,
          exchange: exchange.id,
          most: chance,
        });
      else {
        step.chance += chance;
        if (chance > step.most) Object.assign(step, { exchange: exchange.id, most: chance });
      }
    }
    for (const step of steps.values())
      if (step.from === position.id) step.countered = bad.get(step.move) ?? 0;
  }
  return steps;
}
