import type { BookChange } from '@aftersquall/core/formats';
import { say } from '../words.ts';

const WORDS: Record<BookChange['change'], string> = { new: 'new', changed: 'changed', gone: 'removed' };
/** So many names are listed of each. */
const MAX_NAMES_LISTED = 12;

/** How many things of each kind are new, changed or taken out, and the first of them by name. */
export function BookChanges({ changes }: { changes: readonly BookChange[] }) {
  if (changes.length === 0) return <p className="mt-3">No differences.</p>;
  const groups = new Map<string, BookChange[]>();
  for (const change of changes) {
    const key = `${WORDS[change.change]} ${change.kind}`;
    groups.set(key, [...(groups.get(key) ?? []), change]);
  }
  return (
    <ul aria-label={say.whatBookChanges} className="list-unstyled mt-3">
      {[...groups].map(([key, some]) => {
        const names = some.flatMap(({ name }) => name || []);
        return (
          <li key={key} className="mb-2">
            <b>
              {some.length} {key}
              {some.length > 1 && 's'}
            </b>
            {names.length > 0 && (
              <span className="soft">
                {' '}
                {names.slice(0, MAX_NAMES_LISTED).join(', ')}
                {names.length > MAX_NAMES_LISTED && ` and ${names.length - MAX_NAMES_LISTED} more`}
              </span>
            )}
          </li>
        );
      })}
    </ul>
  );
}
