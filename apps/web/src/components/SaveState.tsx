import { CircleCheck, CloudOff, LoaderCircle } from 'lucide-react';
import { device } from '../device/device.ts';
import { selectEdited } from '../store/documents/documentsSlice.ts';
import { send } from '../store/documents/engine.ts';
import type { Session } from '../store/documents/session.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { say } from './words.ts';

/** Whether what is on screen is on disk, and what somebody else changed a moment ago. */
export function SaveState() {
  const dispatch = useAppDispatch();
  const session = useAppSelector(selectEdited);
  return session ? (
    <SaveLine
      session={session}
      lasting={device.db.lasting()}
      onTry={() => void dispatch(send(session.address))}
    />
  ) : null;
}

interface LineProps {
  session: Pick<Session, 'waiting' | 'settling' | 'online' | 'news' | 'trouble'>;
  /** Whether this browser keeps anything at all. */
  lasting: boolean;
  onTry: () => void;
}

/** The line that says so. */
export function SaveLine({
  session: { waiting, settling = 0, online, news, trouble },
  lasting,
  onTry,
}: LineProps) {
  // Saved is what comes back whatever ends the page: the server has it, and this device has written that down.
  const saving = waiting.length > 0 || settling > 0;
  if (!online && waiting.length > 0) {
    return (
      <span className="save-state bad" role="alert">
        <CloudOff size={15} aria-hidden /> {trouble ?? say.serverDoesNotAnswer} {keptWords(waiting, lasting)}
        <button type="button" className="btn btn-sm btn-plain" onClick={onTry}>
          Try now
        </button>
      </span>
    );
  }
  if (!lasting)
    return (
      <span className="save-state bad" role="alert">
        {say.browserCannotStoreAnything} {saving ? 'Saving' : 'Saved'}
      </span>
    );
  return (
    <span className="save-state" aria-live="polite">
      {news && (
        <span className="news" title={news.what}>
          {news.who || 'Somebody else'} a moment ago: {news.what}
        </span>
      )}
      {saving ? <LoaderCircle size={15} aria-hidden /> : <CircleCheck size={15} aria-hidden />}
      <span>{saving ? 'Saving' : 'Saved'}</span>
    </span>
  );
}

function keptWords(waiting: Session['waiting'], lasting: boolean): string {
  const [count, they] =
    waiting.length === 1 ? ['One change is', 'it'] : [`${waiting.length} changes are`, 'they'];
  return lasting && waiting.every((change) => change.kept)
    ? `${count} kept on this device. ${they === 'it' ? 'It is' : 'They are'} sent when it is back.`
    : say.notStoredDeviceKeep(count);
}
