import { seeded } from '../game/seeded.ts';
import type { StochasticGame } from '../game/stochasticGame.ts';

/** A random stochastic game: some states with a rest, one to three rows and columns more, some looks seen. */
export function randomGame(seed: number, size: number, discount = 0.9): StochasticGame {
  const random = seeded(seed);
  const whole = (most: number) => 1 + Math.floor(random() * most);
  return {
    discount,
    states: Array.from({ length: size }, (_, s) => ({
      ...((s === 0 || random() < 0.5) && { rest: random() - 0.5 }),
      looks: Array.from({ length: s === 0 ? 1 : whole(2) }, () => {
        const [m, n] = [whole(3), whole(4)];
        return {
          timing: random() < 0.3 ? ('seen' as const) : ('hidden' as const),
          payoff: Array.from({ length: m }, () => Array.from({ length: n }, () => random() * 10 - 5)),
          next: Array.from({ length: m }, () =>
            Array.from({ length: n }, () =>
              Array.from({ length: whole(3) }, () => [Math.floor(random() * size), random() / 3] as const),
            ),
          ),
        };
      }),
    })),
  };
}
