import type { LineChange } from '@aftersquall/core/formats';
import styles from './lines.module.scss';

const WORDS: Record<LineChange['change'], string> = { new: 'new', changed: 'changed', gone: 'removed' };

/** What lines would change in the map, one by one. */
export function LineChanges({ changes }: { changes: readonly LineChange[] }) {
  if (changes.length === 0) return null;
  return (
    <ul className={`${styles.changes} list-unstyled mb-1`} aria-label="What this changes">
      {changes.map((change) => (
        <li key={`${change.kind} ${change.id} ${change.change}`} className={change.change}>
          <b>{WORDS[change.change]}</b> {change.kind} {change.name}
          {change.line > 0 && <small className="soft"> line {change.line}</small>}
        </li>
      ))}
    </ul>
  );
}
