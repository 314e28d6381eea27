import { type BookError, type BookFile, parseGuardBook, takeBook } from '@aftersquall/core/formats';
import { type GuardMap } from '@aftersquall/core/model';
import { useMemo, useState } from 'react';
import { say } from '../words.ts';
import { TakeDialog } from './TakeDialog.tsx';

interface Props {
  map: GuardMap;
  files: readonly BookFile[];
  onHide: () => void;
}

/** So many mistakes are listed. */
const MAX_ERRORS_LISTED = 50;

/** What files of a guard book would change in the map, before anything is changed; or what is wrong in them, and where. */
export function BookDialog({ map, files, onHide }: Props) {
  const [whole, setWhole] = useState(false);
  const { book, errors, places } = useMemo(() => parseGuardBook(files), [files]);
  const taken = useMemo(() => takeBook(map, book, { whole }), [map, book, whole]);
  const { issues } = taken;
  const sound = errors.length === 0 && issues.length === 0;
  return (
    <TakeDialog
      title={errors.length > 0 ? say.bookHasMistakesNothing : say.whatBookChanges}
      taken={sound ? taken : undefined}
      words={sound ? { take: 'Change the map', leave: 'Cancel' } : { leave: 'Close' }}
      announce={say.readGuardBook2}
      onHide={onHide}
    >
      {errors.length > 0 && <Errors errors={errors} />}
      {errors.length === 0 && issues.length > 0 && (
        <ul aria-label={say.findingsBook} className="hazard">
          {issues.slice(0, MAX_ERRORS_LISTED).map(({ path, message, at }) => (
            <li key={`${path.join('.')} ${message}`}>
              <code>{places.get(at) ?? 'in the map'}</code> {message} (in the {at})
            </li>
          ))}
        </ul>
      )}
      {sound && (
        <label className="form-check">
          <input
            type="checkbox"
            className="form-check-input"
            checked={whole}
            onChange={({ target }) => setWhole(target.checked)}
          />{' '}
          The book is the whole map: remove what it leaves out
        </label>
      )}
    </TakeDialog>
  );
}

function Errors({ errors }: { errors: readonly BookError[] }) {
  return (
    <ol aria-label="Mistakes" className="list-unstyled">
      {errors.slice(0, MAX_ERRORS_LISTED).map(({ file, line, column, message }) => (
        <li key={`${file} ${line} ${column} ${message}`} className="mb-1">
          <code>
            {file}:{line}:{column}
          </code>{' '}
          {message}
        </li>
      ))}
      {errors.length > MAX_ERRORS_LISTED && <li>and {errors.length - MAX_ERRORS_LISTED} more</li>}
    </ol>
  );
}
