import type { ZodType } from 'zod';
import { zodIssues } from '../../documents/zodIssues.ts';
import type { Exchange } from '../../model/exchange.ts';
import type { GuardMap } from '../../model/map.ts';
import { ENTITY_SCHEMAS } from '../../model/map.ts';
import { type Move, type Step, VariantSchema } from '../../model/move.ts';
import { OUTCOMES } from '../../model/outcome.ts';
import { LookSchema } from '../../model/position.ts';
import { readStep } from './bookSteps.ts';
import { isRule, readExchange, readHeader } from './exchangeTable.ts';
import { type BlockKind, HEADING_DEPTH, KEYWORDS } from './keywords.ts';
import { type BookLine, scanBook } from './scanBook.ts';
import { BookSlip, unescapeText } from './text.ts';
import { id as idCodec, reference } from './values.ts';

export interface BookFile {
  name: string;
  text: string;
}

/** What of a map a guard book holds; settings, chains, opponents and what-ifs stay in the map file. */
export type GuardBook = Pick<
  GuardMap,
  'systems' | 'mechanics' | 'reactions' | 'positions' | 'moves' | 'exchanges' | 'endings'
>;

/** What is wrong in a book: where, what, and what was expected. Lines and columns count from 1. */
export interface BookError {
  file: string;
  line: number;
  column: number;
  message: string;
}

/** An error as a line that editors and terminals can jump from. */
export const bookErrorText = ({ file, line, column, message }: BookError): string =>
  `${file}:${line}:${column} ${message}`;

/** A thing of the book while its lines are read. */
interface Block {
  kind: BlockKind;
  /** The fields read so far. */
  fields: Record<string, unknown> & { id: string; name: string };
  line: number;
  said: Set<string>;
}

/**
 * The map that files of a guard book say, in the order of their names; names in capitals, such as README.md, are passed
 * over. All errors of all files come at once, and nothing is taken over unless there are none. Ids that nothing has are
 * not looked for: that is for `badReferences`.
 */
export function parseGuardBook(files: readonly BookFile[]): {
  book: GuardBook;
  errors: BookError[];
  /** Where each thing stands, `file:line` by its kind and id: "move scissor". */
  places: ReadonlyMap<string, string>;
} {
  const reader = new BookReader();
  const named = files.filter(({ name }) => !/^[A-Z_-]+\.md$/.test(name.split('/').at(-1)!));
  for (const file of [...named].sort((a, b) => (a.name < b.name ? -1 : 1))) reader.readFile(file);
  const { book, errors, places } = reader;
  return { book: errors.length > 0 ? emptyBook() : book, errors, places };
}

const emptyBook = (): GuardBook => ({
  systems: [],
  mechanics: [],
  reactions: [],
  positions: [],
  moves: [],
  exchanges: [],
  endings: [],
});

const NOT_UNDERSTOOD =
  'not understood; expected a heading, "- keyword: …", "1. step […]", a table row, or two blanks in front to go on with the line above';
const OUTER = ['System', 'Mechanic', 'Reaction', 'Position', 'Ending', 'Look', 'Move', 'Variant'] as const;
const PARENT: Partial<Record<BlockKind, BlockKind>> = { Look: 'Position', Move: 'Look', Variant: 'Move' };

/** Reads files one after the other, line by line, into one book. */
class BookReader {
  readonly book = emptyBook();
  readonly errors: BookError[] = [];
  private file = '';
  /** The block of each kind that one is in. */
  private open: Partial<Record<BlockKind, Block>> = {};
  /** The one that lines belong to; undefined under a heading that was not understood. */
  private block: Block | undefined;
  private skipping = false;
  private table: { columns: ReturnType<typeof readHeader>; ruled: boolean } | undefined;
  /** Where each id was given, by kind and scope. */
  readonly places = new Map<string, string>();

  readFile({ name, text }: BookFile): void {
    this.file = name;
    for (const line of scanBook(text)) this.readLine(line);
    this.close(1);
    this.block = undefined;
    this.skipping = false;
  }

  private complain(line: number, column: number, message: string): void {
    this.errors.push({ file: this.file, line, column, message });
  }

  private readLine(line: BookLine): void {
    if (line.kind !== 'row') this.table = undefined;
    if (line.kind === 'heading') this.readHeading(line);
    else if (!this.block) {
      if (!this.skipping)
        this.complain(line.line, 1, 'text before a heading that is understood; expected a heading');
    } else if (line.kind === 'keyword') this.readKeyword(line, this.block);
    else if (line.kind === 'step') this.readStep(line, this.block);
    else if (line.kind === 'row') this.readRow(line, this.block);
    else this.complain(line.line, 1, NOT_UNDERSTOOD);
  }

