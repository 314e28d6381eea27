import { PositionPicture } from '../../../components/PositionPicture.tsx';
import { ShortName } from '../../../components/ShortName.tsx';
import { Worth } from '../../../components/Worth.tsx';
import type { ChartNode } from './chartGraph.ts';
import styles from './currents.module.scss';

interface Props {
  node: Extract<ChartNode, { kind: 'system' }>;
  /** Points, once that is known. */
  value: number | undefined;
  bestEnd: string | undefined;
}

/** What there is to say of a whole system: its way in, its best end, how much it holds, its holes and its worth. */
export function SystemCard({ node, value, bestEnd }: Props) {
  const { system, start, positions, holes } = node;
  return (
    <>
      <span className={styles['system-head']}>
        <span className="name">{system.name}</span>
        {value !== undefined && <Worth value={value} />}
      </span>
      <span className={styles['system-body']}>
        {start && <PositionPicture position={start} width={104} />}
        <span className={styles['system-says']}>
          {start && (
            <span>
              <small>way in</small> <ShortName of={start} />
            </span>
          )}
          {bestEnd && (
            <span className={styles['best-end']}>
              <small>ends in</small> ▲ {bestEnd}
            </span>
          )}
        </span>
      </span>
      <span className={styles['row-two']}>
        <span>
          {positions} {positions === 1 ? 'position' : 'positions'}
        </span>
        {holes > 0 && (
          <span className={styles['open-count']}>
            {holes} {holes === 1 ? 'hole' : 'holes'}
          </span>
        )}
      </span>
    </>
  );
}
