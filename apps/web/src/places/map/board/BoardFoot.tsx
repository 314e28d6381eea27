import { ChoiceToggle } from '../../../components/ChoiceToggle.tsx';
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
        label="How the board is laid out"
        value={layout}
        choices={[
          ['tables', 'A table a position'],
          ['grid', 'Wide grid'],
        ]}
        onChange={onLayout}
      />
    </div>
  );
}
