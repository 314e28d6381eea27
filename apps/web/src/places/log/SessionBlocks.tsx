import type { RecordOf } from '@aftersquall/core/model';
import { clock } from '../../components/clock.ts';
import { readNumber, SavedField } from '../../components/fields/SavedField.tsx';
import styles from './log.module.scss';

const MOST_REPS = 2000;

interface Props {
  blocks: readonly RecordOf<'block'>[];
  onReps: (block: RecordOf<'block'>, reps: number) => void;
}

/** What ran of each block against what was planned; reps that were not as planned are put right. */
export function SessionBlocks({ blocks, onReps }: Props) {
  if (blocks.length === 0) return null;
  return (
    <table className={styles.table}>
      <thead>
        <tr>
          <th>Block</th>
          <th className="num">Planned</th>
          <th className="num">Ran</th>
          <th className="num">Reps</th>
        </tr>
      </thead>
      <tbody>
        {blocks.map((block) => (
          <tr key={block.block}>
            <th scope="row">{block.title}</th>
            <td className="num">{clock(block.planned)}</td>
            <td className="num">{block.reached ? clock(block.ran) : <b className="top">not reached</b>}</td>
            <td className="num">
              {block.reached && block.exchanges.length > 0 && (
                <SavedField
                  label={`Reps each of ${block.title}`}
                  hideLabel
                  type="number"
                  value={String(block.reps)}
                  onSave={(text) => {
                    const reps = readNumber(text);
                    if (!Number.isInteger(reps) || reps! < 0 || reps! > MOST_REPS) return 'whole reps';
                    onReps(block, reps!);
                    return undefined;
                  }}
                />
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