  private readHeading({ line, depth, text, column }: Extract<BookLine, { kind: 'heading' }>): void {
    this.close(depth);
    this.block = undefined;
    this.skipping = true;
    if (text === 'Shared' && depth === 1) return;
    const found = /^([A-Z][a-z]+)(?:: (.+) \(([^()\s]+)\)|(: .+)?)$/.exec(text);
    const kind = found?.[1] as BlockKind | undefined;
    if (!found || !kind || HEADING_DEPTH[kind] !== depth) {
      const known = Object.entries(HEADING_DEPTH).map(
        ([word, marks]) => `${'#'.repeat(marks)} ${word}${word === 'Shared' ? '' : ': Name (id)'}`,
      );
      this.complain(line, 1, `unknown heading; expected ${known.join(', ')}`);
      return;
    }
    const [, , name, id] = found;
    if (!name || !id) {
      this.complain(line, column, `a ${kind} without a name and an id; expected ${kind}: Name (id)`);
      return;
    }
    try {
      idCodec.read(id);
    } catch (error) {
      if (!(error instanceof BookSlip)) throw error;
      this.complain(line, column + text.lastIndexOf('(') + 1, error.message);
      return;
    }
    const parent = PARENT[kind];
    if (parent && !this.open[parent]) {
      this.complain(line, 1, `a ${kind} outside of a ${parent}; expected a ${parent} heading before it`);
      return;
    }
    if (kind === 'Position' && (OUTCOMES as readonly string[]).includes(id))
      this.complain(line, column, `"${id}" is an outcome; expected another id`);
    this.skipping = false;
    this.block = { kind, line, said: new Set(), fields: { id, name, ...this.begun(kind) } };
    this.open[kind] = this.block;
    const scope =
      kind === 'Look' ? this.open.Position!.fields.id : kind === 'Variant' ? this.open.Move!.fields.id : '';
    this.register(kind.toLowerCase(), scope ? `${scope}/${id}` : id, line);
  }

  /** What a block has before its first line, from where it stands. */
  private begun(kind: BlockKind): Record<string, unknown> {
    const { System, Position, Look } = this.open;
    if (kind === 'Position') return { systems: System ? [System.fields.id] : [], looks: [] };
    if (kind === 'Move')
      return { position: Position!.fields.id, look: Look!.fields.id, steps: [], variants: [], rows: [] };
    return kind === 'Variant' ? { steps: [] } : {};
  }

  private register(kind: string, id: string, line: number): void {
    const key = `${kind} ${id}`;
    const before = this.places.get(key);
    if (before) this.complain(line, 1, `${key} is in ${before} already; expected an unused id`);
    this.places.set(key, `${this.file}:${line}`);
  }

  private readKeyword({ line, text }: Extract<BookLine, { kind: 'keyword' }>, block: Block): void {
    const keywords = KEYWORDS[block.kind];
    const found = /^- ([a-z][a-z -]*?)(?: (~?[A-Za-z0-9][\w-]*))?:(\s+)?(.*)$/s.exec(text);
    let [, word = '', argument, blanks = '', value = ''] = found ?? [];
    if (argument && keywords[`${word} ${argument}`]) {
      word = `${word} ${argument}`;
      argument = undefined;
    }
    const ownWords =
      block.kind === 'Look' && argument && (word === 'feel' || word === 'script') ? word : undefined;
    const keyword = keywords[word];
    if (!found || (!keyword && !ownWords)) {
      const known = [...Object.keys(keywords), ...(block.kind === 'Look' ? ['feel ID', 'script ID'] : [])];
      this.complain(
        line,
        3,
        `unknown keyword in a ${block.kind}; expected "- keyword: …" with ${known.join(', ')}`,
      );
      return;
    }
    const column = text.length - value.length + 1;
    if (value === '' || blanks === '') {
      this.complain(line, column, `nothing after "${word}:"; expected a blank and a value, or no such line`);
      return;
    }
    if (ownWords) {
      this.readOwnWords(block, ownWords, argument!, value, line);
      return;
    }
    const { field, codec, many, withId } = keyword!;
    if (argument && !withId) {
      this.complain(line, 3, `"${word}" takes no id; expected "- ${word}: …"`);
      return;
    }
    if (!many && block.said.has(word)) {
      this.complain(line, 3, `"${word}" is said twice; expected it once`);
      return;
    }
    block.said.add(word);
    try {
      const read = codec.read(value);
      if (!many) block.fields[field] = read;
      else {
        const list = (block.fields[field] as unknown[] | undefined) ?? [];
        block.fields[field] = list;
        list.push(withId ? { id: argument ?? `f${list.length + 1}`, ...(read as object) } : read);
      }
    } catch (error) {
      if (!(error instanceof BookSlip)) throw error;
      this.complain(line, column + error.at, error.message);
    }
  }

  /** `- feel ID: …`, `- script ID: …`: the words of a reaction that are its own in this look. */
  private readOwnWords(
    block: Block,
    word: 'feel' | 'script',
    key: string,
    value: string,
    line: number,
  ): void {
    const listed = (block.fields.reactions ?? []) as Record<string, unknown>[];
    const reaction = listed.find((one) => reference.print(one as { id: string }) === key);
    if (!reaction) this.complain(line, 3, `${key} is not among the reactions above; expected one of them`);
    else if (reaction[word] !== undefined)
      this.complain(line, 3, `"${word} ${key}" is said twice; expected it once`);
    else reaction[word] = unescapeText(value);
  }

