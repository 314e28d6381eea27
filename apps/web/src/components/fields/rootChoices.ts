import { type GuardMap, indexMap } from '@aftersquall/core/model';
import type { Choice } from './SelectField.tsx';

/** The positions that a lesson can start from, under their systems. */
export function rootChoices(map: GuardMap): Choice[] {
  const index = indexMap(map);
  return [...map.systems.map(({ id, name }) => ({ id, name })), { id: '', name: 'In no system' }].flatMap(
    (system) =>
      map.positions
        .filter(({ id, systems }) => (systems[0] ?? '') === system.id && index.movesOf(id).length > 0)
        .map(({ id, name }) => ({ value: id, name, group: system.name })),
  );
}
