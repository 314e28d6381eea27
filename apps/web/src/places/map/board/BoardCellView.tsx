import { landingShort, landingWords, OUTCOME_GOOD } from '@aftersquall/core/body';
import { type Basis, type GuardMap, isOutcome, type Landing, roundsWords } from '@aftersquall/core/model';
import { pointsText } from '@aftersquall/core/weigh';
import { memo } from 'react';
import { say } from '../words.ts';
import styles from './board.module.scss';
import type { BoardCell } from './boardModel.ts';

interface Props {
  id: string;
  /** Its row and column, by their keys: the board hears its clicks. */
  row: string;
  column: string;
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
}

const BASIS: Record<Basis | 'none', [string, string]> = {
  coach: ['○', 'your guess'],
  logged: ['●', 'from the log'],
  blended: ['◐', 'guess and count'],
  none: ['?', 'no source given'],
};

/** One cell: where it leads, how likely and known from what; a hole; or nothing that top is known to do here. */
export const BoardCellView = memo(function BoardCellView(props: Props) {
  const { id, map, cell, words, shade, stake, index, left, width, here } = props;
  return (
    // biome-ignore lint/a11y/useFocusableInteractive: the grid has the focus and says which cell is meant
    <div
      id={id}
      role="gridcell"
      aria-colindex={index}
      aria-label={`${words}: ${cellWords(map, cell)}`}
      aria-selected={here}
      className={`board-cell ${cell.kind} ${here ? 'here' : ''}`}
      style={{ left, width, '--shade': `${Math.round(shade * 30)}%` } as object}
      title={worthWords(props)}
      data-row={props.row}
      data-column={props.column}
    >
      {cell.kind === 'hole' && <span className={styles['gap-mark']}>no answer</span>}
      {cell.kind === 'hole' && stake !== undefined && stake >= MIN_STAKE_SHOWN && (
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

/** The same to look at: of the map only the names of positions are shown, and a cell is made anew with each board. */
function sameCell({ map: mapBefore, cell: before, ...a }: Props, { map, cell, ...b }: Props): boolean {
  return (
    mapBefore.positions === map.positions &&
    sameContent(before, cell) &&
    Object.keys(b).every((key) => same(a, b, key))
  );
}

const same = (a: object, b: object, key: string): boolean => Object.is(a[key as never], b[key as never]);

const sameContent = (a: BoardCell, b: BoardCell): boolean =>
  a.kind === 'answer' && b.kind === 'answer'
    ? a.exchange === b.exchange && a.others === b.others
    : a.kind === b.kind;

/** A stake below this shows as nothing. */
const MIN_STAKE_SHOWN = 0.0005;

function worthWords({ cell, rate, worth, stake }: Props): string | undefined {
  if (cell.kind === 'hole' && stake !== undefined) return say.holeCostsPointsRound(pointsText(stake, 3));
  if (cell.kind !== 'answer' || worth === undefined || rate === undefined) return undefined;
  return `Worth ${pointsText(worth)} points, ${roundsWords(rate)}`;
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
    otherwise && `if it fails: ${landingWords(map, otherwise)}`,
  ]
    .filter(Boolean)
    .join(', ');
}
