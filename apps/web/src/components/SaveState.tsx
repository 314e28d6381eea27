import { CircleCheck, CloudOff, LoaderCircle } from 'lucide-react';
import { selectEdited } from '../store/documents/documentsSlice.ts';
import { send } from '../store/documents/engine.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';

/** Whether what is on screen is on disk, and what somebody else changed a moment ago. */
export function SaveState() {
  const dispatch = useAppDispatch();
  const session = useAppSelector(selectEdited);
  if (!session) return null;
  const { address, waiting, online, news } = session;
  const count = waiting.length === 1 ? 'One change is' : `${waiting.length} changes are`;
  if (!online && waiting.length > 0) {
    return (
      <span className="save-state bad" role="alert">
        <CloudOff size={15} aria-hidden /> {count} kept on this device: the server cannot be reached.
        <button type="button" className="btn btn-sm btn-plain" onClick={() => void dispatch(send(address))}>
          Try now
        </button>
      </span>
    );
  }
  return (
    <span className="save-state" aria-live="polite">
      {news && (
        <span className="news" title={news.what}>
          {news.who || 'Somebody else'} a moment ago: {news.what}
        </span>
      )}
      {waiting.length > 0 ? <LoaderCircle size={15} aria-hidden /> : <CircleCheck size={15} aria-hidden />}
      <span>{waiting.length > 0 ? 'Saving' : 'Saved'}</span>
    </span>
  );
}
