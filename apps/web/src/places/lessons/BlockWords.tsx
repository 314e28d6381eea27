import { toldInFull } from '@aftersquall/core/formats';
import { forkCalls } from '@aftersquall/core/lesson';
import { type Block, blockLines } from '@aftersquall/core/model';

const WHO = { all: '', bottom: 'Bottom', top: 'Top' } as const;
/** So many calls stand on paper. */
const CALLS = 24;

/** What a line begins with: "Start:", "Luck or skill?". */
export const Head = ({ words }: { words: string }) =>
  words && <em>{words.endsWith('?') ? `${words} ` : `${words}: `}</em>;

/** What is read from afar: where it starts and what is called. */
const WALL: ReadonlySet<string> = new Set([
  'Start',
  'Coach calls',
  'Partner',
  'Bottom wins',
  'Top wins',
  'Limit',
]);

/** All that is said of a block, line by line; `large` is what is read from afar alone. */
export function BlockWords({ block, large = false }: { block: Block; large?: boolean }) {
  const lines = blockLines(block).filter(({ label = '' }) => !large || WALL.has(label));
  return (
    <>
      {lines.map(({ who, label, text }) => (
        <p key={`${who} ${text}`}>
          <Head words={label ?? WHO[who]} />
          {text}
        </p>
      ))}
      {block.kind === 'fork' && !toldInFull(block) && (
        <p>
          <em>Calls: </em>
          {forkCalls(block, CALLS)
            .map((call) => call + 1)
            .join(' ')}{' '}
          ({block.links.map(({ meets }, i) => `${i + 1} ${meets || 'nothing'}`).join(', ')})
        </p>
      )}
    </>
  );
}
