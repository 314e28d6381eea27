import { pictureWords } from '@aftersquall/core/body';
import { type Position } from '@aftersquall/core/model';
import { useEffect, useState } from 'react';
import { useMovement } from '../workers/pictures.ts';
import { PlayHead } from './PlayHead.tsx';
import { Drawing } from './PositionPicture.tsx';
import styles from './positionPicture.module.scss';
import { say } from './words.ts';

interface Props {
  from: Position;
  to: Position;
  /** How long it takes at drill pace. */
  seconds: number;
}

const FRAMES = 13;

/** From one position to another: scrubbed, or run at drill pace. */
export function MovementPicture({ from, to, seconds }: Props) {
  const pictures = useMovement(from, to, FRAMES);
  const [at, setAt] = useState(0);
  const [running, setRunning] = useState(false);
  useEffect(() => {
    if (!running) return;
    const timer = setInterval(() => setAt((now) => Math.min(FRAMES - 1, now + 1)), (seconds * 1000) / FRAMES);
    return () => clearInterval(timer);
  }, [running, seconds]);
  useEffect(() => {
    if (at === FRAMES - 1) setRunning(false);
  }, [at]);
  const picture = pictures?.[at];
  return (
    <figure className={styles.movement} aria-label={say.hereThere}>
      {picture ? (
        <Drawing picture={picture} words={at * 2 < FRAMES ? pictureWords(from) : pictureWords(to)} />
      ) : (
        <span className="soft">…</span>
      )}
      <figcaption>
        <PlayHead
          at={at}
          end={FRAMES - 1}
          step={1}
          running={running}
          onAt={setAt}
          onRun={setRunning}
          words={{
            run: 'Play the movement',
            stop: 'Stop the movement',
            place: say.howFarAlongMovement,
          }}
          disabled={!pictures}
        />
      </figcaption>
    </figure>
  );
}
