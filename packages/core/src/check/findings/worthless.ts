import { landingWords } from '../../body/landingWords.ts';
import { indexMap } from '../../model/indexMap.ts';
import { isOutcome, type Landing } from '../../model/outcome.ts';
import type { Check, CheckContext, Finding } from '../finding.ts';

/** Differences below this are none, in points. */
const SAME = 0.005;

const worthOf = (weighed: NonNullable<CheckContext['weighed']>, landing: Landing): number | undefined =>
  isOutcome(landing) ? weighed.outcomes[landing.outcome] : weighed.positions[landing.position];

/** Success is worth less than failure: one of the two leads to the wrong place, or the map behind it is wrong. */
export const worthlessSuccess: Check = (map, { weighed }) => {
  if (!weighed) return [];
  const index = indexMap(map);
  return map.exchanges.flatMap((exchange): Finding[] => {
    const move = index.move.get(exchange.move);
    const failing = exchange.otherwise ?? (move && { position: move.position });
    const won = worthOf(weighed, exchange.to);
    const lost = failing && worthOf(weighed, failing);
    if (!move || won === undefined || lost === undefined || won >= lost - SAME) return [];
    return [
      {
        code: 'worthless-success',
        severity: 'note',
        place: { kind: 'exchange', id: exchange.id },
        sentence: `“${move.name}” pays more when it fails (“${landingWords(map, failing!)}”, ${points(lost)} points) than when it works (“${landingWords(map, exchange.to)}”, ${points(won)} points).`,
        mend: 'Look at both places. An answer may be missing behind the better one.',
      },
    ];
  });
};

/** A position with moves in which waiting is the best plan: nobody would ever play it. */
export const neverPlayed: Check = (map, { weighed }) => {
  if (!weighed) return [];
  const index = indexMap(map);
  const waiting = new Set(weighed.waiting);
  return map.positions
    .filter(({ id }) => waiting.has(id) && index.movesOf(id).length > 0)
    .map(
      ({ id, name }): Finding => ({
        code: 'never-played',
        severity: 'note',
        place: { kind: 'position', id },
        sentence: `In “${name}” waiting beats every move.`,
        mend: 'Say what really happens if you wait, or correct the figures of its moves.',
      }),
    );
};

/** More holds for bottom than for top, the legs still in front, and yet worth less than the pass that has begun. */
export const worthlessHolds: Check = (map, { weighed }) => {
  if (!weighed) return [];
  const passes = map.positions.filter(({ signs }) => signs['top.line'] && signs['top.line'] !== 'front');
  const worths = passes.flatMap(({ id }) => weighed.positions[id] ?? []);
  if (worths.length === 0) return [];
  const pass = worths.reduce((sum, worth) => sum + worth, 0) / worths.length;
  return map.positions.flatMap(({ id, name, signs, holds, topHolds }): Finding[] => {
    const worth = weighed.positions[id];
    const inFront = !signs['top.line'] || signs['top.line'] === 'front';
    if (!inFront || worth === undefined || holds.length <= topHolds.length + 1 || worth >= pass - SAME)
      return [];
    return [
      {
        code: 'worthless-holds',
        severity: 'note',
        place: { kind: 'position', id },
        sentence: `You hold more in “${name}”, but the figures (${points(worth)} points) say it is worse than a started pass (${points(pass)}).`,
        mend: 'An answer is missing, or a figure is too low.',
      },
    ];
  });
};

const points = (value: number): string => `${value < 0 ? '−' : ''}${Math.abs(value).toFixed(2)}`;
