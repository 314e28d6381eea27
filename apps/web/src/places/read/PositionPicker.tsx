import { allNames, type GuardMap, type Position, wordContext } from '@aftersquall/core';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { mapAddress } from '../../components/addresses.ts';
import { LimbGlyph } from '../../components/LimbGlyph.tsx';
import { searchNames } from '../../components/searchNames.ts';
import styles from './read.module.scss';

interface Props {
  map: GuardMap;
  chosen: string | undefined;
  onChoose: (id: string) => void;
}

/** With more positions than this the systems are shown closed: system, position, reaction are three taps. */
const FEW = 20;

/** Every position of the map, by system, as a thumb-sized button; or found by any of its names. */
export function PositionPicker({ map, chosen, onChoose }: Props) {
  const [typed, setTyped] = useState('');
  const home = map.positions.find(({ id }) => id === chosen)?.systems[0] ?? '';
  const [opened, setOpened] = useState<string>();
  const groups = [
    ...map.systems.map((system) => ({
      id: system.id,
      name: system.name,
      positions: map.positions.filter(({ systems }) => systems[0] === system.id),
    })),
    { id: '', name: 'In no system', positions: map.positions.filter(({ systems }) => systems.length === 0) },
  ].filter(({ positions }) => positions.length > 0);
  if (groups.length === 0)
    return (
      <>
        <p>This map has no positions yet: what is read here is written there.</p>
        <Link className="btn btn-now" to={mapAddress(map.id)}>
          To the map
        </Link>
      </>
    );
  const few = map.positions.length <= FEW;
  const found = searchNames(map.positions, typed, allNames);
  const button = (position: Position) => (
    <PositionButton
      key={position.id}
      position={position}
      chosen={position.id === chosen}
      onChoose={onChoose}
    />
  );
  return (
    <>
      <input
        className="form-control"
        type="search"
        aria-label="Find a position"
        placeholder="by any of its names"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      {typed.trim() ? (
        <div role="group" aria-label="Found positions" className="mt-2">
          {found.map(button)}
          {found.length === 0 && <p>No position goes by that name.</p>}
        </div>
      ) : (
        groups.map((group) => {
          const open = few || (opened ?? (chosen ? home : undefined)) === group.id;
          return (
            <div key={group.id} role="group" aria-label={group.name}>
              {few ? (
                <div className="label-small mt-2 mb-1">{group.name}</div>
              ) : (
                <button
                  type="button"
                  className={styles['system-pick']}
                  aria-expanded={open}
                  onClick={() => setOpened(open ? 'none' : group.id)}
                >
                  {open ? <ChevronDown size={16} aria-hidden /> : <ChevronRight size={16} aria-hidden />}
                  {group.name}
                  <span className="soft small">{group.positions.length}</span>
                </button>
              )}
              {open && group.positions.map(button)}
            </div>
          );
        })
      )}
    </>
  );
}

interface ButtonProps {
  position: Position;
  chosen: boolean;
  onChoose: (id: string) => void;
}

function PositionButton({ position, chosen, onChoose }: ButtonProps) {
  return (
    <button
      type="button"
      className={`${styles.pick} ${chosen ? 'on' : ''}`}
      aria-pressed={chosen}
      onClick={() => onChoose(position.id)}
    >
      <LimbGlyph holds={position.holds} context={wordContext(position)} width={46} />
      <span>{position.name}</span>
    </button>
  );
}
