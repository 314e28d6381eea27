import { type Position } from '@aftersquall/core/model';
import { type BodyFit, poseKey } from '@aftersquall/core/pose';
import { useEffect, useState } from 'react';
import { Drawing } from '../../../components/PositionPicture.tsx';
import { askFit } from '../../../workers/pictures.ts';
import { say } from '../words.ts';
import styles from './sheet.module.scss';

/** How the position fits other bodies, computed when it is asked for; beside what the coach says of builds, never instead of it. */
export function BodyFitPart({ position }: { position: Position }) {
  const [fits, setFits] = useState<BodyFit[]>();
  const [busy, setBusy] = useState(false);
  const key = poseKey(position);
  useEffect(() => {
    if (key) setFits(undefined);
  }, [key]);
  const ask = async () => {
    setBusy(true);
    try {
      setFits(await askFit(position));
    } finally {
      setBusy(false);
    }
  };
  if (!fits)
    return (
      <button type="button" className="btn btn-sm btn-plain mt-2" disabled={busy} onClick={() => void ask()}>
        {busy ? 'Trying other bodies…' : say.howFitsOtherBodies}
      </button>
    );
  return (
    <section className={styles.fits} aria-label={say.howFitsOtherBodies}>
      {fits.map(({ build, verdict, picture }) => (
        <figure key={build}>
          <Drawing picture={picture} words={`With ${build}.`} shown={[]} />
          <figcaption>
            {build}: <b>{verdict}</b>
          </figcaption>
        </figure>
      ))}
      <small className="soft">{say.computedLimbLengthsWeight}</small>
    </section>
  );
}
