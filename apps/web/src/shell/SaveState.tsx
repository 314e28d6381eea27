import { CircleCheck, CloudOff, LoaderCircle } from 'lucide-react';
import { selectSession, send } from '../store/mapSession.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';

/** Whether what is on screen is on disk. */
export function SaveState() {
  const dispatch = useAppDispatch();
  const { state, waiting, trouble } = useAppSelector(selectSession);
  if (state === 'unsaved') {
    return (
      <span className="save-state bad" role="alert">
        <CloudOff size={15} aria-hidden /> Not saved: {trouble}
        <button type="button" className="btn btn-sm btn-plain" onClick={() => void dispatch(send())}>
          Try again
        </button>
      </span>
    );
  }
  return (
    <span className="save-state" aria-live="polite">
      {waiting.length > 0 ? <LoaderCircle size={15} aria-hidden /> : <CircleCheck size={15} aria-hidden />}
      {waiting.length > 0 ? 'Saving' : 'Saved'}
    </span>
  );
}
