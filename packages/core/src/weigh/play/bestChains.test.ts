import { describe, expect, it } from 'vitest';
import { turnText } from '../../model/chainTurn.ts';
import type { GuardMap } from '../../model/map.ts';
import { isOutcome, type Outcome } from '../../model/outcome.ts';
import { bigMap } from '../../test/bigMap.ts';
import { type MapSolution, solveMap } from '../game/solveMap.ts';
import { bestChains } from './bestChains.ts';

interface Step {
  id: string;
  from: string;
  to: string | { end: Outcome };
  chance: number;
}

/** Every exchange that a plan lets happen, read anew from the map and the plans. */
function steps(map: GuardMap, solution: MapSolution): Step[] {
  const move = new Map(map.moves.map((each) => [each.id, each]));
  return map.exchanges.flatMap((exchange): Step[] => {
    const { reaction, to, otherwise } = exchange;
    const { position, look } = move.get(exchange.move)!;
    const plan = solution.positions
      .find((each) => each.position === position)!
      .looks.find((each) => each.look === look);
    if (!plan || reaction === 'none') return [];
    const y = plan.reactions.find(
      ({ what }) => what.id === reaction.id && Boolean(what.mirrored) === Boolean(reaction.mirrored),
    )?.share;
    const used = solution.game.states.some(({ looks }) =>
      looks.some(({ cells }) => cells.flat().some((cell) => cell.exchange?.id === exchange.id)),
    );
    if (!used || !y) return [];
    const works: Step = {
      id: exchange.id,
      from: position,
      to: isOutcome(to) ? { end: to.outcome } : to.position,
      chance: y * exchange.chance,
    };
    const leadsOn = otherwise && !isOutcome(otherwise) && otherwise.position !== position;
    const fails = leadsOn
      ? [
          {
            id: `${exchange.id} fails`,
            from: position,
            to: otherwise.position,
            chance: y * (1 - exchange.chance),
          },
        ]
      : [];
    return [works, ...fails].filter(({ chance }) => chance > 0);
  });
}

/** All chains to the end in which no position comes twice, the likeliest first. */
function everyChain(list: readonly Step[], from: string, end: Outcome): number[] {
  const found: number[] = [];
  const walk = (at: string, been: ReadonlySet<string>, chance: number) => {
    for (const step of list) {
      if (step.from !== at) continue;
      if (typeof step.to !== 'string') {
        if (step.to.end === end) found.push(chance * step.chance);
      } else if (!been.has(step.to)) walk(step.to, new Set([...been, step.to]), chance * step.chance);
    }
  };
  walk(from, new Set([from]), 1);
  return found.sort((a, b) => b - a);
}

describe('the best chains', () => {
  it('are those of an exhaustive search, on small maps', () => {
    let compared = 0;
    for (let seed = 1; seed <= 25; seed++) {
      const map = bigMap({ positions: 9, reactions: 5, seed });
      const solution = solveMap(map);
      const list = steps(map, solution);
      for (const end of ['back', 'submission', 'top-side', 'passed'] as const) {
        for (const { id: from } of map.positions.slice(0, 3)) {
          const all = everyChain(list, from, end);
          const chains = bestChains(solution, { from, to: { outcome: end }, count: 4 });
          expect(chains, `${seed} ${from} ${end}`).toHaveLength(Math.min(4, all.length));
          for (const [i, { chance, exchanges }] of chains.entries()) {
            expect(chance, `${seed} ${from} ${end} ${i}`).toBeCloseTo(all[i]!, 12);
            expect(new Set(exchanges.map(turnText)).size).toBe(exchanges.length);
          }
          compared += chains.length;
        }
      }
    }
    expect(compared).toBeGreaterThan(60);
  });

  it('never end in more than certainty: reaching it and being countered share one whole', () => {
    for (let seed = 30; seed < 45; seed++) {
      const map = bigMap({ positions: 9, reactions: 5, seed });
      const solution = solveMap(map);
      for (const { chance, countered } of bestChains(solution, {
        from: map.positions[0]!.id,
        to: { outcome: 'back' },
        count: 6,
      })) {
        expect(chance).toBeGreaterThan(0);
        expect(countered).toBeGreaterThanOrEqual(0);
        expect(chance + countered).toBeLessThanOrEqual(1 + 1e-12);
      }
    }
  });
});
