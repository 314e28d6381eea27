import type { StochasticGame, StochasticLook } from '../../game/stochasticGame.ts';
import { isOutcome, type Landing } from '../../model/outcome.ts';
import { driftOf, type GameLook, type MapGame, restOf } from './mapGame.ts';

/** How the holes of a map are filled: as nothing gained, or as well as the rest of their row. */
export type Filling = 'as-mapped' | 'if-answered';

/** A map as a game, and the numbers of those holes in which bottom stays where it is: that is worth less than waiting. */
export interface MapStochasticGame extends StochasticGame {
  staying: ReadonlySet<number>;
}

interface Flat {
  payoff: number;
  next: [number, number][];
}

/**
 * The map as a discounted stochastic game, with the known tendencies trusted as far as said. The last look of a state
 * with a drift is waiting.
 */
export function toStochasticGame(
  game: MapGame,
  filling: Filling,
  staying: ReadonlySet<number>,
  trust = 0,
): MapStochasticGame {
  const { states, discount, place } = game;
  const landed = (landing: Landing | undefined, here: number, gamma: number, chance: number): Flat => {
    const to = landing ?? { position: states[here]!.position.id };
    if (isOutcome(to)) return { payoff: chance * gamma * game.points[to.outcome], next: [] };
    const at = place.get(to.position);
    if (at === undefined && game.outside)
      return { payoff: chance * gamma * game.outside(to.position), next: [] };
    return { payoff: 0, next: [[at!, (chance * gamma) / discount]] };
  };
  return {
    discount,
    staying,
    states: states.map(({ position, looks }, s) => {
      const built = looks.map((look): StochasticLook => {
        const against = look.known && { column: look.known, trust };
        return { ...stage(game, look, s, filling, staying, landed), ...(against && { against }) };
      });
      const drift = driftOf(position);
      if (drift) {
        const { payoff, next } = landed(drift, s, game.paceGamma, 1);
        built.push({ payoff: [[payoff]], next: [[next]] });
        return { looks: built };
      }
      return { rest: restOf(game, position), looks: built };
    }),
  };
}

function stage(
  game: MapGame,
  { look, cells }: GameLook,
  s: number,
  filling: Filling,
  staying: ReadonlySet<number>,
  landed: (landing: Landing | undefined, here: number, gamma: number, chance: number) => Flat,
): StochasticLook {
  const answered = cells.map((line) =>
    line.map(({ exchange, gamma }): Flat | undefined => {
      if (!exchange) return undefined;
      const chance = game.chanceOf(exchange);
      const won = landed(exchange.to, s, gamma, chance);
      const lost = landed(exchange.otherwise, s, gamma, 1 - chance);
      return { payoff: won.payoff + lost.payoff, next: [...won.next, ...lost.next] };
    }),
  );
  const { position } = game.states[s]!;
  const drift = driftOf(position);
  const filled = answered.map((line, m) => {
    return line.map((cell, r): Flat => {
      if (cell) return cell;
      const like = filling === 'if-answered' ? (mean(line) ?? mean(answered.flat())) : undefined;
      if (like) return like;
      // Nothing gained: bottom waits, or stays where it is if that is worse.
      const { hole, gamma } = cells[m]![r]!;
      if (hole !== undefined && staying.has(hole)) return landed(undefined, s, gamma, 1);
      return drift ? landed(drift, s, game.paceGamma, 1) : { payoff: restOf(game, position), next: [] };
    });
  });
  return {
    timing: look.timing,
    payoff: filled.map((line) => line.map(({ payoff }) => payoff)),
    next: filled.map((line) => line.map(({ next }) => next)),
  };
}

/** The mean of some cells; undefined where there is none. */
function mean(cells: readonly (Flat | undefined)[]): Flat | undefined {
  const there = cells.filter((cell) => cell !== undefined);
  if (there.length === 0) return undefined;
  const share = 1 / there.length;
  return {
    payoff: there.reduce((sum, { payoff }) => sum + payoff * share, 0),
    next: there.flatMap(({ next }) =>
      next.map(([state, weight]): [number, number] => [state, weight * share]),
    ),
  };
}
