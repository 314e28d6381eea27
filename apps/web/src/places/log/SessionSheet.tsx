import { type Command, type Issue } from '@aftersquall/core/documents';
import {
  athletesOf,
  type Club,
  type GuardMap,
  type PracticeRecord,
  type RecordOf,
  recordsOf,
} from '@aftersquall/core/model';
import { Trash2 } from 'lucide-react';
import { type FormEvent, useState } from 'react';
import { DraftScope, useDraft } from '../../components/fields/useDraft.tsx';
import { NewAthlete } from '../../components/NewAthlete.tsx';
import { TakeOut } from '../../components/TakeOut.tsx';
import { useListRecordsQuery } from '../../store/api.ts';
import { newKey, newRecord } from '../../store/records/newRecord.ts';
import { keepAndSend } from '../../store/records/records.ts';
import { FaultForm } from './FaultForm.tsx';
import styles from './log.module.scss';
import { lineOf } from './logPart.ts';
import { SessionBlocks } from './SessionBlocks.tsx';
import { TryForm } from './TryForm.tsx';
import { say } from './words.ts';

interface Props {
  map: GuardMap;
  session: string;
  club: Club | undefined;
  onClub: (command: Command, announce?: string) => Issue[];
  onKept: () => void;
}

/** The record of one class: what ran, who was there, what was tried, a note; all that the Mat knows stands there already. */
export function SessionSheet({ map, session, club, onClub, onKept }: Props) {
  const { data, refetch } = useListRecordsQuery(
    { params: {}, query: { session } },
    { refetchOnMountOrArgChange: true },
  );
  const records = data?.records ?? [];
  const [gone, setGone] = useState<PracticeRecord[]>();
  const [head] = recordsOf(records, 'session').slice(-1);
  const keep = async (made: PracticeRecord[]) => {
    await keepAndSend(made);
    await refetch();
    onKept();
  };
  if (gone)
    return (
      <p className={styles.sheet}>
        {say.recordUndone}{' '}
        <button
          type="button"
          className="chip"
          onClick={() => void keep(again(gone)).then(() => setGone(undefined))}
        >
          Restore it
        </button>
      </p>
    );
  if (!head) return <p className="soft">{data ? say.serverDoesNotHave : 'Opening the record…'}</p>;
  const at = { map: map.id, session, date: head.date };
  const takeBack = (record: PracticeRecord) => keep([newRecord(at, { kind: 'void', voids: record.key })]);
  const present = athletesOf(head, recordsOf(records, 'attended'));
  // A tick is a record of its own: two quick ones are two.
  const flip = ({ id, alias }: { id: string; alias: string }, there: boolean) =>
    void keep([newRecord(at, { kind: 'attended', athlete: { id, alias }, there })]);
  return (
    <section className={styles.sheet} aria-label={say.recordClass}>
      <h2>
        {head.name} <small className="soft">{head.date}</small>
      </h2>
      {club && (
        <div className="chip-field" role="group" aria-label="Who was there">
          {club.athletes.map((athlete) => {
            const there = present.some(({ id }) => id === athlete.id);
            return (
              <button
                key={athlete.id}
                type="button"
                className={`chip ${there ? 'on' : ''}`}
                aria-pressed={there}
                onClick={() => flip(athlete, !there)}
              >
                {athlete.alias}
              </button>
            );
          })}
          <NewAthlete club={club} onChange={onClub} onAdded={(athlete) => flip(athlete, true)} />
        </div>
      )}
      <SessionBlocks
        blocks={recordsOf(records, 'block')}
        onReps={(block, reps) => void keep(corrected(block, reps))}
      />
      <h3>What was tried</h3>
      <TryForm
        map={map}
        club={club}
        present={present}
        session={session}
        onTries={(given) => void keep(given.map((one) => newRecord(at, one)))}
      />
      <ul className="list-unstyled">
        {[...recordsOf(records, 'trial')].reverse().map((trial) => (
          <li key={trial.key} className={styles.tried}>
            <b className={trial.worked ? 'own' : 'top'}>{trial.worked ? 'worked' : 'not'}</b> {lineOf(trial)}{' '}
            <span className="soft">
              {trial.resistance}
              {trial.athlete && `, ${trial.athlete.alias}`}
              {trial.count > 1 && `, ${trial.count} times`}
            </span>
            <TakeOut label={`Undo: ${lineOf(trial)}`} onClick={() => void takeBack(trial)} />
          </li>
        ))}
      </ul>
      <h3>Faults</h3>
      <FaultForm
        map={map}
        onFault={(fault) => void keep([newRecord(at, { kind: 'fault', ...fault, count: 1 })])}
      />
      <ul className="list-unstyled">
        {recordsOf(records, 'fault').map((fault) => (
          <li key={fault.key} className={styles.tried}>
            {fault.fault} <span className="soft">{fault.name}</span>
            {fault.count > 1 && ` × ${fault.count}`}
            <TakeOut label={`Undo: ${fault.fault}`} onClick={() => void takeBack(fault)} />
          </li>
        ))}
      </ul>
      <h3>Notes</h3>
      {recordsOf(records, 'note').map((note) => (
        <p key={note.key} className={styles.tried}>
          {note.text}
          <TakeOut label={`Undo: ${note.text}`} onClick={() => void takeBack(note)} />
        </p>
      ))}
      <DraftScope value={`session/${session}`}>
        <NoteForm onNote={(text) => void keep([newRecord(at, { kind: 'note', text })])} />
      </DraftScope>
      <button
        type="button"
        className="btn btn-sm btn-plain mt-2"
        onClick={() => {
          setGone(records);
          void keep(records.map(({ key }) => newRecord(at, { kind: 'void', voids: key })));
        }}
      >
        <Trash2 size={14} aria-hidden /> Undo the whole record
      </button>
    </section>
  );
}

/** The same facts once more, under keys of their own: what was taken back stays taken back. */
const again = (records: readonly PracticeRecord[]): PracticeRecord[] =>
  records.map((record) => ({ ...record, key: newKey() }));

/** A block with other reps than were recorded of it: the record before it is taken back. */
function corrected({ key, at, ...block }: RecordOf<'block'>, reps: number): PracticeRecord[] {
  const session = { map: block.map, session: block.session, date: block.date };
  return [
    newRecord(session, { kind: 'void', voids: key }),
    // It happened when it happened: only what is said of it is another.
    { ...newRecord(session, { ...block, reps }), at },
  ];
}

function NoteForm({ onNote }: { onNote: (text: string) => void }) {
  const { text, type, settle } = useDraft('', 'note');
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (text.trim()) onNote(text.trim());
    settle('');
  };
  return (
    <form onSubmit={submit} className={styles.try}>
      <input
        className="form-control"
        aria-label={say.noteClass}
        placeholder="what you want to remember"
        value={text}
        maxLength={2000}
        onChange={(event) => type(event.target.value)}
      />
      <button type="submit" className="btn btn-plain">
        Save the note
      </button>
    </form>
  );
}
