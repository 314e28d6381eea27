import { momentOfSweep } from '@aftersquall/core/balance';
import { type Move, type Position, type Reaction } from '@aftersquall/core/model';
import { viewAcross } from '@aftersquall/core/pose';
import { useMemo } from 'react';
import { PositionPicture } from '../../components/PositionPicture.tsx';
import styles from './balance.module.scss';
import { say } from './words.ts';

interface Props {
  position: Position;
  move: Move;
  reaction: Reaction | undefined;
  /** Of the push. */
  degrees: number;
}

/** Both bodies as they are when the sweep goes, seen across the push: it goes to the right, as in the side view. */
export function SweepPicture({ position, move, reaction, degrees }: Props) {
  const moment = useMemo(
    () => ({ ...position, ...momentOfSweep(position, move, reaction) }),
    [position, move, reaction],
  );
  return (
    <figure className={styles['sweep-picture']} aria-label={say.bothBodiesPushGoing}>
      <PositionPicture position={moment} kind="large" width={250} view={viewAcross(moment, degrees)} />
    </figure>
  );
}
