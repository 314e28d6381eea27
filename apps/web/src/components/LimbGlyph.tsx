import { contactName, holdWords, type WordContext } from '@aftersquall/core/body';
import { CONTACTS, type Contact, type Hold } from '@aftersquall/core/model';
import styles from './limbGlyph.module.scss';
import { say } from './words.ts';

/** Six strokes as one sees oneself from above: hands and arms spread, legs down. Left is one's own left. */
const STROKES: { contacts: Contact[]; path: string }[] = [
  { contacts: ['handL'], path: say.m117L33 },
  { contacts: ['armL'], path: say.m1912L127 },
  { contacts: ['handR'], path: say.m337L413 },
  { contacts: ['armR'], path: say.m2512L327 },
  { contacts: ['legL', 'footL'], path: say.m2022L1133 },
  { contacts: ['legR', 'footR'], path: say.m2422L3333 },
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
