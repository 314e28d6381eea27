import {
  type Basis,
  type GuardMap,
  isOutcome,
  type Landing,
  landingWords,
  OUTCOME_GOOD,
} from '@aftersquall/core';
import { memo } from 'react';
import type { BoardCell } from './boardModel.ts';

interface Props {
  id: string;
  map: GuardMap;
  cell: BoardCell;
  words: string;
  index: number;
  left: number;
  width: number;
  here: boolean;
  onPick: () => void;
  onEdit: () => void;
}

const BASIS: Record<Basis | 'none', [string, string]> = {
  coach: ['○', "the coach's guess"],
  logged: ['●', 'from the log'],
  blended: ['◐', 'guess and log'],
  none: ['?', 'where from is not said'],
};

/** One cell: where it leads, how likely and known from what; a hole; or nothing that top is known to do here. */
export const BoardCellView = memo(function BoardCellView(props: Props) {
  const { id, map, cell, words, index, left, width, here, onPick, onEdit } = props;
  return (
    <div
      id={id}
      role="gridcell"
      aria-colindex={index}
      aria-label={`${words}: ${cellWords(map, cell)}`}
      aria-selected={here}
      className={`board-cell ${cell.kind} ${here ? 'here' : ''}`}
      style={{ left, width }}
      onClick={onPick}
      onDoubleClick={onEdit}
    >
      {cell.kind === 'hole' && <span className="gap-mark">no answer</span>}
      {cell.kind === 'answer' && (
        <>
          <span className={`landing ${side(cell.exchange.to)}`}>
            {mark(cell.exchange.to)} {landingWords(map, cell.exchange.to)}
          </span>
          <span className="cell-foot">
            <span className="bar" style={{ '--chance': cell.exchange.chance } as object} aria-hidden />
            {Math.round(cell.exchange.chance * 100)} %
            <span className="soft" title={BASIS[cell.exchange.basis ?? 'none'][1]}>
              {BASIS[cell.exchange.basis ?? 'none'][0]}
            </span>
            {cell.others > 0 && <span className="soft">+{cell.others}</span>}
          </span>
        </>
      )}
    </div>
  );
}, sameCell);

/** Handlers are new on every render and mean the same; what is shown decides. */
function sameCell(a: Props, b: Props): boolean {
  return (
    a.map.positions === b.map.positions &&
    a.here === b.here &&
    a.left === b.left &&
    a.words === b.words &&
    a.cell.kind === b.cell.kind &&
    (a.cell.kind !== 'answer' ||
      (b.cell.kind === 'answer' && a.cell.exchange === b.cell.exchange && a.cell.others === b.cell.others))
  );
}

const side = (landing: Landing): string => (isOutcome(landing) ? OUTCOME_GOOD[landing.outcome] : '');
const mark = (landing: Landing): string =>
  isOutcome(landing) ? { own: '▲', top: '▼', even: '◆' }[OUTCOME_GOOD[landing.outcome]] : '→';

function cellWords(map: GuardMap, cell: BoardCell): string {
  if (cell.kind === 'hole') return 'no answer yet';
  if (cell.kind === 'unlisted') return 'not listed';
  const { to, chance, otherwise, basis } = cell.exchange;
  return [
    landingWords(map, to),
    `${Math.round(chance * 100)} %`,
    BASIS[basis ?? 'none'][1],
    otherwise && `else ${landingWords(map, otherwise)}`,
  ]
    .filter(Boolean)
    .join(', ');
}
