import {
  type Basis,
  type GuardMap,
  isOutcome,
  type Landing,
  landingShort,
  landingWords,
  OUTCOME_GOOD,
  pointsText,
} from '@aftersquall/core';
import { memo } from 'react';
import styles from './board.module.scss';
import type { BoardCell } from './boardModel.ts';

interface Props {
  id: string;
  map: GuardMap;
  cell: BoardCell;
  words: string;
  /** How often it comes up: in a round, and of the most there is; what it is worth, and what a hole costs, once known. */
  rate: number | undefined;
  shade: number;
  worth: number | undefined;
  stake: number | undefined;
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
  const { id, map, cell, words, shade, stake, index, left, width, here, onPick, onEdit } = props;
  return (
    <div
      id={id}
      role="gridcell"
      aria-colindex={index}
      aria-label={`${words}: ${cellWords(map, cell)}`}
      aria-selected={here}
      className={`board-cell ${cell.kind} ${here ? 'here' : ''}`}
      style={{ left, width, '--shade': `${Math.round(shade * 30)}%` } as object}
      title={worthWords(props)}
      onClick={onPick}
      onDoubleClick={onEdit}
    >
      {cell.kind === 'hole' && <span className={styles['gap-mark']}>no answer</span>}
      {cell.kind === 'hole' && stake !== undefined && stake >= LEAST && (
        <span className={styles['cell-foot']}>costs {pointsText(stake, 3)}</span>
      )}
      {cell.kind === 'answer' && (
        <>
          <span className={`${styles.landing} ${side(cell.exchange.to)}`}>
            {mark(cell.exchange.to)} {landingShort(map, cell.exchange.to)}
          </span>
          <span className={styles['cell-foot']}>
            <span className={styles.bar} style={{ '--chance': cell.exchange.chance } as object} aria-hidden />
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
    a.shade === b.shade &&
    a.worth === b.worth &&
    a.stake === b.stake &&
    a.cell.kind === b.cell.kind &&
    (a.cell.kind !== 'answer' ||
      (b.cell.kind === 'answer' && a.cell.exchange === b.cell.exchange && a.cell.others === b.cell.others))
  );
}

/** A stake below this shows as nothing. */
const LEAST = 0.0005;

function worthWords({ cell, rate, worth, stake }: Props): string | undefined {
  if (cell.kind === 'hole' && stake !== undefined) return `Costs ${pointsText(stake, 3)} points a round`;
  if (cell.kind !== 'answer' || worth === undefined || rate === undefined) return undefined;
  return `Worth ${pointsText(worth)} points, comes up ${rate.toFixed(2)} times a round`;
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
