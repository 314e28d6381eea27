import { landingWords } from '@aftersquall/core/body';
import { type GuardMap, type Position } from '@aftersquall/core/model';
import { Hourglass, LayoutGrid } from 'lucide-react';
import { PositionPicture } from '../../components/PositionPicture.tsx';
import { TurnablePicture } from '../../components/TurnablePicture.tsx';
import styles from './read.module.scss';
import { say } from './words.ts';

interface Props {
  map: GuardMap;
  /** On the side that is read. */
  position: Position;
  onChoose: (id: string) => void;
  /** Lets it go where waiting leads, where that is written. */
  onWait: (() => void) | undefined;
  onWall: () => void;
}

/** The position that is read, large; others of its system under it. */
export function WhereWeAre({ map, position, onChoose, onWait, onWall }: Props) {
  const others = map.positions.filter(
    ({ id, systems }) => id !== position.id && systems[0] === position.systems[0],
  );
  return (
    <>
      <TurnablePicture key={`${position.id} ${position.leadSide}`} position={position} width={300} />
      <h3 className="mt-2">{position.name}</h3>
      <button type="button" className="btn btn-sm btn-plain mb-2" onClick={onWall}>
        <LayoutGrid size={15} aria-hidden /> Another position
      </button>
      {onWait && position.drift && (
        <button type="button" className="btn btn-sm btn-plain mb-2" onClick={onWait}>
          <Hourglass size={15} aria-hidden /> You wait → {landingWords(map, position.drift)}
        </button>
      )}
      <div className={`${styles.wall} ${styles.beside}`} role="group" aria-label={say.othersSystem}>
        {others.map((other) => (
          <button key={other.id} type="button" className={styles.tile} onClick={() => onChoose(other.id)}>
            <PositionPicture position={other} width={88} />
            <span>{other.name}</span>
          </button>
        ))}
      </div>
    </>
  );
}
