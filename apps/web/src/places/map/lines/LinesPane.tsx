import { printLines, readAllLines } from '@aftersquall/core/formats';
import { type GuardMap } from '@aftersquall/core/model';
import { useEffect, useMemo, useState } from 'react';
import { LineChanges } from '../../../components/lines/LineChanges.tsx';
import { LinesEditor } from '../../../components/lines/LinesEditor.tsx';
import { LineTrouble } from '../../../components/lines/LineTrouble.tsx';
import { device } from '../../../device/device.ts';
import { changeMap } from '../../../store/openMap.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { say } from '../words.ts';
import styles from './lines.module.scss';

interface Props {
  map: GuardMap;
  /** The positions whose exchanges the text stands for. */
  positions: readonly string[];
  /** Whose draft it is: the map and the system shown. */
  draft: string;
}

/**
 * The same exchanges as lines: "Position: move | reaction -> result 60% else result 8s". What the text would change is
 * listed as one types; applying it is one change, and one undo takes it back.
 */
export function LinesPane({ map, positions, draft }: Props) {
  const dispatch = useAppDispatch();
  const key = `lines/${draft}`;
  const printed = useMemo(() => printLines(map, positions), [map, positions]);
  const [text, setText] = useState(() => device.cells.draft(key)?.text ?? printed);
  const [base, setBase] = useState(printed);
  const touched = text !== base;
  // While nothing has been typed the text follows the map, whoever changes it.
  useEffect(() => {
    if (!touched && printed !== base) {
      setText(printed);
      setBase(printed);
    }
  }, [printed, base, touched]);
  useEffect(() => {
    if (!touched) device.cells.keepDraft(key, undefined);
  }, [key, touched]);
  // Kept before it is read: what is typed outlives whatever its reading does.
  const type = (next: string) => {
    device.cells.keepDraft(key, { text: next, from: base, at: Date.now() });
    setText(next);
  };

  const read = useMemo(() => readAllLines(map, text, positions), [map, text, positions]);
  const again = (next: string) => {
    setText(next);
    setBase(next);
  };
  const apply = () => {
    if (read.errors.length > 0 || read.changes.length === 0) return;
    const count = read.changes.length;
    const command = { ...read.command, label: `${count} ${count === 1 ? 'change' : 'changes'} by lines` };
    if (dispatch(changeMap(command)).length > 0) return;
    const places = new Set([
      ...positions,
      ...read.changes.flatMap((c) => (c.kind === 'position' ? [c.id] : [])),
    ]);
    again(printLines(read.map, [...places]));
  };
  return (
    <div className={styles['lines-pane']}>
      <LinesEditor
        label={say.linesSystem}
        focused
        map={map}
        text={text}
        errors={read.errors}
        onChange={type}
        onApply={apply}
      />
      <div className={styles['lines-foot']} aria-live="polite">
        <LineTrouble errors={read.errors} />
        <LineChanges changes={read.changes} />
        {read.changes.length === 0 && read.errors.length === 0 && (
          <p className="soft mb-1">No differences.</p>
        )}
        <div className="d-flex gap-2">
          <button
            type="button"
            className="btn btn-sm btn-now"
            disabled={read.errors.length > 0 || read.changes.length === 0}
            onClick={apply}
            title="Ctrl Enter"
          >
            Apply {read.changes.length || ''} {read.changes.length === 1 ? 'change' : 'changes'}
          </button>
          <button
            type="button"
            className="btn btn-sm btn-plain"
            disabled={!touched}
            onClick={() => again(printed)}
          >
            Back to the map’s lines
          </button>
        </div>
      </div>
    </div>
  );
}
