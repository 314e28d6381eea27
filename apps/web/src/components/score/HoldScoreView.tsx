import { contactName } from '@aftersquall/core/body';
import { type Apparel, type ChainTurn, type GuardMap, readTurn, turnText } from '@aftersquall/core/model';
import { type HoldScore, holdScore, type ScoreBar } from '@aftersquall/core/score';
import { FlipHorizontal2 } from 'lucide-react';
import { type CSSProperties, useEffect, useMemo, useState } from 'react';
import { ApparelToggle } from '../ApparelToggle.tsx';
import { clock } from '../clock.ts';
import { Hazards } from '../Hazards.tsx';
import { PlayHead } from '../PlayHead.tsx';
import { say } from '../words.ts';
import styles from './holdScore.module.scss';

interface Props {
  map: GuardMap;
  /** Answers by their ids, and turns that fail or wait. */
  exchanges: readonly ChainTurn[];
  /** What is worn, until it is looked at otherwise. */
  apparel: Apparel;
}

/** How a bar ends, where that is top's doing or a miss. */
const ENDS_WORDS: Partial<Record<ScoreBar['ends'], string>> = {
  broken: ', broken by top',
  fails: ', gone as it fails',
};
/** The play head moves on so often, ms. */
const TICK = 100;

/** A chain as a score: a lane a limb with what it holds, a lane for top, the steps below, and a play head at drill pace. */
export function HoldScoreView({ map, exchanges, apparel: worn }: Props) {
  const [apparel, setApparel] = useState(worn);
  const [flipped, setFlipped] = useState(false);
  useEffect(() => setApparel(worn), [worn]);
  const chain = exchanges.map(turnText).join(' ');
  const score = useMemo((): HoldScore | undefined => {
    try {
      return holdScore(
        map,
        chain.split(' ').flatMap((text) => readTurn(text) ?? []),
        apparel,
        flipped,
      );
    } catch {
      // An exchange of the class that is not in the map any more: there is no score of it.
      return undefined;
    }
  }, [map, chain, apparel, flipped]);
  const [at, setAt] = useState(0);
  const [running, setRunning] = useState(false);
  const seconds = score?.seconds ?? 0;
  // biome-ignore lint/correctness/useExhaustiveDependencies: where the head stands is where it goes on from; it does not begin anew with every tick
  useEffect(() => {
    if (!running) return;
    const began = performance.now() - at * 1000;
    const timer = setInterval(() => {
      const now = (performance.now() - began) / 1000;
      setAt(Math.min(now, seconds));
      if (now >= seconds) setRunning(false);
    }, TICK);
    return () => clearInterval(timer);
  }, [running, seconds]);
  if (!score || score.seconds === 0) return null;
  const share = (time: number) => `${(time / score.seconds) * 100}%`;
  const now = score.steps.findLast((step) => step.at <= at + 1e-6);
  return (
    <figure className={styles.score} aria-label="Hold score">
      <figcaption>
        <PlayHead
          at={at}
          end={score.seconds}
          step={0.5}
          running={running}
          onAt={setAt}
          onRun={setRunning}
          words={{ run: 'Play', stop: 'Stop', place: 'Moment shown' }}
        />
        <span>
          {clock(at)} of {clock(score.seconds)}
        </span>
        <button
          type="button"
          className={`btn btn-sm ${flipped ? 'btn-dark' : 'btn-plain'}`}
          aria-pressed={flipped}
          onClick={() => setFlipped(!flipped)}
        >
          <FlipHorizontal2 size={14} aria-hidden /> Other side
        </button>
        <ApparelToggle label={say.showWithoutJacket} value={apparel} onChange={setApparel} />
      </figcaption>
      <div className={styles.lanes} style={{ '--at': share(at) } as CSSProperties}>
        {score.lanes.map(({ contact, bars }) => (
          <div key={contact} className={styles.lane}>
            <span>{contactName(contact)}</span>
            <div>
              {bars.map((bar) => (
                <span
                  key={`${bar.from} ${bar.held}`}
                  className={`${styles.bar} ${bar.keep ? styles.keep : ''} ${bar.ends === 'broken' || bar.ends === 'fails' ? styles.broken : ''}`}
                  style={{ left: share(bar.from), width: share(bar.to - bar.from) }}
                  title={`${bar.held}, ${clock(bar.from)} to ${clock(bar.to)}${bar.keep ? ', to be kept' : ''}${ENDS_WORDS[bar.ends] ?? ''}${bar.handedFrom ? `, from the ${contactName(bar.handedFrom)}` : ''}`}
                >
                  {bar.handedFrom && '↪ '}
                  {bar.held}
                </span>
              ))}
            </div>
          </div>
        ))}
        {score.top.length > 0 && (
          <div className={`${styles.lane} ${styles.top}`}>
            <span>top</span>
            <div>
              {score.top.map(({ at: when, name }, i) => (
                <span
                  key={`${when} ${name}`}
                  className={styles.event}
                  style={{ left: share(when), maxWidth: share((score.top[i + 1]?.at ?? seconds) - when) }}
                  title={name}
                >
                  ▼ {name}
                </span>
              ))}
            </div>
          </div>
        )}
      </div>
      <p className={styles.step} aria-live="polite">
        {now ? (
          <>
            <b>{now.text}</b> {now.cue && <em>{now.cue}</em>} <Hazards tags={now.hazards} />
          </>
        ) : (
          'The start.'
        )}
        {flipped && <small className="soft"> {say.leftRightThoseSide}</small>}
      </p>
      <ol className={styles.all}>
        {score.steps.map(({ at: when, text, cue }) => (
          <li key={`${when} ${text}`}>
            {clock(when)} {text} {cue && <em>{cue}</em>}
          </li>
        ))}
      </ol>
      {score.troubles.map(({ at: when, text }) => (
        <p key={`${when} ${text}`} className="hazard small mb-0">
          {clock(when)}: {text}
        </p>
      ))}
    </figure>
  );
}
