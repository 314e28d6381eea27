import { HISTORY_PAGE, type HistoryLine } from '@aftersquall/core/contract';
import { diffDocuments } from '@aftersquall/core/documents';
import { type GuardMap } from '@aftersquall/core/model';
import { format, isSameDay, parseISO } from 'date-fns';
import { RotateCcw } from 'lucide-react';
import { useState } from 'react';
import { SavedField } from '../../../components/fields/SavedField.tsx';
import { refusalOf, useLazyGetRevisionQuery, useListHistoryQuery } from '../../../store/api.ts';
import { selectEdited } from '../../../store/documents/documentsSlice.ts';
import { changeMap } from '../../../store/openMap.ts';
import { setCoach } from '../../../store/settings.ts';
import { useAppDispatch, useAppSelector } from '../../../store/store.ts';
import styles from '../map.module.scss';
import { say } from '../words.ts';

/** Every change of the map, the newest first: who, what, when; any revision can be had back, as one more change. */
export function HistoryPane({ map }: { map: GuardMap }) {
  const dispatch = useAppDispatch();
  const { coach } = useAppSelector((state) => state.settings);
  const waiting = useAppSelector((state) => selectEdited(state)?.waiting.length ?? 0);
  const address = { kind: 'map', id: map.id } as const;
  const [before, setBefore] = useState<number>();
  const { data: changes = [], error } = useListHistoryQuery({
    params: address,
    query: { ...(before !== undefined && { before }) },
  });
  const [fetchRevision] = useLazyGetRevisionQuery();
  const [trouble, setTrouble] = useState('');

  const restore = async (revision: number) => {
    const answer = await fetchRevision({ params: { ...address, revision } });
    if (!answer.data) return setTrouble(refusalOf(answer.error).message);
    const command = diffDocuments(map, answer.data.document as GuardMap, `Revision ${revision} restored`);
    if (command.commands.length === 0) return setTrouble(say.mapAlreadyThen);
    const announce = say.mapBackRevision(revision);
    const issues = dispatch(changeMap(command, { announce }));
    setTrouble(issues.map(({ message }) => message).join('; '));
  };
  return (
    <>
      <SavedField
        label={say.nameHistory}
        value={coach}
        placeholder="not given"
        onSave={(name) => {
          if (name.trim().length > 60) return say.most60Characters;
          dispatch(setCoach(name.trim()));
          return undefined;
        }}
      />
      {(error || trouble) && <p className="hazard mt-2 mb-0">{trouble || refusalOf(error).message}</p>}
      {waiting > 0 && <p className="soft small mt-2 mb-0">{say.changesStillBeingSaved}</p>}
      {changes.length === 0 && <p className="mt-2">No changes yet.</p>}
      <ol className="history list-unstyled mt-2">
        {changes.map((change, i) => (
          <Change
            key={change.revision}
            change={change}
            above={changes[i - 1]}
            onRestore={() => void restore(change.revision)}
          />
        ))}
        {before === undefined && changes.length > 0 && (
          <li>
            <button type="button" className="btn btn-sm btn-plain" onClick={() => void restore(1)}>
              <RotateCcw size={13} aria-hidden /> As it was at the start
            </button>
          </li>
        )}
      </ol>
      <div className="d-flex gap-2">
        {before !== undefined && (
          <button type="button" className="btn btn-sm btn-plain" onClick={() => setBefore(undefined)}>
            Newest
          </button>
        )}
        {changes.length === HISTORY_PAGE && (
          <button
            type="button"
            className="btn btn-sm btn-plain"
            onClick={() => setBefore(changes.at(-1)!.revision)}
          >
            Older
          </button>
        )}
      </div>
    </>
  );
}

interface ChangeProps {
  change: HistoryLine;
  above: HistoryLine | undefined;
  onRestore: () => void;
}

function Change({ change, above, onRestore }: ChangeProps) {
  const at = parseISO(change.at);
  const newDay = !above || !isSameDay(at, parseISO(above.at));
  return (
    <>
      {newDay && <li className="label-small mt-2">{format(at, 'EEEE d MMMM')}</li>}
      <li className={styles['history-row']}>
        <span className="soft">{format(at, 'HH:mm')}</span>
        <span>
          {change.what}
          {change.who && <small className="soft"> {change.who}</small>}
        </span>
        <button
          type="button"
          className="bare"
          title={`Back to revision ${change.revision}`}
          aria-label={`Back to revision ${change.revision}: ${change.what}`}
          onClick={onRestore}
        >
          <RotateCcw size={14} aria-hidden />
        </button>
      </li>
    </>
  );
}
