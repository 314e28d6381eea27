import { allNames, type GuardMap, type Position } from '@aftersquall/core/model';
import { useState } from 'react';
import { Link } from 'react-router';
import { mapAddress } from '../../components/addresses.ts';
import { PositionPicture } from '../../components/PositionPicture.tsx';
import { searchNames } from '../../components/searchNames.ts';
import { useAppSelector } from '../../store/store.ts';
import styles from './read.module.scss';
import { say } from './words.ts';

interface Props {
  map: GuardMap;
  onChoose: (id: string) => void;
}

/** Every position of the map as a picture, by system; found by any of its names, those of one system alone at a tap. */
export function PositionWall({ map, onChoose }: Props) {
  const [typed, setTyped] = useState('');
  const [system, setSystem] = useState<string>();
  const lately = useAppSelector(({ settings }) => settings.lately);
  const groups = [
    ...map.systems.map(({ id, name }) => ({
      id,
      name,
      positions: map.positions.filter(({ systems }) => systems[0] === id),
    })),
    { id: '', name: 'In no system', positions: map.positions.filter(({ systems }) => systems.length === 0) },
  ].filter(({ positions }) => positions.length > 0);
  if (groups.length === 0)
    return (
      <>
        <p>{say.mapEmptyAddPositions}</p>
        <Link className="btn btn-now" to={mapAddress(map.id)}>
          To the map
        </Link>
      </>
    );
  const used = lately.flatMap((id) => map.positions.find((position) => position.id === id) ?? []);
  const found = searchNames(map.positions, typed, allNames);
  const tiles = (positions: readonly Position[]) => (
    <div className={styles.wall}>
      {positions.map((position) => (
        <button key={position.id} type="button" className={styles.tile} onClick={() => onChoose(position.id)}>
          <PositionPicture position={position} width={156} />
          <span>{position.name}</span>
        </button>
      ))}
    </div>
  );
  return (
    <>
      <div className={styles['wall-bar']}>
        <input
          className="form-control"
          type="search"
          aria-label="Find a position"
          placeholder="by any of its names"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <div className="chip-field">
          {groups.map(({ id, name, positions }) => (
            <button
              key={id}
              type="button"
              className={`chip ${system === id ? 'on' : ''}`}
              aria-pressed={system === id}
              onClick={() => setSystem(system === id ? undefined : id)}
            >
              {name} <span className="soft small">{positions.length}</span>
            </button>
          ))}
        </div>
      </div>
      {typed.trim() ? (
        <div role="group" aria-label="Found positions">
          {tiles(found)}
          {found.length === 0 && <p>{say.noPositionHasName}</p>}
        </div>
      ) : (
        <>
          {used.length > 0 && system === undefined && (
            <div role="group" aria-label="Used lately">
              <div className="label-small mb-1">Lately</div>
              {tiles(used)}
            </div>
          )}
          {groups
            .filter(({ id }) => system === undefined || id === system)
            .map(({ id, name, positions }) => (
              <div key={id} role="group" aria-label={name}>
                <div className="label-small mt-2 mb-1">{name}</div>
                {tiles(positions)}
              </div>
            ))}
        </>
      )}
    </>
  );
}
