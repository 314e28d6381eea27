import type { Softness } from '../../game/logitStage.ts';
import type { ReactionRef } from '../../model/reaction.ts';
import type { PlayedMap } from '../game/plays.ts';
import { bothKnowBest, CLUB_SOFTNESS } from '../game/softness.ts';
import { entryValue } from '../game/solveForTrusts.ts';
import { type LookPlan, type MapSolution, type Share, shares } from '../game/solveMap.ts';
import { type OrdinaryPlay, ordinaryPlay } from './ordinaryPlay.ts';

/** A solved map as two of a level play it; between two who know best that is the solution itself. */
export interface LevelPlay extends PlayedMap {
  level: Softness;
  entry: number;
  /** What this play of bottom's brings where top follows its known habits, and where top turns out to know best. */
  gain: number;
  worst: number;
  /** The choices of two who do not know best. */
  ordinary: OrdinaryPlay | undefined;
}

/** How two of a level play a solved map, and what comes of that. */
export function playMap(solution: MapSolution, level: Softness = CLUB_SOFTNESS): LevelPlay {
  const ordinary = bothKnowBest(level) ? undefined : ordinaryPlay(solution, level);
  const { game, built, weights, plays, values, positionVisits, visits } = ordinary ?? solution;
  const { gain, worst } = ordinary ?? solution;
  const entry = ordinary ? entryValue(values, weights) : solution.entry;
  return {
    level,
    game,
    built,
    weights,
    plays,
    values,
    positionVisits,
    visits,
    entry,
    gain,
    worst,
    ordinary,
  };
}

/** What is expected of top in every look of every position. */
export const expectedOf = (
  { positions }: MapSolution,
  { game, ordinary }: Pick<LevelPlay, 'game' | 'ordinary'>,
): { looks: (Pick<LookPlan, 'look'> & { expected: Share<ReactionRef>[] })[] }[] =>
  positions.map(({ looks }, s) => ({
    looks: looks.map(({ look, expected }, l) => ({
      look,
      expected: ordinary
        ? shares(game.states[s]!.looks[l]!.reactions, ordinary.stages[s]![l]!.expected)
        : expected,
    })),
  }));