  private readStep({ line, count, ...rest }: Extract<BookLine, { kind: 'step' }>, block: Block): void {
    if (block.kind !== 'Move' && block.kind !== 'Variant') {
      this.complain(line, 1, `no steps in a ${block.kind}; expected them under a Move or a Variant`);
      return;
    }
    const steps = block.fields.steps as Step[];
    if (count !== steps.length + 1) this.complain(line, 1, `step ${count}; expected ${steps.length + 1}`);
    steps.push(readStep(rest, steps, (column, message) => this.complain(line, column, message)));
  }

  private readRow({ line, cells }: Extract<BookLine, { kind: 'row' }>, block: Block): void {
    const complain = (column: number, message: string) => this.complain(line, column, message);
    if (block.kind !== 'Move') {
      complain(1, `no table in a ${block.kind}; expected it under a Move, before its Variants`);
      return;
    }
    if (!this.table) {
      this.table = { columns: readHeader(cells, complain), ruled: false };
      return;
    }
    if (!this.table.ruled) {
      this.table.ruled = true;
      if (isRule(cells)) return;
      complain(1, 'no rule under the header; expected |---|---|---|');
    }
    const row = readExchange(this.table.columns, cells, block.fields.id, complain);
    if (!row) return;
    (block.fields.rows as Exchange[]).push(row);
    this.register('exchange', row.id, line);
  }

  /** Ends the blocks that a heading of this depth ends, inner ones first. */
  private close(depth: number): void {
    for (const kind of [...OUTER].reverse()) {
      const block = this.open[kind];
      if (!block || HEADING_DEPTH[kind] < depth) continue;
      delete this.open[kind];
      this.finish(block);
    }
  }

  private finish({ kind, fields, line, said }: Block): void {
    const unsaid = Object.entries(KEYWORDS[kind]).filter(
      ([word, { required }]) => required && !said.has(word),
    );
    for (const [word] of unsaid)
      this.complain(line, 1, `a ${kind} without "${word}"; expected "- ${word}: …" under it`);
    if (unsaid.length > 0) return;
    // What could not be read was complained of where it stands.
    if (Object.values(KEYWORDS[kind]).some(({ field, required }) => required && fields[field] === undefined))
      return;
    const { systems, mechanics, reactions, positions, endings } = this.book;
    const looks = this.open.Position?.fields.looks as object[];
    if (kind === 'System') this.keep(ENTITY_SCHEMAS.system, fields, line, systems);
    else if (kind === 'Mechanic') this.keep(ENTITY_SCHEMAS.mechanic, fields, line, mechanics);
    else if (kind === 'Reaction') this.keep(ENTITY_SCHEMAS.reaction, fields, line, reactions);
    else if (kind === 'Position') this.keep(ENTITY_SCHEMAS.position, fields, line, positions);
    else if (kind === 'Ending') this.keep(ENTITY_SCHEMAS.ending, fields, line, endings);
    else if (kind === 'Look') this.keep(LookSchema, fields, line, looks);
    else if (kind === 'Move') this.keepMove(fields, line);
    else this.keepVariant(fields, line);
  }

  private keepMove({ rows, ...fields }: Block['fields'], line: number): void {
    const variants = fields.variants as (Move['variants'][number] & { house?: string })[];
    const house = variants.filter((variant) => variant.house);
    if (house.length > 1) this.complain(line, 1, 'two variants of the house; expected one at most');
    const move = {
      ...fields,
      ...(house[0] && { houseVariant: house[0].id }),
      variants: variants.map(({ house: _, ...variant }) => variant),
    };
    this.keep(ENTITY_SCHEMAS.move, move, line, this.book.moves);
    for (const row of rows as Exchange[]) this.keep(ENTITY_SCHEMAS.exchange, row, line, this.book.exchanges);
  }

  private keepVariant({ house, apparel, build, when, ...fields }: Block['fields'], line: number): void {
    const conditions = { apparel, build, partner: when };
    const said = Object.fromEntries(Object.entries(conditions).filter(([, value]) => value !== undefined));
    const kept: object[] = [];
    this.keep(VariantSchema, { ...fields, when: said }, line, kept);
    const variants = this.open.Move!.fields.variants as object[];
    for (const variant of kept) variants.push(house ? { ...variant, house } : variant);
  }

  private keep<T>(schema: ZodType<T>, value: unknown, line: number, list: T[]): void {
    const parsed = schema.safeParse(value);
    if (parsed.success) list.push(parsed.data);
    else
      for (const { path, message } of zodIssues(parsed.error))
        this.complain(line, 1, `${path.join('.')}: ${message}`);
  }
}
