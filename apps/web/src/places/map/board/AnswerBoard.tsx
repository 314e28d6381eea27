import { batch, put, remove } from '@aftersquall/core/documents';
import { type GuardMap } from '@aftersquall/core/model';
import { type KeyboardEvent, type MouseEvent, useEffect, useRef, useState } from 'react';
import { newMove, newPosition } from '../../../store/newThings.ts';
import { changeMap } from '../../../store/openMap.ts';
import { useAppDispatch } from '../../../store/store.ts';
import type { Selection } from '../selection.ts';
import { BoardFoot } from './BoardFoot.tsx';
import { BoardHeader } from './BoardHeader.tsx';
import { BoardLine, cellId, type Editing } from './BoardLine.tsx';
import styles from './board.module.scss';
import type { Board, BoardColumn, BoardLayout, BoardRow } from './boardModel.ts';
import { cellOf } from './boardModel.ts';
import type { BoardWorths } from './boardWorths.ts';
import type { Leaving } from './CellEditor.tsx';
import { keyActions } from './keyActions.ts';
import { NewPosition } from './NewPosition.tsx';
import { ReactionDialog } from './ReactionDialog.tsx';
import { useBoardView } from './useBoardView.ts';
import { type Spot, useSpot } from './useSpot.ts';

interface Props {
  map: GuardMap;
  board: Board;
  onLayout: (layout: BoardLayout) => void;
  /** What the map is worth, once that is known. */
  worths: BoardWorths | undefined;
  stale: boolean;
  system: string | undefined;
  /** Where the address says the focus is; whoever jumps to a cell changes it. */
  asked: Spot | undefined;
  onSpot: (spot: Spot) => void;
  selected: Selection | undefined;
  select: (selection: Selection | undefined) => void;
}

/**
 * The answer board: a table a position, its moves down and what top does about them across, in each cell the answer;
 * or one wide grid over all reactions. It is worked from the keyboard: arrows move, typing fills, Tab goes on;
 * + & | @ add a move, one that looks the same, a reaction, a position.
 */
