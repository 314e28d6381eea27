import { type GuardMap, type Position, wordContext } from '@aftersquall/core';
import { LimbGlyph } from '../../components/LimbGlyph.tsx';

interface Props {
  map: GuardMap;
  chosen: string | undefined;
  onChoose: (id: string) => void;
}

/** Every position of the map, by system, as a thumb-sized button. A position stands under its first system. */
export function PositionPicker({ map, chosen, onChoose }: Props) {
  const groups = [
    ...map.systems.map((system) => ({
      id: system.id,
      name: system.name,
      positions: map.positions.filter(({ systems }) => systems[0] === system.id),
    })),
    { id: '', name: 'In no system', positions: map.positions.filter(({ systems }) => systems.length === 0) },
  ].filter(({ positions }) => positions.length > 0);
  if (groups.length === 0) return <p>This map has no positions yet. Write the first one down in the Map.</p>;
  return groups.map((group) => (
    <div key={group.id} role="group" aria-label={group.name}>
      <div className="label-small mt-2 mb-1">{group.name}</div>
      {group.positions.map((position) => (
        <PositionButton
          key={position.id}
          position={position}
          chosen={position.id === chosen}
          onChoose={onChoose}
        />
      ))}
    </div>
  ));
}

function PositionButton({
  position,
  chosen,
  onChoose,
}: {
  position: Position;
  chosen: boolean;
  onChoose: (id: string) => void;
}) {
  return (
    <button
      type="button"
      className={`pick ${chosen ? 'on' : ''}`}
      aria-pressed={chosen}
      onClick={() => onChoose(position.id)}
    >
      <LimbGlyph holds={position.holds} context={wordContext(position)} width={46} />
      <span>{position.name}</span>
    </button>
  );
}
