import { edit } from '../../documents/edit.ts';
import { indexMap } from '../../model/indexMap.ts';
import type { GuardMap } from '../../model/map.ts';
import { isOutcome } from '../../model/outcome.ts';
import type { Check } from '../finding.ts';
import { leadsTo } from '../leadsTo.ts';

/** Positions that can be come to from the entries, by exchanges or by drifting. */
function reachable(map: GuardMap): Set<string> {
  const index = indexMap(map);
  const seen = new Set<string>();
  const open = map.positions.filter((position) => (position.entry ?? 0) > 0).map((position) => position.id);
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    if (seen.has(id)) continue;
    seen.add(id);
    const drift = index.position.get(id)?.drift;
    if (drift && !isOutcome(drift)) open.push(drift.position);
    for (const move of index.movesOf(id)) open.push(...leadsTo(index.exchangesOf(move.id)).positions);
  }
  return seen;
}

/** A position that no round can come to. */
export const unreachable: Check = (map) => {
  if (map.positions.length === 0) return [];
  if (!map.positions.some((position) => (position.entry ?? 0) > 0)) {
    return [
      {
        code: 'no-entry',
        severity: 'warning',
        place: { kind: 'map', id: map.id },
        sentence: 'Rounds start nowhere yet.',
        mend: `Let rounds start in "${map.positions[0]!.name}".`,
        command: edit('position', map.positions[0]!, { ...map.positions[0]!, entry: 1 }),
      },
    ];
  }
  const seen = reachable(map);
  return map.positions
    .filter((position) => !seen.has(position.id))
    .map((position) => ({
      code: 'unreachable',
      severity: 'warning',
      place: { kind: 'position', id: position.id },
      sentence: `No round gets to "${position.name}": nothing leads to it and no round starts there.`,
      mend: 'Add an answer that leads to it, or let rounds start there.',
    }));
};
