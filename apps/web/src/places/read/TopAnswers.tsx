import { landingWords, reactionName, wornWords } from '@aftersquall/core/body';
import { type GuardMap, type Position, reactionKey } from '@aftersquall/core/model';
import { type TopOption } from '@aftersquall/core/read';
import { useAppSelector } from '../../store/store.ts';
import styles from './read.module.scss';

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
            <span className={styles.hurt} title="1 minus the chance of bottom’s best answer">
              <span style={{ '--hurt': hurt } as object} aria-hidden />
              {Math.round(hurt * 100)} %
            </span>
          </button>
          <p className="small mb-0">
            {best
              ? `Bottom’s best: ${best.move.name}, ${Math.round((best.chance ?? 0) * 100)} % to ${landingWords(map, best.exchange!.to)}.`
              : 'Bottom has no answer in this map.'}
            {breaks > 0 && ` Breaks ${breaks} ${breaks === 1 ? 'hold' : 'holds'}.`}
          </p>
          {reaction.script && <p className="soft small mb-0">{reaction.script}</p>}
        </li>
      ))}
    </ol>
  );
  return (
    <>
      {listed.length > 0 ? (
        list(listed, 'What hurts bottom most')
      ) : (
        <p>Nothing is listed that top does here.</p>
      )}
      {rest.length > 0 && (
        <details>
          <summary>{rest.length} more of the catalogue, not listed here</summary>
          {list(rest, 'Not listed here')}
        </details>
      )}
    </>
  );
}
