import { describeField, describeValue, type FieldOverlap } from '@aftersquall/core';
import { useState } from 'react';
import { Modal } from 'react-bootstrap';
import { ChoiceToggle } from '../components/ChoiceToggle.tsx';
import { settle } from '../store/documents/engine.ts';
import type { Conflict, Session } from '../store/documents/session.ts';
import { useAppDispatch } from '../store/store.ts';
import styles from './shell.module.scss';

const keyOf = ({ kind, id, path }: FieldOverlap): string => [kind, id, ...path].join('/');

/** Asks about a change of ours that met others': field by field, and only where both changed the same. */
export function ConflictDialog({ session, conflict }: { session: Session; conflict: Conflict }) {
  const dispatch = useAppDispatch();
  const [theirs, setTheirs] = useState<ReadonlySet<string>>(new Set());
  const choose = (overlap: FieldOverlap, side: 'mine' | 'theirs') => {
    const next = new Set(theirs);
    if (side === 'theirs') next.add(keyOf(overlap));
    else next.delete(keyOf(overlap));
    setTheirs(next);
  };
  const impossible = conflict.issues.length > 0;
  const go = () => {
    const fields = conflict.overlaps.filter((overlap) => theirs.has(keyOf(overlap)));
    dispatch(settle(session.address, impossible ? conflict.overlaps : fields));
  };
  const who = conflict.who || 'Somebody else';
  return (
    <Modal show backdrop="static" keyboard={false} aria-labelledby="conflict-title">
      <Modal.Header>
        <Modal.Title id="conflict-title" as="h2">
          {impossible ? 'Your change no longer fits' : 'Changed by two people at once'}
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        {impossible ? (
          <>
            <p>
              {who} changed what “{conflict.what}” builds on. Everything else of yours is kept.
            </p>
            <ul>
              {conflict.issues.map(({ message }) => (
                <li key={message}>{message}</li>
              ))}
            </ul>
          </>
        ) : (
          conflict.overlaps.map((overlap) => (
            <Question
              key={keyOf(overlap)}
              session={session}
              overlap={overlap}
              who={who}
              side={theirs.has(keyOf(overlap)) ? 'theirs' : 'mine'}
              onChoose={(side) => choose(overlap, side)}
            />
          ))
        )}
      </Modal.Body>
      <Modal.Footer>
        <button type="button" className="btn btn-now" onClick={go} autoFocus>
          {impossible ? 'Leave my change out' : 'Go on'}
        </button>
      </Modal.Footer>
    </Modal>
  );
}

interface QuestionProps {
  session: Session;
  overlap: FieldOverlap;
  who: string;
  side: 'mine' | 'theirs';
  onChoose: (side: 'mine' | 'theirs') => void;
}

function Question({ session, overlap, who, side, onChoose }: QuestionProps) {
  const document = session.server!;
  const what = describeField(document, overlap);
  const words = (value: unknown) => describeValue(document, overlap, value);
  return (
    <div className={styles['conflict-question']}>
      <p className="mb-1">
        <b>{what}</b>
      </p>
      <ChoiceToggle
        label={what}
        value={side}
        choices={[
          ['mine', `Yours: ${words(overlap.mine)}`],
          ['theirs', `${who}: ${words(overlap.theirs)}`],
        ]}
        onChange={onChoose}
      />
    </div>
  );
}
