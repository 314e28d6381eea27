import { answerName } from '../body/answerName.ts';
import { batch, type Command } from '../documents/command.ts';
import { edit } from '../documents/edit.ts';
import type { Basis, Exchange } from '../model/exchange.ts';
import { indexMap } from '../model/indexMap.ts';
import type { GuardMap } from '../model/map.ts';
import type { Practice } from '../model/practice.ts';
import { type ChanceEstimate, estimateChance, PRIOR_TRIALS, type Tally } from './estimateChance.ts';

/** What is known of the chance of one exchange, and from what. */
export interface Evidence extends ChanceEstimate {
  exchange: Exchange;
  /** In words: move, what it meets, and where from. */
  move: string;
  meets: string;
  position: string;
  /** The coach's own chance. */
  guess: number;
  light: Tally;
  full: Tally;
}

const NO_TRIES: Tally = { worked: 0, tried: 0 };
const added = (a: Tally, b: Tally): Tally => ({ worked: a.worked + b.worked, tried: a.tried + b.tried });

/**
 * Evidence against guess, exchange by exchange of the map, for those that were tried against light or full resistance;
 * reps with a partner who helps are no evidence. Light and full count alike. Most tried first.
 */
export function evidenceOf(map: GuardMap, practice: Practice, priorTrials = PRIOR_TRIALS): Evidence[] {
  const index = indexMap(map);
  const tallies = new Map<string, { light: Tally; full: Tally }>();
  for (const { exchange, resistance, worked, tried } of practice.trials) {
    if (resistance !== 'light' && resistance !== 'full') continue;
    const known = tallies.get(exchange) ?? { light: NO_TRIES, full: NO_TRIES };
    tallies.set(exchange, { ...known, [resistance]: added(known[resistance], { worked, tried }) });
  }
  const rows = [...tallies].flatMap(([id, { light, full }]): Evidence[] => {
    const exchange = index.exchange.get(id);
    if (!exchange) return [];
    const guess = guessOf(exchange, practice);
    return [
      {
        exchange,
        ...answerName(map, exchange),
        guess,
        light,
        full,
        ...estimateChance(guess, added(light, full), priorTrials),
      },
    ];
  });
  return rows.sort(
    (a, b) =>
      b.light.tried + b.full.tried - a.light.tried - a.full.tried || (a.exchange.id < b.exchange.id ? -1 : 1),
  );
}

/** The coach's own chance: the map's, or where that is a blend already, the one that went into it. */
export const guessOf = ({ id, basis, chance }: Exchange, { guesses }: Practice): number =>
  basis === 'blended' || basis === 'logged' ? (guesses[id] ?? chance) : chance;

const rounded = (chance: number): number => Math.round(chance * 100) / 100;

/** Makes the blend the map's chance, of all rows, as one change. */
export function takeBlend(rows: readonly Evidence[]): Command {
  return batch(
    rows.map(({ exchange, blend }) =>
      edit('exchange', exchange, { ...exchange, chance: rounded(blend.mean), basis: 'blended' }),
    ),
    rows.length === 1
      ? `Counted results for “${rows[0]!.move}”`
      : `Counted results for ${rows.length} answers`,
  );
}

/** The map with the chances of the coach, of the log, or of both, each saying so; what was never tried keeps the coach's. */
export function mapOn(map: GuardMap, practice: Practice, basis: Basis): GuardMap {
  const known = new Map(evidenceOf(map, practice).map((row) => [row.exchange.id, row]));
  return {
    ...map,
    exchanges: map.exchanges.map((exchange) => {
      const row = known.get(exchange.id);
      const guess = guessOf(exchange, practice);
      if (basis === 'coach' || !row)
        return guess === exchange.chance ? exchange : { ...exchange, chance: guess, basis: 'coach' };
      if (basis === 'blended') return { ...exchange, chance: row.blend.mean, basis };
      return row.logged ? { ...exchange, chance: row.logged.mean, basis } : { ...exchange, chance: guess };
    }),
  };
}
