import type { Finding } from '@aftersquall/core';
import { Redo2, Stethoscope, Undo2 } from 'lucide-react';
import { IconButton } from '../../components/IconButton.tsx';
import { redoChange, selectSession, undoChange } from '../../store/mapSession.ts';
import { useAppDispatch, useAppSelector } from '../../store/store.ts';

export function UndoButtons() {
  const dispatch = useAppDispatch();
  const { undo, redo } = useAppSelector(selectSession);
  return (
    <div className="btn-group btn-group-sm">
      <IconButton
        label="Undo"
        title="Undo (Ctrl Z)"
        disabled={undo.length === 0}
        onClick={() => dispatch(undoChange())}
      >
        <Undo2 size={15} aria-hidden />
      </IconButton>
      <IconButton
        label="Redo"
        title="Redo (Ctrl Shift Z)"
        disabled={redo.length === 0}
        onClick={() => dispatch(redoChange())}
      >
        <Redo2 size={15} aria-hidden />
      </IconButton>
    </div>
  );
}

interface FindingsButtonProps {
  findings: readonly Finding[];
  fresh: boolean;
  on: boolean;
  onClick: () => void;
}

/** How many holes and errors there are; the rest behind it. */
export function FindingsButton({ findings, fresh, on, onClick }: FindingsButtonProps) {
  const holes = findings.filter(({ code }) => code === 'hole').length;
  const errors = findings.filter(({ severity }) => severity === 'error').length;
  return (
    <button
      type="button"
      className={`btn ${on ? 'btn-dark' : 'btn-plain'} ${fresh ? '' : 'stale'}`}
      aria-pressed={on}
      title="What deserves a look"
      aria-label={`What deserves a look: ${holes} ${holes === 1 ? 'hole' : 'holes'}, ${errors} ${errors === 1 ? 'error' : 'errors'}`}
      onClick={onClick}
    >
      <Stethoscope size={15} aria-hidden /> {holes} {holes === 1 ? 'hole' : 'holes'}
      {errors > 0 && (
        <b className="hazard">
          , {errors} {errors === 1 ? 'error' : 'errors'}
        </b>
      )}
    </button>
  );
}
