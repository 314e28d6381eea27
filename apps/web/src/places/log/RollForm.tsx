import { answerName } from '@aftersquall/core/body';
import { readRoll } from '@aftersquall/core/formats';
import { type GuardMap, indexMap, type RecordOf } from '@aftersquall/core/model';
import { useMemo, useState } from 'react';
import { LineChanges } from '../../components/lines/LineChanges.tsx';
import { LinesEditor } from '../../components/lines/LinesEditor.tsx';
import { LineTrouble } from '../../components/lines/LineTrouble.tsx';
import { device } from '../../device/device.ts';
import { changeMap } from '../../store/openMap.ts';
import { useAppDispatch } from '../../store/store.ts';
import styles from './log.module.scss';
import { lineOf } from './logPart.ts';
import { say } from './words.ts';

interface Props {
  map: GuardMap;
  session: string;
  /** Whose tries they are, and against what. */
  trial: Pick<RecordOf<'trial'>, 'athlete' | 'resistance'>;
  onTries: (trials: Trial[]) => void;
}
export type Trial = Omit<RecordOf<'trial'>, 'key' | 'at' | 'date' | 'map' | 'session'>;

/** Where the lines of a session are kept until they are counted. */
export const rollDraft = (session: string): string => `session/${session}/roll`;

/**
 * A roll or a match as lines, a try each, with completion: what the map does not have is listed as one types, and added
 * when the tries are kept; one undo takes it out again.
 */
export function RollForm({ map, session, trial, onTries }: Props) {
  const dispatch = useAppDispatch();
  const draft = rollDraft(session);
  const [text, setText] = useState(() => device.cells.draft(draft)?.text ?? '');
  // Kept before it is read: what is typed outlives whatever its reading does.
  const type = (next: string) => {
    device.cells.keepDraft(draft, next ? { text: next, from: '', at: Date.now() } : undefined);
    setText(next);
  };
  const read = useMemo(() => readRoll(map, text), [map, text]);
  const index = indexMap(read.map);
  const named = (id: string) => answerName(read.map, index.exchange.get(id)!);
  const ready = read.errors.length === 0 && read.tries.length > 0;
  const keep = () => {
    if (!ready) return;
    if (read.changes.length > 0 && dispatch(changeMap(read.command)).length > 0) return;
    onTries(
      read.tries.map(({ exchange, worked }) => ({
        kind: 'trial',
        exchange,
        ...named(exchange),
        ...trial,
        worked,
        count: 1,
      })),
    );
    type('');
  };
  return (
    <div className={styles.roll}>
      <LinesEditor
        label={say.rollLineLine}
        map={map}
        text={text}
        errors={read.errors}
        onChange={type}
        onApply={keep}
      />
      <div aria-live="polite">
        <LineTrouble errors={read.errors} />
        {read.tries.length > 0 && (
          <ul className="list-unstyled mb-1" aria-label={say.triesRoll}>
            {read.tries.map(({ line, exchange, worked }) => (
              <li key={line}>
                <b className={worked ? 'own' : 'top'}>{worked ? 'worked' : 'not'}</b>{' '}
                {lineOf(named(exchange))}
              </li>
            ))}
          </ul>
        )}
        <LineChanges changes={read.changes} />
      </div>
      <button type="button" className="btn btn-now" disabled={!ready} title="Ctrl Enter" onClick={keep}>
        Keep {read.tries.length || ''} {read.tries.length === 1 ? 'try' : 'tries'}
        {read.changes.length > 0 && ', and add what is new to the map'}
      </button>
      <p className="soft small mb-0">
        “Position: move | what top did”, “failed” behind it where it did; with “-&gt; where it led” for what
        the map does not have yet.
      </p>
    </div>
  );
}
