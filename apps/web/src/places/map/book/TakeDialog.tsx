import type { takeBook } from '@aftersquall/core/formats';
import { type ReactNode, useState } from 'react';
import { Modal } from 'react-bootstrap';
import { changeMap } from '../../../store/openMap.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { BookChanges } from './BookChanges.tsx';

interface Props {
  title: string;
  /** What taking the book in would do; nothing as long as it cannot be taken. */
  taken: ReturnType<typeof takeBook> | undefined;
  /** The words of the button that does it, where there is to be one, and of the one that does not. */
  words: { take?: string; leave: string };
  /** Begins the sentence that says what was done. */
  announce: string;
  onHide: () => void;
  children: ReactNode;
}

/** A guard book comes into the map: what it changes stands here before one press does it. */
export function TakeDialog({ title, taken, words, announce, onHide, children }: Props) {
  const dispatch = useAppDispatch();
  const [trouble, setTrouble] = useState<string[]>([]);
  const take = () => {
    if (!taken) return;
    const refused = dispatch(
      changeMap(taken.command, { announce: `${announce}: ${taken.changes.length} changes.` }),
    );
    if (refused.length === 0) onHide();
    else setTrouble(refused.map(({ message }) => message));
  };
  return (
    <Modal show onHide={onHide} aria-labelledby="take-title" scrollable size="lg" animation={false}>
      <Modal.Header closeButton>
        <Modal.Title id="take-title" as="h2">
          {title}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        {children}
        {taken && <BookChanges changes={taken.changes} />}
        {trouble.map((message) => (
          <p key={message} className="hazard mb-1">
            {message}
          </p>
        ))}
      </Modal.Body>
      <Modal.Footer>
        <button type="button" className="btn btn-plain" onClick={onHide}>
          {words.leave}
        </button>
        {words.take && (
          <button
            type="button"
            className="btn btn-now"
            disabled={!taken || taken.changes.length === 0}
            onClick={take}
          >
            {words.take}
          </button>
        )}
      </Modal.Footer>
    </Modal>
  );
}
