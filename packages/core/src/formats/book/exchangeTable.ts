import { BASES, type Exchange } from '../../model/exchange.ts';
import { reactionKey } from '../../model/reaction.ts';
import { BookSlip, escapeText, readWord } from './text.ts';
import { chance, id, landing, number, reference, seconds } from './values.ts';

interface Column {
  head: string;
  /** Printed also where no row says anything in it. */
  always?: true;
  /** The fields that a cell says. */
  read(cell: string): Partial<Exchange>;
  print(row: Exchange): string;
}

const usualId = ({ move, reaction, variant }: Pick<Exchange, 'move' | 'reaction' | 'variant'>): string =>
  [move, reactionKey(reaction).replace('~', 'other-'), variant].filter(Boolean).join('--');

/** Stands for a chance of which nobody has said on what it rests. */
const NO_BASIS = '?';

/** A cell is one line: a line break is `<br>`, a bar stands behind a backslash. */
const noteCell = {
  read: (cell: string) => cell.replace(/<br>|\\([^\p{L}\p{N}])/gsu, (_, kept?: string) => kept ?? '\n'),
  print: (text: string) =>
    escapeText(text)
      .replace(/<br>/g, '\\<br>')
      .replace(/\|/g, '\\|')
      .replace(/\\\n {2}/g, '<br>'),
};

/** The columns of a table of exchanges, in the order in which they are printed. */
const COLUMNS: readonly Column[] = [
  {
    head: 'met by',
    always: true,
    read(cell) {
      const [, met, variant] = /^(\S+?)(?: \(([^()\s]+)\))?$/.exec(cell) ?? [];
      if (!met) throw new BookSlip('no reaction; expected none or a reaction, perhaps with (variant)');
      return {
        reaction: met === 'none' ? met : reference.read(met),
        ...(variant && { variant: id.read(variant) }),
      };
    },
    print: ({ reaction, variant }) => `${reactionKey(reaction)}${variant ? ` (${variant})` : ''}`,
  },
  {
    head: 'leads to',
    always: true,
    read: (cell) => ({ to: landing.read(cell) }),
    print: ({ to }) => landing.print(to),
  },
  {
    head: 'chance',
    always: true,
    read: (cell) => ({ chance: chance.read(cell) }),
    print: (row) => chance.print(row.chance),
  },
  {
    head: 'else',
    always: true,
    read: (cell) => ({ otherwise: landing.read(cell) }),
    print: ({ otherwise }) => (otherwise ? landing.print(otherwise) : ''),
  },
  {
    head: 'stops',
    read: (cell) => ({ stops: number(0, 99).read(cell) }),
    print: ({ stops }) => (stops === undefined ? '' : String(stops)),
  },
  {
    head: 'seconds',
    read: (cell) => ({ seconds: seconds.read(cell) }),
    print: (row) => (row.seconds === undefined ? '' : seconds.print(row.seconds)),
  },
  {
    head: 'basis',
    read: (cell) => ({ basis: cell === NO_BASIS ? undefined : readWord(BASES, 'basis', cell) }),
    print: ({ basis = NO_BASIS }) => (basis === 'coach' ? '' : basis),
  },
  {
    head: 'id',
    read: (cell) => ({ id: id.read(cell) }),
    print: (row) => (row.id === usualId(row) ? '' : row.id),
  },
  {
    head: 'note',
    always: true,
    read: (cell) => ({ note: noteCell.read(cell) }),
    print: ({ note = '' }) => noteCell.print(note),
  },
];
const NEEDED = COLUMNS.slice(0, 3).map(({ head }) => head);

export interface Cell {
  text: string;
  column: number;
}
type Complain = (column: number, message: string) => void;

/** The columns that a header names; undefined where it is none. */
export function readHeader(cells: readonly Cell[], complain: Complain): (Column | undefined)[] {
  const columns = cells.map(({ text }) => COLUMNS.find(({ head }) => head === text));
  cells.forEach(({ text, column }, i) => {
    if (!columns[i])
      complain(column, `unknown column "${text}"; expected ${COLUMNS.map(({ head }) => head).join(', ')}`);
  });
  if (!NEEDED.every((head) => columns.some((column) => column?.head === head)))
    complain(1, 'no header of a table; expected | met by | leads to | chance | …');
  return columns;
}

export const isRule = (cells: readonly Cell[]): boolean => cells.every(({ text }) => /^:?-+:?$/.test(text));

/** One exchange of a move; undefined where the row has a slip. */
export function readExchange(
  columns: readonly (Column | undefined)[],
  cells: readonly Cell[],
  move: string,
  complain: Complain,
): Exchange | undefined {
  if (cells.length !== columns.length) {
    complain(1, `${cells.length} cells; expected ${columns.length} as in the header`);
    return undefined;
  }
  const row: Partial<Exchange> = { basis: 'coach' };
  let sound = true;
  cells.forEach(({ text, column: at }, i) => {
    const column = columns[i];
    if (!column || (text === '' && !NEEDED.includes(column.head))) return;
    try {
      Object.assign(row, column.read(text));
    } catch (error) {
      if (!(error instanceof BookSlip)) throw error;
      complain(at + error.at, error.message);
      sound = false;
    }
  });
  const { reaction, to, chance: likely, basis, ...said } = row;
  if (!sound || !reaction || !to || likely === undefined) return undefined;
  const made = { move, reaction, ...said, to, chance: likely, ...(basis && { basis }) };
  return { id: usualId(made), ...made };
}

/** The exchanges of a move as a table. */
export function printExchanges(rows: readonly Exchange[]): string[] {
  const columns = COLUMNS.filter(({ always, print }) => always || rows.some((row) => print(row) !== ''));
  const line = (cells: readonly string[]) => `| ${cells.join(' | ')} |`;
  return [
    line(columns.map(({ head }) => head)),
    `|${columns.map(() => '---').join('|')}|`,
    ...rows.map((row) => line(columns.map(({ print }) => print(row)))),
  ];
}
