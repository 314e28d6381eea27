import { joinWords } from '../../body/words.ts';
import { indexMap } from '../../model/indexMap.ts';
import { isOutcome } from '../../model/outcome.ts';
import type { Check } from '../finding.ts';
import { leadsTo } from '../leadsTo.ts';

/** Positions that lead round and round: from them no outcome and no dead end can be come to. */
export const endlessLoop: Check = (map) => {
  const index = indexMap(map);
  const before = new Map<string, string[]>();
  const ends: string[] = [];
  for (const position of map.positions) {
    const { drift } = position;
    const leads = index.movesOf(position.id).map((move) => leadsTo(index.exchangesOf(move.id)));
    const deadEnd = !drift && leads.every(({ positions, ends }) => positions.length === 0 && !ends);
    if (deadEnd || (drift && isOutcome(drift)) || leads.some(({ ends }) => ends)) ends.push(position.id);
    const places = new Set(leads.flatMap(({ positions }) => positions));
    if (drift && !isOutcome(drift)) places.add(drift.position);
    for (const place of places) {
      const known = before.get(place);
      if (known) known.push(position.id);
      else before.set(place, [position.id]);
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
      sentence: `${joinWords(round.map(({ name }) => `"${name}"`))} only lead to each other: no round ever ends there.`,
      mend: 'Add an answer that ends the round, or say what happens if you wait.',
    },
  ];
};
