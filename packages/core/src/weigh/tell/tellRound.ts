import type { GuardMap } from '../../model/map.ts';
import type { ReactionRef } from '../../model/reaction.ts';
import type { WeighOptions } from '../game/mapGame.ts';
import { flowsOf, visitsOf, WAITING } from '../game/plays.ts';
import { type MapSolution, solveMap } from '../game/solveMap.ts';
import { resolveHoles, type StakedHole } from '../measure/findHoles.ts';
import { bestWay, type Way } from '../play/bestWay.ts';
import { ENDS, type End, outcomeOdds } from '../play/outcomeOdds.ts';
import { type LevelPlay, playMap } from '../play/playMap.ts';

/** What a round comes to, of a whole map or from where one system begins: what one would say of it first. */
export interface RoundStory {
  /** Points of a round as it is played, and between two who know best. */
  entry: number;
  knowsBest: number;
  /** How rounds end; the chances sum to one. */
  ends: Record<End, number>;
  /** The moves without which a round would be worth least, and what it would lose, points. */
  livesOn: { move: string; loss: number }[];
  /** The way that brings most. Undefined where nothing good can be come to. */
  way: Way | undefined;
  /** What top does that costs most: how often it comes up, and what it takes from what the look is worth, points. */
  hurts: { position: string; look: string; reaction: ReactionRef; rate: number; cost: number }[];
  /** The hole of which an answer brings most. */
  hole: StakedHole | undefined;
}

/** So many moves are tried for what a round lives on, and so many are said. */
const TRIED = 6;
const SAID = 2;
const HURTS = 3;
/** So many of the holes that look dearest are solved for, to say which one is. */
const HOLES = 3;
/** So many of the positions where rounds start most are tried for the best way. */
const STARTS = 6;
/** Less than this is nothing to speak of, points of a round. */
const MIN_POINTS_TOLD = 0.0005;

/**
 * The story of a round, of the whole map or of one system: from where rounds start in it, else from where it is come to.
 * @param solution the map solved under the options
 * @param play how it is played at their level
 */
export function tellRound(
  map: GuardMap,
  options: WeighOptions,
  solution: MapSolution,
  play: LevelPlay,
  system?: string,
): RoundStory {
  const inside = map.positions.map(({ systems }) => system === undefined || systems.includes(system));
  const weights = startsOf(play, inside);
  const at = (values: readonly number[]) => weights.reduce((sum, weight, s) => sum + weight * values[s]!, 0);
  const visits = visitsOf(flowsOf(play.built, play.plays), weights);
  const odds = outcomeOdds(play).from;
  const [hole] = resolveHoles(
    { ...solution, weights },
    { ...play, positionVisits: visits },
    { among: ({ position }) => inside[play.game.place.get(position)!]!, most: HOLES },
  );
  return {
    entry: at(play.values),
    knowsBest: at(solution.values),
    ends: Object.fromEntries(ENDS.map((end) => [end, at(odds.map((one) => one[end]))])) as Record<
      End,
      number
    >,
    livesOn: livesOn(),
    way: bestWay(
      play,
      weights
        .flatMap((weight, s) => (weight > 0 ? [{ s, weight }] : []))
        .sort((x, y) => y.weight - x.weight || x.s - y.s)
        .slice(0, STARTS)
        .map(({ s }) => map.positions[s]!.id),
    ),
    hurts: hurts(),
    hole: hole && hole.stake >= MIN_POINTS_TOLD ? hole : undefined,
  };

  /** The moves that bring most as it is played, taken away one at a time. */
  function livesOn(): RoundStory['livesOn'] {
    const brought = new Map<string, number>();
    for (const { move, worth, rate, s } of cells())
      if (inside[s]) brought.set(move, (brought.get(move) ?? 0) + rate * worth);
    const tried = [...brought].sort((a, b) => b[1] - a[1]).slice(0, TRIED);
    return tried
      .map(([move]) => {
        const forbiddenMoves = [...(options.forbiddenMoves ?? []), move];
        const without = solveMap(map, { ...options, forbiddenMoves }, solution.values);
        return { move, loss: at(play.values) - at(playMap(without, play.level).values) };
      })
      .filter(({ loss }) => loss >= MIN_POINTS_TOLD)
      .sort((a, b) => b.loss - a.loss || (a.move < b.move ? -1 : 1))
      .slice(0, SAID);
  }

  function hurts(): RoundStory['hurts'] {
    const looks = new Map<string, { rate: number; brought: number }>();
    const met = new Map<string, { s: number; look: number; r: number; rate: number; brought: number }>();
    for (const { s, look, r, rate, worth } of cells()) {
      if (!inside[s]) continue;
      const whole = looks.get(`${s} ${look}`) ?? { rate: 0, brought: 0 };
      looks.set(`${s} ${look}`, { rate: whole.rate + rate, brought: whole.brought + rate * worth });
      const one = met.get(`${s} ${look} ${r}`) ?? { s, look, r, rate: 0, brought: 0 };
      met.set(`${s} ${look} ${r}`, { ...one, rate: one.rate + rate, brought: one.brought + rate * worth });
    }
    return [...met.values()]
      .flatMap(({ s, look, r, rate, brought }) => {
        const { position, looks: own } = play.game.states[s]!;
        const reaction = own[look]!.reactions[r];
        const whole = looks.get(`${s} ${look}`)!;
        const cost = rate * (whole.brought / whole.rate) - brought;
        if (!reaction || !(cost >= MIN_POINTS_TOLD)) return [];
        return [{ position: position.id, look: own[look]!.look.id, reaction, rate, cost }];
      })
      .sort((a, b) => b.cost - a.cost)
      .slice(0, HURTS);
  }

  /** Every cell that is played, how often in a round and what it is worth. */
  function* cells() {
    const { game, built, values } = play;
    for (const [s, own] of play.plays.entries())
      for (const { look, m, r, share } of own) {
        const rate = visits[s]! * share;
        if (look === WAITING || !(rate > 0)) continue;
        const { payoff, next } = built.states[s]!.looks[look]!;
        const worth = next[m]![r]!.reduce(
          (sum, [to, p]) => sum + built.discount * p * values[to]!,
          payoff[m]![r]!,
        );
        yield { s, look, m, r, rate, worth, move: game.states[s]!.looks[look]!.moves[m]!.id };
      }
  }
}

/** Where rounds start among some positions, else where they are come to; the weights sum to one. */
function startsOf({ weights, positionVisits }: LevelPlay, inside: readonly boolean[]): number[] {
  for (const rates of [weights, positionVisits]) {
    const own = rates.map((rate, s) => (inside[s] ? rate : 0));
    const total = own.reduce((sum, rate) => sum + rate, 0);
    if (total > 0) return own.map((rate) => rate / total);
  }
  const count = inside.filter(Boolean).length;
  return inside.map((is) => (is ? 1 / Math.max(1, count) : 0));
}
