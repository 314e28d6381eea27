import { type Arc, shortestPaths } from '../../game/shortestPaths.ts';
import type { ChainTurn } from '../../model/chain.ts';
import { readTurn, turnText } from '../../model/chainTurn.ts';
import { isOutcome, type Landing } from '../../model/outcome.ts';
import type { MapGame } from '../game/mapGame.ts';
import type { LookPlan } from '../game/solveMap.ts';

export interface BestChain {
  /** Its turns: answers that work, and answers that fail into a position from which it goes on. */
  exchanges: ChainTurn[];
  /** Chance that all of it happens: bottom's moves taken as given, top's reactions from its mix. */
  chance: number;
  /** Chance of being passed, swept or submitted on the way. */
  countered: number;
}

interface Query {
  from: string;
  to: Landing;
  count: number;
}

const landingKey = (landing: Landing): string =>
  isOutcome(landing) ? `outcome:${landing.outcome}` : landing.position;
/** What a chain is countered by. */
export const BAD_OUTCOMES: ReadonlySet<string> = new Set(['passed', 'swept-back', 'submitted']);

/** A game, and what is expected of top in the looks of its positions. */
interface Chained {
  game: MapGame;
  positions: readonly { looks: readonly Pick<LookPlan, 'look' | 'expected'>[] }[];
}

/**
 * The most probable chains from a position to an outcome or position, also through answers that fail into another
 * position; no position comes twice, parallel ones differ.
 */
export function bestChains({ game, positions }: Chained, { from, to, count }: Query): BestChain[] {
  const steps = new Map<string, { y: number; chance: number; bad: boolean }>();
  const arcs: Arc[] = [];
  for (const [s, { position, looks }] of game.states.entries()) {
    for (const look of looks) {
      const plan = positions[s]!.looks.find(({ look: id }) => id === look.look.id)!;
      for (const line of look.cells) {
        for (const [r, { exchange }] of line.entries()) {
          const ref = look.reactions[r];
          const y = plan.expected.find(({ what }) => what === ref)?.share ?? 0;
          if (!exchange || y === 0) continue;
          const chance = game.chanceOf(exchange);
          const { id, to: works, otherwise } = exchange;
          const add = (turn: ChainTurn, landing: Landing, share: number, bad: boolean) => {
            if (share === 0) return;
            const key = turnText(turn);
            steps.set(key, { y, chance: share, bad });
            const cost = Math.max(0, -Math.log(y * share));
            arcs.push({ id: key, from: position.id, to: landingKey(landing), cost });
          };
          const endsBadly = otherwise && isOutcome(otherwise) && BAD_OUTCOMES.has(otherwise.outcome);
          add(id, works, chance, Boolean(endsBadly));
          const goesOn = otherwise && !isOutcome(otherwise) && otherwise.position !== position.id;
          if (goesOn) add({ exchange: id, fails: true }, otherwise, 1 - chance, false);
        }
      }
    }
  }
  return shortestPaths({ arcs, from, to: landingKey(to), count }).map(({ arcs: exchanges }) => {
    let chance = 1;
    let countered = 0;
    for (const id of exchanges) {
      const step = steps.get(id)!;
      if (step.bad) countered += chance * step.y * (1 - step.chance);
      chance *= step.y * step.chance;
    }
    return { exchanges: exchanges.map((id) => readTurn(id)!), chance, countered };
  });
}