export function AnswerBoard(props: Props) {
  const { map, board, worths, stale, system, asked, onSpot: tell, selected, select } = props;
  const { rows } = board;
  const dispatch = useAppDispatch();
  const scroller = useRef<HTMLDivElement>(null);
  const [editing, setEditing] = useState<Editing>();
  const [adding, setAdding] = useState(false);
  const [naming, setNaming] = useState(false);
  const [spot, onSpot] = useSpot(asked, tell);
  const rowAt = Math.max(
    0,
    rows.findIndex(({ key }) => key === spot?.row),
  );
  const row = rows[rowAt];
  const columns = row?.columns ?? [];
  const columnAt = row?.kind === 'move' ? columns.findIndex(({ key }) => key === spot?.column) : -1;
  // A position's own row has no cells: whoever passes it going up or down stays in the column they came from.
  const columnWanted = useRef(columnAt);
  if (row?.kind === 'move') columnWanted.current = columnAt;
  const { width, height, lines, stuck, pushed, across } = useBoardView({
    scroller,
    board,
    rowAt,
    columnAt,
    spot,
    editingCell: editing?.at === 'cell',
  });
  const focusBoard = () => scroller.current?.focus({ preventScroll: true });
  // Whoever opens the board wants its keys.
  useEffect(focusBoard, []);

  const thingAt = (at: BoardRow | undefined, column: BoardColumn | undefined): Selection | undefined => {
    if (!at) return undefined;
    if (at.kind === 'position') return { kind: 'position', id: at.position.id };
    const cell = column && cellOf(map, at, column);
    return cell?.kind === 'answer'
      ? { kind: 'exchange', id: cell.exchange.id }
      : { kind: 'move', id: at.move.id };
  };
  const go = (toRow: number, toColumn: number) => {
    const next = rows[Math.min(Math.max(toRow, 0), rows.length - 1)];
    if (!next) return;
    const last = next.kind === 'position' ? -1 : next.columns.length - 1;
    const column = next.columns[Math.min(toColumn, last)];
    onSpot({ row: next.key, column: column?.key ?? 'head' });
    if (selected) select(thingAt(next, column));
  };
  /** The next cell for typing: on to the right, then to the first cell of the next move. */
  const onwards = (step: 1 | -1) => {
    const next = columnAt + step;
    if (next >= -1 && next < columns.length) return go(rowAt, next);
    const other = step > 0 ? rows.findIndex((r, i) => i > rowAt && r.kind === 'move') : rowAt - 1;
    if (other >= 0) go(other, step > 0 ? 0 : columns.length - 1);
  };
  const commit = (after: Leaving) => {
    setEditing(undefined);
    // Whoever clicked into another field is there already.
    if (after !== 'away') focusBoard();
    if (after === 'down') go(rowAt + 1, columnWanted.current);
    if (after === 'right') onwards(1);
    if (after === 'left') onwards(-1);
  };
  const addMove = (look?: string) => {
    if (!row) return;
    const { commands, move } = newMove(map, row.position, look);
    dispatch(changeMap(batch(commands, 'New move')));
    onSpot({ row: move.id, column: 'head' });
    setEditing({ at: 'head', text: '' });
  };
  const onReaction = (id: string) => select({ kind: 'reaction', id });
  const clear = () => {
    const cell = row && columns[columnAt] && cellOf(map, row, columns[columnAt]!);
    if (cell?.kind !== 'answer') return;
    dispatch(changeMap(remove('exchange', cell.exchange.id), { announce: 'Removed the answer.' }));
  };

  const onKeyDown = (event: KeyboardEvent) => {
    if (editing || adding || naming || event.defaultPrevented) return;
    const { key } = event;
    const moves = keyActions({
      row: rowAt,
      column: columnAt,
      columnDown: columnWanted.current,
      rows: rows.length,
      columns: columns.length,
      height: scroller.current?.clientHeight ?? 400,
      go,
      edit: () => setEditing({ at: columnAt < 0 ? 'head' : 'cell' }),
      clear,
      open: () => select(thingAt(row, columns[columnAt])),
      addMove: () => addMove(),
      addAlike: () => addMove(row?.kind === 'move' ? row.look.id : row?.position.looks[0]?.id),
      addReaction: () => row && setAdding(true),
      addPosition: () => setNaming(true),
    });
    // Where the focus may leave the board, Tab does; it walks the cells while typing.
    const control = event.ctrlKey || event.metaKey;
    const act = event.altKey ? undefined : moves[control ? `Control+${key}` : key];
    if (act) {
      event.preventDefault();
      act();
    } else if (key.length === 1 && row && !control && !event.altKey && key !== '/' && key !== '?') {
      event.preventDefault();
      event.stopPropagation();
      setEditing({ at: columnAt < 0 ? 'head' : 'cell', text: key });
    }
  };

  /** The cell that was clicked, by the keys of its row and column. */
  const clicked = ({ target }: MouseEvent): { at: BoardRow; column: BoardColumn } | undefined => {
    const { row: key, column } = (target as Element).closest<HTMLElement>('[role=gridcell]')?.dataset ?? {};
    const at = rows.find((one) => one.key === key);
    const found = at?.columns.find((one) => one.key === column);
    return at && found && { at, column: found };
  };
  const onClick = (event: MouseEvent) => {
    const cell = clicked(event);
    if (!cell) return;
    onSpot({ row: cell.at.key, column: cell.column.key });
    focusBoard();
    if (selected) select(thingAt(cell.at, cell.column));
  };
  const onDoubleClick = (event: MouseEvent) => {
    const cell = clicked(event);
    if (!cell) return;
    onSpot({ row: cell.at.key, column: cell.column.key });
    setEditing({ at: 'cell' });
  };

  return (
    <div className={`board ${worths && stale ? 'stale' : ''}`}>
      <div
        ref={scroller}
        className={styles['board-scroll']}
        role="grid"
        aria-label="Answer board"
        aria-rowcount={rows.length + 1}
        aria-colcount={Math.max(0, ...rows.map((each) => each.columns.length)) + 1}
        aria-activedescendant={row ? cellId(row.key, columns[columnAt]?.key ?? 'head') : undefined}
        tabIndex={0}
        onKeyDown={onKeyDown}
        onClick={onClick}
        onDoubleClick={onDoubleClick}
      >
        <div style={{ width, height, position: 'relative' }}>
          {board.layout === 'grid' && row && (
            <BoardHeader
              holes={board.holes}
              columns={columns}
              across={across(row)}
              width={width}
              columnAt={columnAt}
              onReaction={onReaction}
            />
          )}
          {lines.map((line) => {
            const at = rows[line.index]!;
            const here = line.index === rowAt;
            return (
              <BoardLine
                key={line.key}
                map={map}
                line={line}
                row={at}
                across={across(at)}
                layout={board.layout}
                stuck={line.index === stuck ? pushed : undefined}
                width={width}
                worths={worths}
                onReaction={onReaction}
                column={here ? columnAt : undefined}
                columnBelow={at.position === row?.position ? columnAt : -1}
                editing={here ? editing : undefined}
                onHead={() => {
                  onSpot({ row: at.key, column: 'head' });
                  select(thingAt(at, undefined));
                }}
                onNamed={(goOn) => {
                  setEditing(undefined);
                  focusBoard();
                  if (goOn && at.kind === 'move') go(rowAt, 0);
                }}
                onCommit={commit}
              />
            );
          })}
        </div>
      </div>
      <BoardFoot layout={board.layout} onLayout={props.onLayout} />
      {adding && row && (
        <ReactionDialog
          map={map}
          row={row}
          onHide={() => {
            setAdding(false);
            focusBoard();
          }}
          onAdded={(column) => {
            setAdding(false);
            const move = row.kind === 'move' ? row.move.id : (rows[rowAt + 1]?.key ?? row.key);
            onSpot({ row: move, column });
            focusBoard();
          }}
        />
      )}
      {naming && (
        <NewPosition
          onName={(name) => {
            const position = newPosition(map, name, system);
            dispatch(changeMap(put('position', position)));
            onSpot({ row: position.id, column: 'head' });
          }}
          onHide={() => setNaming(false)}
          board={scroller}
        />
      )}
    </div>
  );
}
