import styles from './board.module.scss';
/** The keys that make something new, always in sight. */
export function BoardKeys() {
  const keys: [string, string][] = [
    ['type', 'an answer'],
    ['Tab', 'next'],
    ['+', 'move'],
    ['&', 'move that looks the same'],
    ['|', 'what top does'],
    ['@', 'position'],
    ['Space', 'open'],
    ['Del', 'clear'],
  ];
  return (
    <div className={styles['board-keys']} aria-hidden>
      {keys.map(([key, does]) => (
        <span key={key}>
          <kbd>{key}</kbd> {does}
        </span>
      ))}
    </div>
  );
}
