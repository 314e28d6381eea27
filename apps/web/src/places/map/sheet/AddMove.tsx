import { batch } from '@aftersquall/core/documents';
import { type Position } from '@aftersquall/core/model';
import { Plus } from 'lucide-react';
import { newMove } from '../../../store/newThings.ts';
import { changeMap } from '../../../store/openMap.ts';
import { useAppDispatch } from '../../../store/store.ts';
import type { SheetProps } from './sheetProps.ts';

/** A new move of a position, with a look of its own or one that looks like another. */
export function AddMove({ position, map, select }: SheetProps & { position: Position }) {
  const dispatch = useAppDispatch();
  const add = (lookId: string) => {
    const { commands, move } = newMove(map, position, lookId || undefined);
    dispatch(changeMap(batch(commands, 'New move')));
    select({ kind: 'move', id: move.id });
  };
  return (
    <div className="chip-field mt-2">
      <button type="button" className="btn btn-sm btn-plain" onClick={() => add('')}>
        <Plus size={14} aria-hidden /> move that starts in its own way
      </button>
      {position.looks.map((look) => (
        <button key={look.id} type="button" className="btn btn-sm btn-plain" onClick={() => add(look.id)}>
          <Plus size={14} aria-hidden /> move that starts like “{look.name}”
        </button>
      ))}
    </div>
  );
}
