import { answerName } from '@aftersquall/core/body';
import {
  type Block,
  type ClassPlan,
  type GuardMap,
  indexMap,
  type PracticeRecord,
  recordsOf,
  type SeenFault,
} from '@aftersquall/core/model';
import { Check, Undo2, X } from 'lucide-react';
import { type FormEvent, useState } from 'react';
import { ChoiceToggle } from '../../components/ChoiceToggle.tsx';
import { useDraft } from '../../components/fields/useDraft.tsx';
import { newRecord } from '../../store/records/newRecord.ts';
import { keepRecords } from '../../store/records/records.ts';
import { faultsIn, triedIn } from './countable.ts';
import styles from './counting.module.scss';
import { dayOf } from './dayOf.ts';
import type { Run } from './useRun.ts';
import { say } from './words.ts';

interface Props {
  plan: ClassPlan;
  map: GuardMap | undefined;
  run: Run;
  block: Block;
  /** What this device recorded of the class so far. */
  records: readonly PracticeRecord[];
}

/** What is seen is counted: faults at a tap each, whether a pair's try worked, a word of note; the last one is taken back. */
export function Counting({ plan, map, run, block, records }: Props) {
  const at = { map: plan.map, session: run.id, date: dayOf(run) };
  const links = triedIn(plan, block);
  const [chosen, setChosen] = useState(links[0]?.exchange ?? '');
  const planned = 'resistance' in block ? block.resistance : 'cooperative';
  // As the block has it: a rep with a partner who helps is counted as one, and is no evidence.
  const [resistance, setResistance] = useState(planned);
  const resistances = [...new Set([planned, 'light', 'full'] as const)];
  const [who, setWho] = useState('');
  const athlete = run.here.find(({ id }) => id === who);
  const { text: note, type: setNote, settle: endNote } = useDraft('', 'note');
  const keep = (given: Parameters<typeof newRecord>[1]) => void keepRecords([newRecord(at, given)]);
  const faults = recordsOf(records, 'fault');
  const counted = ({ id, fault }: SeenFault) =>
    faults.filter((one) => one.id === id && one.fault === fault).length;
  const trials = recordsOf(records, 'trial').filter(({ exchange }) => exchange === chosen);
  const worked = trials.filter((trial) => trial.worked).length;
  const tapped = records.filter(({ kind }) => kind === 'fault' || kind === 'trial' || kind === 'note');
  const last = [...tapped].sort((a, b) => (a.at < b.at ? -1 : 1)).at(-1);

  const tried = (success: boolean) => {
    const link = links.find(({ exchange }) => exchange === chosen);
    if (!link) return;
    const known = map && indexMap(map).exchange.get(chosen);
    const words = known ? answerName(map, known) : { position: '', move: link.move, meets: link.meets };
    keep({
      kind: 'trial',
      exchange: chosen,
      ...words,
      worked: success,
      resistance,
      count: 1,
      ...(athlete && { athlete }),
    });
  };
  const addNote = (event: FormEvent) => {
    event.preventDefault();
    if (note.trim()) keep({ kind: 'note', text: note.trim() });
    endNote('');
  };
  return (
    <section className={styles.counting} aria-label={say.countWhatSee}>
      {faultsIn(map, plan, block).map((one) => (
        <button
          key={`${one.id} ${one.fault}`}
          type="button"
          className={styles.fault}
          onClick={() => keep({ kind: 'fault', ...one, count: 1 })}
        >
          <span>
            {one.falsePositive && <b>Fake success: </b>}
            {one.fault}
          </span>
          <b className={styles.count}>{counted(one) || ''}</b>
        </button>
      ))}
      {links.length > 0 && (
        <div className={styles.trial} role="group" aria-label="Did it work?">
          {links.length > 1 && (
            <select
              aria-label="Which answer"
              value={chosen}
              onChange={(event) => setChosen(event.target.value)}
            >
              {links.map(({ exchange, move, meets }) => (
                <option key={exchange} value={exchange}>
                  {move}
                  {meets && ` · ${meets}`}
                </option>
              ))}
            </select>
          )}
          {run.here.length > 0 && (
            <select
              className={styles.who}
              aria-label="Who tried"
              value={who}
              onChange={(event) => setWho(event.target.value)}
            >
              <option value="">anybody</option>
              {run.here.map(({ id, alias }) => (
                <option key={id} value={id}>
                  {alias}
                </option>
              ))}
            </select>
          )}
          <ChoiceToggle
            label={say.howMuchTopResists}
            value={resistance}
            choices={resistances.map((one) => [one, one] as const)}
            onChange={setResistance}
          />
          <button type="button" onClick={() => tried(true)}>
            <Check aria-hidden /> Worked <b>{worked || ''}</b>
          </button>
          <button type="button" onClick={() => tried(false)}>
            <X aria-hidden /> Not <b>{trials.length - worked || ''}</b>
          </button>
        </div>
      )}
      <form onSubmit={addNote}>
        <input
          aria-label={say.wordNote}
          placeholder="a word of note"
          value={note}
          maxLength={400}
          onChange={(event) => setNote(event.target.value)}
        />
        <button
          type="button"
          disabled={!last}
          onClick={() => last && keep({ kind: 'void', voids: last.key })}
        >
          <Undo2 aria-hidden /> Undo
        </button>
      </form>
    </section>
  );
}
