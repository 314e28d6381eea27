import { useNavigate } from 'react-router';
import { addressOfDocument } from '../components/addresses.ts';
import { refusalOf, useRemoveDocumentMutation, useRestoreDocumentMutation } from '../store/api.ts';
import { selectSession } from '../store/documents/documentsSlice.ts';
import { forgetDocument, openDocument, undoChange } from '../store/documents/engine.ts';
import { reversible } from '../store/documents/session.ts';
import { closeNotice, type Notice, notify } from '../store/notices.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import styles from './shell.module.scss';

/** What was just done, with the offer to take just that back for as long as it can be. */
export function Notices({ onAside }: { onAside?: () => void }) {
  const notice = useAppSelector(({ notices }) => notices.notice);
  const dispatch = useAppDispatch();
  if (!notice) return null;
  return (
    <div className={styles.toasts} role="status">
      <span>{notice.text}</span>
      {notice.undo && <TakeBack undo={notice.undo} />}
      {notice.removed && <HaveBack address={notice.removed} />}
      {notice.made && <TakeAllBack made={notice.made} />}
      {notice.aside && onAside && (
        <button
          type="button"
          className="btn btn-sm"
          onClick={() => {
            dispatch(closeNotice());
            onAside();
          }}
        >
          Show it
        </button>
      )}
      <button
        type="button"
        className="btn-close btn-close-white"
        aria-label="Close"
        onClick={() => dispatch(closeNotice())}
      />
    </div>
  );
}

function TakeBack({ undo: { address, key } }: { undo: NonNullable<Notice['undo']> }) {
  const dispatch = useAppDispatch();
  const session = useAppSelector(selectSession(address.kind, address.id));
  if (!reversible(session, key)) return null;
  const takeBack = () => {
    dispatch(undoChange(address, key));
    dispatch(closeNotice());
  };
  return (
    <button type="button" className="btn btn-sm" onClick={takeBack}>
      Undo
    </button>
  );
}

/** Takes back what was made together: each goes to what was removed, from where it can be had again. */
function TakeAllBack({ made }: { made: NonNullable<Notice['made']> }) {
  const dispatch = useAppDispatch();
  const [removeDocument, { isLoading }] = useRemoveDocumentMutation();
  const takeBack = async () => {
    for (const [i, address] of made.entries()) {
      const { error } = await removeDocument({ params: address });
      if (error) {
        // What is left can still be taken back.
        dispatch(notify({ text: refusalOf(error).message, made: made.slice(i) }));
        return;
      }
      dispatch(forgetDocument(address));
    }
    dispatch(notify({ text: `Removed ${made.length} ${made.length === 1 ? 'class' : 'classes'}.` }));
  };
  return (
    <button type="button" className="btn btn-sm" disabled={isLoading} onClick={() => void takeBack()}>
      Undo
    </button>
  );
}

function HaveBack({ address }: { address: NonNullable<Notice['removed']> }) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [restore] = useRestoreDocumentMutation();
  const haveBack = async () => {
    const { error } = await restore({ params: address });
    if (error) {
      // The offer stands: it may be made good of once the server is there.
      dispatch(notify({ text: refusalOf(error).message, removed: address }));
      return;
    }
    dispatch(closeNotice());
    await dispatch(openDocument(address));
    navigate(addressOfDocument(address));
  };
  return (
    <button type="button" className="btn btn-sm" onClick={() => void haveBack()}>
      Undo
    </button>
  );
}
