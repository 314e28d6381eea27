import { type GuardBook, type GuardMap, pickSystems, takeBook } from '@aftersquall/core';
import { useMemo, useState } from 'react';
import { Modal } from 'react-bootstrap';
import { BookSystems } from '../../../components/book/BookSystems.tsx';
import { changeMap } from '../../../store/openMap.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { BookChanges } from './BookChanges.tsx';

/** Guard systems of the shipped book into this map: what they share with it is joined, and what comes is said before. */
export function AddFromBook({ map, onHide }: { map: GuardMap; onHide: () => void }) {
  const dispatch = useAppDispatch();
  const [chosen, setChosen] = useState<{ ids: ReadonlySet<string>; book?: GuardBook }>({ ids: new Set() });
  const [trouble, setTrouble] = useState<string[]>([]);
  const { ids, book } = chosen;
  const taken = useMemo(() => {
    if (!book || ids.size === 0) return undefined;
    // A position that so far came along without moves becomes a whole one.
    const whole = map.positions.filter(({ looks }) => looks.length > 0).map(({ id }) => id);
    return takeBook(map, pickSystems(book, [...ids], new Set(whole)));
  }, [map, book, ids]);
  const add = () => {
    if (!taken) return;
    const announce = `Added from the book: ${taken.changes.length} changes.`;
    const refused = dispatch(changeMap(taken.command, { announce }));
    if (refused.length === 0) onHide();
    else setTrouble(refused.map(({ message }) => message));
  };
  return (
    <Modal show onHide={onHide} aria-labelledby="add-title" scrollable size="lg" animation={false}>
      <Modal.Header closeButton>
        <Modal.Title id="add-title" as="h2">
          Add from the book
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <BookSystems chosen={ids} onChange={(next, read) => setChosen({ ids: next, book: read })} />
        {taken && <BookChanges changes={taken.changes} />}
        {[...trouble, ...(taken?.issues.map(({ message }) => message) ?? [])].map((message) => (
          <p key={message} className="hazard mb-1">
            {message}
          </p>
        ))}
      </Modal.Body>
      <Modal.Footer>
        <button type="button" className="btn btn-plain" onClick={onHide}>
          Cancel
        </button>
        <button
          type="button"
          className="btn btn-now"
          disabled={!taken || taken.changes.length === 0 || taken.issues.length > 0}
          onClick={add}
        >
          Add
        </button>
      </Modal.Footer>
    </Modal>
  );
}
