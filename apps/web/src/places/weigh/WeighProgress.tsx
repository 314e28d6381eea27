import { Ban } from 'lucide-react';
import styles from './weigh.module.scss';
import { say } from './words.ts';

interface Props {
  /** Whether the coach stopped the weighing; else it is under way. */
  stopped: boolean;
  /** How far it is, 0 to 1. */
  progress: number | undefined;
  onStop: () => void;
  onAgain: () => void;
}

/** How far the weighing is, with a way to stop it and to take it up again. */
export function WeighProgress({ stopped, progress, onStop, onAgain }: Props) {
  return (
    <p className={styles['weigh-work']}>
      {stopped ? (
        <>
          {say.stoppedSeeResultBefore}
          <button type="button" className="btn btn-sm btn-now" onClick={onAgain}>
            Weigh again
          </button>
        </>
      ) : (
        <>
          <progress max={1} value={progress} aria-label="Weighing" />
          <button type="button" className="btn btn-sm btn-plain" onClick={onStop}>
            <Ban size={14} aria-hidden /> Stop
          </button>
        </>
      )}
    </p>
  );
}
