import { useRef, useState } from 'react';
import { useSaver } from '../sheet/useSaver.ts';
import type { BoardRow } from './boardModel.ts';
import styles from './editors.module.scss';

interface Props {
  row: BoardRow;
  text: string | undefined;
  width: number;
  /** Called when the name is saved (and whether to go on) or left as it was. */
  onDone: (goOn: boolean) => void;
}

/** The name of a position or move, written over where it stands. */
export function NameEditor({ row, text, width, onDone }: Props) {
  const old = row.kind === 'position' ? row.position.name : row.move.name;
  const [name, setName] = useState(text ?? old);
  const [trouble, setTrouble] = useState('');
  const savePosition = useSaver('position', row.position);
  const saveMove = useSaver('move', row.kind === 'move' ? row.move : undefined);
  // Leaving the field saves too: what was saved by a key must not be saved again on the way out.
  const done = useRef(false);
  const leave = (goOn: boolean) => {
    done.current = true;
    onDone(goOn);
  };
  const save = (goOn: boolean) => {
    if (done.current) return;
    if (name.trim() === '' || name === old) return leave(goOn && name.trim() !== '');
    const issues = row.kind === 'position' ? savePosition({ name }) : saveMove({ name });
    if (issues.length > 0) setTrouble(issues.map(({ message }) => message).join('; '));
    else leave(goOn);
  };
  return (
    <div className={styles['name-editor']} style={{ width }}>
      <input
        className="form-control form-control-sm"
        aria-label={`Name of the ${row.kind}`}
        aria-invalid={Boolean(trouble)}
        autoFocus
        value={name}
        maxLength={120}
        onChange={(event) => setName(event.target.value)}
        onBlur={() => save(false)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' || event.key === 'Tab') {
            event.preventDefault();
            save(true);
          }
          if (event.key === 'Escape') {
            event.stopPropagation();
            leave(false);
          }
        }}
      />
      {trouble && <div className="invalid-feedback d-block">{trouble}</div>}
    </div>
  );
}
