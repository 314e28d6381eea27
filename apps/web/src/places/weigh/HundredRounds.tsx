import type { End } from '@aftersquall/core/weigh';
import { hundredOf } from './hundredOf.ts';
import styles from './roundStory.module.scss';
import { endWords, shortEndWords } from './storyWords.ts';
import { say } from './words.ts';

/** A part as wide as this many rounds has room for its name. */
const ROOM = 11;

/** What becomes of a hundred rounds, as one bar: ours, nobody's, theirs; what has no room in it is named below. */
export function HundredRounds({ chances }: { chances: Record<End, number> }) {
  const parts = hundredOf(chances);
  return (
    <figure className={styles.hundred} aria-label={say.whatBecomesHundredRounds}>
      <div>
        {parts.map(({ end, side, rounds }) => (
          <span
            key={end}
            className={styles[side]}
            style={{ flexGrow: rounds }}
            title={`${rounds} of a hundred: ${endWords(end)}`}
          >
            <b>{rounds >= 3 ? rounds : ''}</b>
            {rounds >= ROOM && <small>{shortEndWords(end)}</small>}
          </span>
        ))}
      </div>
      <figcaption className="soft small">
        {parts.map(({ end, rounds }) => (
          <span key={end} className={rounds >= ROOM ? styles.named : ''}>
            {rounds} {endWords(end)}
          </span>
        ))}
      </figcaption>
    </figure>
  );
}
