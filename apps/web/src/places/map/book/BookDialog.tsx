import { type BookError, type BookFile, type GuardMap, parseGuardBook, takeBook } from '@aftersquall/core';
import { useMemo, useState } from 'react';
import { Modal } from 'react-bootstrap';
import { changeMap } from '../../../store/openMap.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { BookChanges } from './BookChanges.tsx';

interface Props {
  map: GuardMap;
  files: readonly BookFile[];
  onHide: () => void;
}

/** So many mistakes are listed. */
const MOST = 50;

/** What files of a guard book would change in the map, before anything is changed; or what is wrong in them, and where. */
export function BookDialog({ map, files, onHide }: Props) {
  const dispatch = useAppDispatch();
  const [whole, setWhole] = useState(false);
  const [trouble, setTrouble] = useState<string[]>([]);
  const { book, errors, places } = useMemo(() => parseGuardBook(files), [files]);
  const { changes, command, issues } = useMemo(() => takeBook(map, book, { whole }), [map, book, whole]);
  const sound = errors.length === 0 && issues.length === 0;
  const apply = () => {
    const refused = dispatch(
      changeMap(command, { announce: `Took in a guard book: ${changes.length} changes.` }),
    );
    if (refused.length === 0) onHide();
    else setTrouble(refused.map(({ message }) => message));
  };
  return (
    <Modal show onHide={onHide} aria-labelledby="book-title" scrollable size="lg" animation={false}>
      <Modal.Header closeButton>
        <Modal.Title id="book-title" as="h2">
          {errors.length > 0 ? 'The book has mistakes; nothing was changed' : 'What the book changes'}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        {errors.length > 0 && <Errors errors={errors} />}
        {errors.length === 0 && issues.length > 0 && (
          <ul aria-label="What leads nowhere" className="hazard">
            {issues.slice(0, MOST).map(({ path, message, at }) => (
              <li key={`${path.join('.')} ${message}`}>
                <code>{places.get(at) ?? 'in the map'}</code> {message} (in the {at})
              </li>
            ))}
          </ul>
        )}
        {sound && (
          <>
            <label className="form-check">
              <input
                type="checkbox"
                className="form-check-input"
                checked={whole}
                onChange={({ target }) => setWhole(target.checked)}
              />{' '}
              The book is the whole map: take out what it does not say
            </label>
            <BookChanges changes={changes} />
          </>
        )}
        {trouble.map((message) => (
          <p key={message} className="hazard mb-1">
            {message}
          </p>
        ))}
      </Modal.Body>
      <Modal.Footer>
        <button type="button" className="btn btn-plain" onClick={onHide}>
          {sound ? 'Leave it' : 'Close'}
        </button>
        {sound && (
          <button type="button" className="btn btn-now" disabled={changes.length === 0} onClick={apply}>
            Take it in
          </button>
        )}
      </Modal.Footer>
    </Modal>
  );
}

function Errors({ errors }: { errors: readonly BookError[] }) {
  return (
    <ol aria-label="Mistakes" className="list-unstyled">
      {errors.slice(0, MOST).map(({ file, line, column, message }) => (
        <li key={`${file} ${line} ${column} ${message}`} className="mb-1">
          <code>
            {file}:{line}:{column}
          </code>{' '}
          {message}
        </li>
      ))}
      {errors.length > MOST && <li>and {errors.length - MOST} more</li>}
    </ol>
  );
}
