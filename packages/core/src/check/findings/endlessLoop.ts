import { joinWords } from '../../body/words.ts';
import { indexMap } from '../../model/indexMap.ts';
import { isOutcome, type Landing } from '../../model/outcome.ts';
import type { Check } from '../finding.ts';

/** Positions that lead round and round: from them no outcome and no dead end can be come to. */
export const endlessLoop: Check = (map) => {
  const index = indexMap(map);
  const before = new Map<string, string[]>();
  const ends: string[] = [];
  for (const position of map.positions) {
    const landings: (Landing | undefined)[] = [position.drift];
    for (const move of index.movesOf(position.id)) {
      for (const exchange of index.exchangesOf(move.id)) landings.push(exchange.to, exchange.otherwise);
    }
    const known = landings.filter((landing) => landing !== undefined);
    if (known.length === 0 || known.some(isOutcome)) ends.push(position.id);
    for (const landing of known) {
      if (isOutcome(landing)) continue;
      before.set(landing.position, [...(before.get(landing.position) ?? []), position.id]);
    }
  }
  const ending = new Set<string>();
  for (let id = ends.pop(); id !== undefined; id = ends.pop()) {
    if (ending.has(id)) continue;
    ending.add(id);
    ends.push(...(before.get(id) ?? []));
  }
  const round = map.positions.filter(({ id }) => !ending.has(id));
  if (round.length === 0) return [];
  return [
    {
      code: 'endless-loop',
      severity: 'warning',
      place: { kind: 'position', id: round[0]!.id },
      sentence: `From ${joinWords(round.map(({ name }) => `"${name}"`))} no line ever ends: they only lead to each other.`,
      mend: 'Add an exchange with an outcome, or a position that waiting leads to.',
    },
  ];
};
