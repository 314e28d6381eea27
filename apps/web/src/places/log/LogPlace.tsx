import { addressOf, ROUTES } from '@aftersquall/core/contract';
import { indexMap, type Practice, type PracticeFilter } from '@aftersquall/core/model';
import { format, subWeeks } from 'date-fns';
import { FileDown } from 'lucide-react';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { logAddress, matAddress } from '../../components/addresses.ts';
import { ChoiceToggle } from '../../components/ChoiceToggle.tsx';
import { Explained } from '../../components/Explained.tsx';
import { SelectField } from '../../components/fields/SelectField.tsx';
import { UndoButtons } from '../../components/UndoButtons.tsx';
import { refusalOf, useSumPracticeQuery } from '../../store/api.ts';
import { useEditedDocument } from '../../store/documents/useDocument.ts';
import { selectMap } from '../../store/openMap.ts';
import { today } from '../../store/records/newRecord.ts';
import { useOnTheWay } from '../../store/records/records.ts';
import { useAppSelector } from '../../store/store.ts';
import { useAddress } from '../../store/useAddress.ts';
import { useClub } from '../../store/useClub.ts';
import { EvidencePart } from './EvidencePart.tsx';
import { FaultsPart } from './FaultsPart.tsx';
import { ImportTrials } from './ImportTrials.tsx';
import { KeptPart } from './KeptPart.tsx';
import styles from './log.module.scss';
import { NextPart } from './NextPart.tsx';
import { RecallPart } from './RecallPart.tsx';
import { SessionsPart } from './SessionsPart.tsx';
import { say } from './words.ts';

const PARTS = [
  ['next', 'Next class'],
  ['evidence', 'Evidence'],
  ['faults', 'Faults'],
  ['kept', 'Taught and fading'],
  ['sessions', 'Sessions'],
  ['recall', 'Recall'],
] as const;
type Part = (typeof PARTS)[number][0];
const WEEKS: Record<string, number> = { '4': 4, '10': 10, '26': 26 };

