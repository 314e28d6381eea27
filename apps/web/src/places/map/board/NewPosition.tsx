import { type RefObject, useState } from 'react';
import styles from './board.module.scss';

/** One line to name a position in, without leaving the board. */
export function NewPosition({
  onName,
  onHide,
  board,
}: {
  onName: (name: string) => void;
  onHide: () => void;
  board: RefObject<HTMLDivElement | null>;
}) {
  const [name, setName] = useState('');
  const end = () => {
    onHide();
    board.current?.focus({ preventScroll: true });
  };
  return (
    <form
      className={styles['board-naming']}
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim()) onName(name.trim());
        end();
      }}
    >
      <label htmlFor="board-new-position">Name of the new position</label>
      <input
        id="board-new-position"
        className="form-control form-control-sm"
        autoFocus
        value={name}
        maxLength={120}
        onChange={(event) => setName(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Escape') return;
          event.stopPropagation();
          end();
        }}
      />
      <button type="submit" className="btn btn-sm btn-now">
        Add
      </button>
    </form>
  );
}
