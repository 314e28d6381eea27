import { wordContext } from '@aftersquall/core/body';
import { MOVE_KIND_WORDS } from '@aftersquall/core/model';
import { LimbGlyph } from '../../../components/LimbGlyph.tsx';
import { PositionPicture } from '../../../components/PositionPicture.tsx';
import { ShortName } from '../../../components/ShortName.tsx';
import { Worth } from '../../../components/Worth.tsx';
import { say } from '../words.ts';
import styles from './board.module.scss';
import type { BoardRow } from './boardModel.ts';

interface Props {
  id: string;
  row: BoardRow;
  /** What the position is worth, once that is known. */
  value: number | undefined;
  width: number;
  /** The picture of the position instead of the figure of its limbs. */
  withPicture: boolean;
  here: boolean;
  onPick: () => void;
}

/** The name of a row: a position with its figure, or a move with its kind; moves that share a look hang together. */
export function RowHead({ id, row, value, width, withPicture, here, onPick }: Props) {
  return (
    <button
      id={id}
      type="button"
      role="rowheader"
      tabIndex={-1}
      className={`${styles['row-head']} ${here ? 'here' : ''}`}
      style={{ width }}
      onClick={onPick}
    >
      {row.kind === 'position' ? (
        <>
          {withPicture ? (
            <PositionPicture position={row.position} width={92} />
          ) : (
            <LimbGlyph holds={row.position.holds} context={wordContext(row.position)} width={36} />
          )}
          <b>
            <ShortName of={row.position} />
          </b>
          <span className={styles.marks}>
            {(row.position.entry ?? 0) > 0 && <span className={styles['start-mark']}>start</span>}
            {value !== undefined && <Worth value={value} />}
            {withPicture && row.holes > 0 && (
              <span className={styles['gap-mark']}>
                {row.holes} {row.holes === 1 ? 'hole' : 'holes'}
              </span>
            )}
          </span>
        </>
      ) : (
        <>
          <span
            className={`${styles['look-line']} ${row.shared ? (row.sharesAbove ? styles.inside : styles.first) : ''}`}
            title={row.shared ? say.startsSameWay(row.look.name) : undefined}
            aria-hidden
          />
          <span className={styles['two-lines']}>
            <span>
              <ShortName of={row.move} />
            </span>
            <small className="soft">
              {MOVE_KIND_WORDS[row.move.kind]}
              {row.shared && !row.sharesAbove && ` · ${row.look.name}`}
            </small>
          </span>
        </>
      )}
    </button>
  );
}
