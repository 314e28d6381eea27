import { CircleCheck, CloudOff, LoaderCircle } from 'lucide-react';
import { selectEdited } from '../store/documents/documentsSlice.ts';
import { send } from '../store/documents/engine.ts';
import type { Session } from '../store/documents/session.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';

/** Whether what is on screen is on disk, and what somebody else changed a moment ago. */
export function SaveState() {
  const dispatch = useAppDispatch();
  const session = useAppSelector(selectEdited);
  return session ? <SaveLine session={session} onTry={() => void dispatch(send(session.address))} /> : null;
}

interface LineProps {
  session: Pick<Session, 'waiting' | 'online' | 'news' | 'trouble'>;
  onTry: () => void;
}

/** The line that says so. */
export function SaveLine({ session: { waiting, online, news, trouble }, onTry }: LineProps) {
  if (!online && waiting.length > 0) {
    const count = waiting.length === 1 ? 'One change is' : `${waiting.length} changes are`;
    const kept = waiting.every((change) => change.kept);
    return (
      <span className="save-state bad" role="alert">
        <CloudOff size={15} aria-hidden /> {count}{' '}
        {kept ? 'kept on this device.' : 'not on this device’s disk yet: leave this page open.'} {trouble}
        <button type="button" className="btn btn-sm btn-plain" onClick={onTry}>
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
