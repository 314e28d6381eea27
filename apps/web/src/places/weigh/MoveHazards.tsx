import { type GuardMap, HAZARD_TAGS, indexMap } from '@aftersquall/core/model';
import { Hazards } from '../../components/Hazards.tsx';

/** The cautions of some moves, each once: they travel with the moves onto every sheet. */
export function MoveHazards({ map, moves }: { map: GuardMap; moves: readonly string[] }) {
  const { move } = indexMap(map);
  const all = new Set(moves.flatMap((id) => move.get(id)?.hazards ?? []));
  if (all.size === 0) return null;
  return (
    <div className="d-flex flex-wrap gap-1">
      <Hazards tags={HAZARD_TAGS.filter((tag) => all.has(tag))} />
    </div>
  );
}
