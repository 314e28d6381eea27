import { landingWords, reactionName, wornWords } from '@aftersquall/core/body';
import { type GuardMap, type Position, reactionKey, timesInTen } from '@aftersquall/core/model';
import { type TopOption } from '@aftersquall/core/read';
import { useAppSelector } from '../../store/store.ts';
import styles from './read.module.scss';
import { say } from './words.ts';

interface Props {
  map: GuardMap;
  options: readonly TopOption[];
  /** Where we are, as it is written, and whether it is seen on its other side. */
  at: Position | undefined;
  mirrored: boolean;
  onSee: (reaction: string) => void;
}

/** The same moment with the eyes of top: what hurts bottom most from here. */
export function TopAnswers({ map, options, at, mirrored, onSee }: Props) {
  const apparel = useAppSelector(({ settings }) => settings.apparel);
  const listed = options.filter((option) => option.listed);
  const rest = options.filter((option) => !option.listed);
  const list = (some: readonly TopOption[], label: string) => (
    <ol className="list-unstyled" aria-label={label}>
      {some.map(({ ref, reaction, best, hurt, breaks }) => (
        <li key={reactionKey(ref)} className={styles['top-card']}>
          <button type="button" onClick={() => onSee(reactionKey(ref))}>
            <b className="top">
              {wornWords(
                reactionName(map, { id: ref.id, mirrored: Boolean(ref.mirrored) !== mirrored }, at),
                apparel,
              )}
            </b>
            <span className={styles.hurt} title={say.howOftenBestAnswer}>
              <span style={{ '--hurt': hurt } as object} aria-hidden />
              {Math.round(hurt * 100)} %
            </span>
          </button>
          <p className="small mb-0">
            {best
              ? `Your best: ${best.move.name}. It works ${timesInTen(best.chance ?? 0)}: ${landingWords(map, best.exchange!.to)}.`
              : say.haveWrittenNoAnswer2}
            {breaks > 0 && ` Breaks ${breaks} ${breaks === 1 ? 'hold' : 'holds'}.`}
          </p>
          {reaction.script && <p className="soft small mb-0">{reaction.script}</p>}
        </li>
      ))}
    </ol>
  );
  return (
    <>
      {listed.length > 0 ? list(listed, say.whatHurtsBottomMost) : <p>{say.nothingListedTopHere}</p>}
      {rest.length > 0 && (
        <details>
          <summary>{rest.length} more that top could do</summary>
          {list(rest, 'Not listed here')}
        </details>
      )}
    </>
  );
}
