import { ChoiceToggle } from '../../../components/ChoiceToggle.tsx';
import { say } from '../words.ts';
import styles from './board.module.scss';
import type { BoardLayout } from './boardModel.ts';

interface Props {
  layout: BoardLayout;
  onLayout: (layout: BoardLayout) => void;
}

/** The keys that make something new, always in sight, and which way the board is laid out. */
export function BoardFoot({ layout, onLayout }: Props) {
  const keys: [string, string][] = [
    ['type', 'an answer'],
    ['Tab', 'next'],
    ['+', 'move'],
    ['&', 'move that starts the same'],
    ['|', 'what top does'],
    ['@', 'position'],
    ['Space', 'open'],
    ['Del', 'clear'],
  ];
  return (
    <div className={styles['board-foot']}>
      <div className={styles['board-keys']} aria-hidden>
        {keys.map(([key, does]) => (
          <span key={key}>
            <kbd>{key}</kbd> {does}
          </span>
        ))}
      </div>
      <ChoiceToggle
        label={say.howBoardLaidOut}
        value={layout}
        choices={[
          ['tables', say.tablePosition],
          ['grid', 'Wide grid'],
        ]}
        onChange={onLayout}
      />
    </div>
  );
}
