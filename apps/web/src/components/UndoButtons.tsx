import { Redo2, Undo2 } from 'lucide-react';
import { selectEdited } from '../store/documents/documentsSlice.ts';
import { redoChange, undoChange } from '../store/documents/engine.ts';
import { useAppDispatch, useAppSelector } from '../store/store.ts';
import { IconButton } from './IconButton.tsx';
import { say } from './words.ts';

/** Undo and redo of the document that the screen edits; each says what it would take back or make again. */
export function UndoButtons() {
  const dispatch = useAppDispatch();
  const session = useAppSelector(selectEdited);
  const undo = session?.undo.at(-1);
  const redo = session?.redo.at(-1);
  return (
    <div className="btn-group btn-group-sm">
      <IconButton
        label="Undo"
        title={undo ? `Undo: ${undo.what} (Ctrl Z)` : 'Nothing to undo'}
        disabled={!undo}
        onClick={() => session && dispatch(undoChange(session.address))}
      >
        <Undo2 size={15} aria-hidden />
      </IconButton>
      <IconButton
        label="Redo"
        title={redo ? say.redoCtrlShiftZ(redo.what) : 'Nothing to redo'}
        disabled={!redo}
        onClick={() => session && dispatch(redoChange(session.address))}
      >
        <Redo2 size={15} aria-hidden />
      </IconButton>
    </div>
  );
}
