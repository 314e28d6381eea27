import { duplicatePosition, remove } from '@aftersquall/core/documents';
import { indexMap } from '@aftersquall/core/model';
import { Copy, FlipHorizontal2, Trash2, X } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { AddToClass } from '../../../components/AddToClass.tsx';
import { DraftScope } from '../../../components/fields/useDraft.tsx';
import { IconButton } from '../../../components/IconButton.tsx';
import { changeMap } from '../../../store/openMap.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { positionOf, type Selection, selectedThing } from '../selection.ts';
import { say } from '../words.ts';
import { EndingSheet } from './EndingSheet.tsx';
import { ExchangeSheet } from './ExchangeSheet.tsx';
import { MechanicSheet } from './MechanicSheet.tsx';
import { MoveSheet } from './MoveSheet.tsx';
import { PositionSheet } from './PositionSheet.tsx';
import { ReactionSheet } from './ReactionSheet.tsx';
import styles from './sheet.module.scss';
import type { SheetProps } from './sheetProps.ts';

/** What can be a block of a class. */
const TAUGHT: readonly string[] = ['position', 'move', 'exchange', 'mechanic'];

/** Everything about the selected thing, to be read and changed. */
export function Sheet({
  map,
  selection,
  select,
  withFocus,
}: SheetProps & { selection: Selection; withFocus: boolean }) {
  const dispatch = useAppDispatch();
  const sheet = useRef<HTMLElement>(null);
  useEffect(() => {
    if (withFocus) sheet.current?.focus();
  }, [withFocus]);
  const { kind, id } = selection;
  const called = kind === 'exchange' ? 'answer' : kind;
  const thing = selectedThing(map, kind, id);
  const parent = kind === 'position' ? undefined : positionOf(map, selection);
  const takeOut = () => {
    const name = thing && 'name' in thing ? `“${thing.name}”` : `the ${called}`;
    dispatch(changeMap(remove(kind, id), { announce: say.removedWhatDepends(name) }));
    select(parent ? { kind: 'position', id: parent } : undefined);
  };
  const duplicate = (mirrored: boolean) => {
    const copy = duplicatePosition(map, id, { mirrored });
    if (dispatch(changeMap(copy.command)).length === 0) select({ kind: 'position', id: copy.id });
  };
  return (
    <aside ref={sheet} tabIndex={-1} className={styles.sheet} aria-label={`The ${called}`}>
      <div className="d-flex align-items-center gap-2 mb-2">
        <span className="label-small">{called}</span>
        {parent && (
          <button type="button" className="chip" onClick={() => select({ kind: 'position', id: parent })}>
            in {indexMap(map).position.get(parent)?.name}
          </button>
        )}
        <span className="ms-auto" />
        {thing && kind === 'position' && (
          <>
            <IconButton
              bare
              label="Duplicate this position"
              title={say.duplicatePositionMoves}
              onClick={() => duplicate(false)}
            >
              <Copy size={16} aria-hidden />
            </IconButton>
            <IconButton
              bare
              label={say.duplicatePositionMirrored}
              title={say.duplicatePositionMirroredMoves}
              onClick={() => duplicate(true)}
            >
              <FlipHorizontal2 size={16} aria-hidden />
            </IconButton>
          </>
        )}
        {thing && TAUGHT.includes(kind) && (
          <AddToClass map={map.id} things={[`${kind}.${id}`]} label={say.addClass} />
        )}
        {thing && (
          <IconButton bare label={`Remove this ${called}`} onClick={takeOut}>
            <Trash2 size={16} aria-hidden />
          </IconButton>
        )}
        <IconButton bare label="Close the sheet" onClick={() => select(undefined)}>
          <X size={18} aria-hidden />
        </IconButton>
      </div>
      {!thing && <p>{say.noLongerMapUndo}</p>}
      <DraftScope value={`map/${map.id}/${kind}/${id}`}>
        {kind === 'position' && <PositionSheet key={id} id={id} map={map} select={select} />}
        {kind === 'move' && <MoveSheet key={id} id={id} map={map} select={select} />}
        {kind === 'reaction' && <ReactionSheet key={id} id={id} map={map} select={select} />}
        {kind === 'mechanic' && <MechanicSheet key={id} id={id} map={map} select={select} />}
        {kind === 'ending' && <EndingSheet key={id} id={id} map={map} select={select} />}
        {kind === 'exchange' && <ExchangeSheet key={id} id={id} map={map} select={select} />}
      </DraftScope>
    </aside>
  );
}
