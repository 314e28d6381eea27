import { contactName, holdWords, type WordContext } from '@aftersquall/core/body';
import { CONTACTS, type Contact, type Hold } from '@aftersquall/core/model';
import styles from './limbGlyph.module.scss';

/** Six strokes as one sees oneself from above: hands and arms spread, legs down. Left is one's own left. */
const STROKES: { contacts: Contact[]; path: string }[] = [
  { contacts: ['handL'], path: 'M11 7 L3 3' },
  { contacts: ['armL'], path: 'M19 12 L12 7.5' },
  { contacts: ['handR'], path: 'M33 7 L41 3' },
  { contacts: ['armR'], path: 'M25 12 L32 7.5' },
  { contacts: ['legL', 'footL'], path: 'M20 22 L11 33' },
  { contacts: ['legR', 'footR'], path: 'M24 22 L33 33' },
];

interface Props {
  holds: readonly Hold[];
  context: WordContext;
  width?: number;
}

/** Which limbs hold and which are free, at a glance: a holding limb is a thick stroke with a knob, a free one a thin dotted line. */
export function LimbGlyph({ holds, context, width = 44 }: Props) {
  const bearing = new Map(holds.flatMap((hold) => hold.contacts.map((contact) => [contact, hold] as const)));
  const free = CONTACTS.slice(0, 8).filter((contact) => !bearing.has(contact));
  const label = [
    ...holds.map((hold) => holdWords(hold, context)),
    holds.length === 0 ? 'nothing held' : `free: ${free.map(contactName).join(', ')}`,
  ].join('\n');
  return (
    <svg
      className="limb-glyph"
      viewBox="0 0 44 36"
      width={width}
      height={(width * 36) / 44}
      role="img"
      aria-label={label}
    >
      <title>{label}</title>
      <circle cx="22" cy="7" r="3" className="head" />
      <path d="M22 11 V21" className={styles.spine} />
      {STROKES.map(({ contacts, path }) => {
        const held = contacts.some((contact) => bearing.has(contact));
        const [, x, y] = /L([\d.]+) ([\d.]+)$/.exec(path) ?? [];
        return (
          <g key={path} className={held ? 'held' : 'free'}>
            <path d={path} />
            {held && <circle cx={x} cy={y} r="2.4" />}
          </g>
        );
      })}
    </svg>
  );
}
