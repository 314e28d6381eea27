import { describeField, describeValue, type FieldOverlap } from '@aftersquall/core/documents';
import { useState } from 'react';
import { Modal } from 'react-bootstrap';
import { ChoiceToggle } from '../components/ChoiceToggle.tsx';
import { answer, answerWithBoth, putChangeAside } from '../store/documents/engine.ts';
import type { Conflict, OpenDocument } from '../store/documents/session.ts';
import { useAppDispatch } from '../store/store.ts';
import styles from './shell.module.scss';
import { say } from './words.ts';

const keyOf = ({ kind, id, path }: FieldOverlap): string => [kind, id, ...path].join('/');

interface Props {
  session: OpenDocument;
  conflict: Conflict;
}

/** Asks about a change of ours that met others': field by field, and only where both changed the same. */
export function ConflictDialog({ session, conflict }: Props) {
  const dispatch = useAppDispatch();
  const setAside = (why: string) => void dispatch(putChangeAside(session.address, conflict.key, why));
  const who = conflict.who || 'Somebody else';
  return (
    <Modal show backdrop="static" keyboard={false} aria-labelledby="conflict-title">
      {conflict.issues.length > 0 ? (
        <NoLongerFits session={session} conflict={conflict} who={who} onAside={setAside} />
      ) : (
        <BothChanged session={session} conflict={conflict} who={who} onAside={setAside} />
      )}
    </Modal>
  );
}

interface PartProps extends Props {
  who: string;
  onAside: (why: string) => void;
}

/** Both changed the same fields: mine or theirs, for each. A third change shows up here while it is asked. */
function BothChanged({ session, conflict, who, onAside }: PartProps) {
  const dispatch = useAppDispatch();
  const [theirs, setTheirs] = useState<ReadonlySet<string>>(new Set());
  const choose = (overlap: FieldOverlap, side: 'mine' | 'theirs') => {
    const next = new Set(theirs);
    if (side === 'theirs') next.add(keyOf(overlap));
    else next.delete(keyOf(overlap));
    setTheirs(next);
  };
  const go = () => {
    const { key, seen, overlaps } = conflict;
    const chosen = overlaps.filter((overlap) => theirs.has(keyOf(overlap)));
    dispatch(answer(session.address, { key, seen, theirs: chosen }));
  };
  return (
    <>
      <Header>Two people changed this</Header>
      <Modal.Body>
        {conflict.overlaps.map((overlap) => (
          <Question
            key={keyOf(overlap)}
            session={session}
            overlap={overlap}
            who={who}
            side={theirs.has(keyOf(overlap)) ? 'theirs' : 'mine'}
            onChoose={(side) => choose(overlap, side)}
          />
        ))}
      </Modal.Body>
      <Modal.Footer>
        <button
          type="button"
          className="btn btn-plain"
          onClick={() => onAside(say.changedSameTookTheirs(who))}
        >
          Decide later
        </button>
        <button type="button" className="btn btn-now" onClick={go} autoFocus>
          Go on
        </button>
      </Modal.Footer>
    </>
  );
}

/** What a change needs is gone: it is brought back, or the change is put aside. Nothing typed is thrown away. */
function NoLongerFits({ session, conflict, who, onAside }: PartProps) {
  const dispatch = useAppDispatch();
  const { key, seen, what, issues, bringBack } = conflict;
  const reason = issues.map(({ message }) => message).join('; ');
  return (
    <>
      <Header>Your change no longer fits</Header>
      <Modal.Body>
        <p>
          You changed “{what}”. {who} removed something that it needs:
        </p>
        <ul>
          {issues.map(({ message }) => (
            <li key={message}>{message}</li>
          ))}
        </ul>
        <p className="mb-0">{say.everythingElseYoursSaved}</p>
      </Modal.Body>
      <Modal.Footer>
        <button
          type="button"
          className={`btn ${bringBack ? 'btn-plain' : 'btn-now'}`}
          onClick={() => onAside(say.removedWhatNeeds(who, reason))}
          autoFocus={!bringBack}
        >
          Put my change aside
        </button>
        {bringBack && (
          <button
            type="button"
            className="btn btn-now"
            onClick={() => dispatch(answerWithBoth(session.address, { key, seen }))}
            autoFocus
          >
            Bring it back with my change
          </button>
        )}
      </Modal.Footer>
    </>
  );
}

function Header({ children }: { children: string }) {
  return (
    <Modal.Header>
      <Modal.Title id="conflict-title" as="h2">
        {children}
      </Modal.Title>
    </Modal.Header>
  );
}

interface QuestionProps {
  session: OpenDocument;
  overlap: FieldOverlap;
  who: string;
  side: 'mine' | 'theirs';
  onChoose: (side: 'mine' | 'theirs') => void;
}

function Question({ session, overlap, who, side, onChoose }: QuestionProps) {
  const document = session.server!;
  const what = describeField(session.shown ?? document, overlap);
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
