import { Modal } from 'react-bootstrap';
import { putChangeAside } from '../store/documents/engine.ts';
import type { Conflict, OpenDocument } from '../store/documents/session.ts';
import { useAppDispatch } from '../store/store.ts';
import { say } from './words.ts';

interface Props {
  session: OpenDocument;
  conflict: Conflict;
  onDone: () => void;
}

/** Stands in for a question that could not be shown: what is wrong with one change never stops the program. */
export function CannotAsk({ session, conflict, onDone }: Props) {
  const dispatch = useAppDispatch();
  const aside = async () => {
    await dispatch(putChangeAside(session.address, conflict.key, say.programCouldNotAsk));
    onDone();
  };
  return (
    <Modal show backdrop="static" keyboard={false} aria-labelledby="cannot-ask">
      <Modal.Header>
        <Modal.Title id="cannot-ask" as="h2">
          Your change needs an answer
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <p className="mb-0">
          Somebody else changed the same as “{conflict.what}”, and the program could not show the question.
          This is our bug, not your mistake. Put your change aside: it stays on this device.
        </p>
      </Modal.Body>
      <Modal.Footer>
        <button type="button" className="btn btn-now" onClick={() => void aside()} autoFocus>
          Put my change aside
        </button>
      </Modal.Footer>
    </Modal>
  );
}