/** What was practised and what it says: the next class begins from here. */
export function LogPlace() {
  const map = useAppSelector(selectMap)!;
  useEditedDocument('map', map.id);
  const { club, change: changeClub } = useClub();
  const [params, set] = useAddress();
  const session = params.get('session') ?? undefined;
  const part = session ? 'sessions' : ((params.get('part') ?? 'next') as Part);
  const [weeks, athlete, system] = [
    params.get('weeks') ?? '10',
    params.get('athlete') ?? '',
    params.get('system') ?? '',
  ];
  const ofClass = params.get('class') ?? '';
  const filter = useMemo((): PracticeFilter => {
    const since = WEEKS[weeks];
    return {
      map: map.id,
      ...(since && { from: format(subWeeks(new Date(), since), 'yyyy-MM-dd') }),
      ...(athlete && { athlete }),
      ...(ofClass && { class: ofClass }),
    };
  }, [map.id, weeks, athlete, ofClass]);
  const { data, error, refetch } = useSumPracticeQuery(
    { params: {}, query: filter },
    { refetchOnMountOrArgChange: true },
  );
  const way = useOnTheWay();
  const practice = useMemo(() => {
    if (!data || !system) return data;
    const index = indexMap(map);
    /** By the exchange where the map still has it, else by the name its position had. */
    const named = new Set(
      map.positions.filter(({ systems }) => systems.includes(system)).map(({ name }) => name),
    );
    const inside = ({ exchange, position }: { exchange: string; position: string }): boolean => {
      const move = index.move.get(index.exchange.get(exchange)?.move ?? '');
      const from = move && index.position.get(move.position);
      return from ? from.systems.includes(system) : named.has(position);
    };
    const of = <T extends { exchange: string; position: string }>(list: T[]) => list.filter(inside);
    return {
      ...data,
      trials: of(data.trials),
      taught: of(data.taught),
      missed: of(data.missed),
      grades: of(data.grades),
    };
  }, [data, system, map]);
  const classes = classesOf(practice?.sessions ?? []);
  const date = today();
  const shared = practice && {
    map,
    practice,
    date,
    athlete: athlete || undefined,
    again: () => void refetch(),
  };
  return (
    <>
      <title>{`Log · ${map.name}`}</title>
      <header className="place-bar">
        <h1>Log</h1>
        <ChoiceToggle
          label={say.partLog}
          value={part}
          choices={PARTS}
          onChange={(next) => set({ part: next === 'next' ? undefined : next, session: undefined })}
        />
        <span className="push" />
        <UndoButtons />
      </header>
      <Explained term="log" />
      <div className={styles.log}>
        <div className={styles.filters} role="group" aria-label="Which records">
          <SelectField
            label="Period"
            value={weeks}
            choices={[
              { value: '4', name: 'four weeks' },
              { value: '10', name: 'ten weeks' },
              { value: '26', name: 'half a year' },
              { value: 'all', name: 'all of it' },
            ]}
            onChange={(value) => set({ weeks: value === '10' ? undefined : value })}
          />
          <SelectField
            label="Guard system"
            value={system}
            choices={[
              { value: '', name: 'every system' },
              ...map.systems.map(({ id, name }) => ({ value: id, name })),
            ]}
            onChange={(value) => set({ system: value })}
          />
          {(ofClass || classes.length > 0) && (
            <SelectField
              label="Class"
              value={ofClass}
              choices={[{ value: '', name: 'every class' }, ...classes]}
              onChange={(value) => set({ class: value })}
            />
          )}
          <SelectField
            label="Athlete"
            value={athlete}
            choices={[
              { value: '', name: 'the whole group' },
              ...(club?.athletes ?? []).map(({ id, alias }) => ({ value: id, name: alias })),
            ]}
            onChange={(value) => set({ athlete: value })}
          />
          <span className="push" />
          <a
            className="btn btn-sm btn-plain"
            href={addressOf(ROUTES.getTrialsCsv, { query: filter })}
            download="tries.csv"
          >
            <FileDown size={15} aria-hidden /> Tries as CSV
          </a>
          <ImportTrials map={map} athletes={club?.athletes ?? []} onKept={() => void refetch()} />
        </div>
        {way.waiting > 0 && (
          <p className="soft" role="status">
            {way.waiting} {way.waiting === 1 ? 'record waits' : 'records wait'} on this device for the server.
          </p>
        )}
        {error && !data && (
          <p>
            {refusalOf(error).message}{' '}
            <button type="button" className="btn btn-now" onClick={() => void refetch()}>
              Try again
            </button>
          </p>
        )}
        {shared && practice && practice.sessions.length === 0 && part !== 'recall' && (
          <p className={styles.empty}>
            {say.noRecordsPeriod} <Link to={matAddress()}>Run a class on the Mat</Link>, or begin a record
            under <Link to={`${logAddress}?part=sessions`}>Sessions</Link>. What you count there appears here.
          </p>
        )}
        {shared && part === 'next' && shared.practice.sessions.length > 0 && <NextPart {...shared} />}
        {shared && part === 'evidence' && <EvidencePart {...shared} />}
        {shared && part === 'faults' && <FaultsPart {...shared} />}
        {shared && part === 'kept' && <KeptPart {...shared} />}
        {shared && part === 'sessions' && (
          <SessionsPart
            {...shared}
            club={club}
            onClub={changeClub}
            open={session}
            onOpen={(next) => set({ session: next, part: 'sessions' })}
          />
        )}
        {shared && part === 'recall' && <RecallPart {...shared} club={club} />}
      </div>
    </>
  );
}

/** The classes of a plan that were held, each once, by their latest name. */
function classesOf(sessions: Practice['sessions']): { value: string; name: string }[] {
  const names = new Map(sessions.flatMap(({ class: id, name }) => (id ? [[id, name] as const] : [])));
  return [...names].map(([value, name]) => ({ value, name }));
}
