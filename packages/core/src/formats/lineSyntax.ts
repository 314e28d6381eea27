import { OUTCOMES } from '../model/outcome.ts';

/** A name in a line, and where it begins (columns count from 1). */
export interface Named {
  text: string;
  mirrored: boolean;
  column: number;
  /** Written in quotation marks, and so never a word of the notation (`none`, an outcome). */
  quoted?: true;
  /** Written behind the word `new`: a position that the answer is to make. */
  fresh?: true;
}

/** Names of a map: they are read whole, also where they hold a sign of the notation, as a colon. */
export interface KnownNames {
  positions: readonly string[];
  moves: readonly string[];
  reactions: readonly string[];
}

/** One line: "Position: move @ variant | reaction -> result 60% else result 8s". */
export interface Line {
  line: number;
  position: Named;
  move: Named;
  variant?: Named;
  /** Undefined for `none`, the unopposed case. */
  reaction?: Named;
  to: Named;
  /** In [0, 1]; undefined when the line does not say. */
  chance?: number;
  otherwise?: Named;
  seconds?: number;
}

export interface LineError {
  line: number;
  column: number;
  message: string;
}

const QUOTED = /^"((?:[^"\\]|\\["\\])*)"/;
const FORM = 'Position: move | reaction -> result 60% else result 8s';

class Slip extends Error {
  readonly column: number;
  constructor(column: number, message: string) {
    super(message);
    this.column = column;
  }
}

const NO_NAMES: KnownNames = { positions: [], moves: [], reactions: [] };

/**
 * Every line of a text; empty lines and those that begin with # are passed over. Errors say line and column. A known
 * name needs no quotation marks, whatever is in it; of two that fit the longer one is meant.
 */
export function parseLines(
  text: string,
  known: KnownNames = NO_NAMES,
): { lines: Line[]; errors: LineError[] } {
  const names = {
    positions: longestFirst(known.positions),
    moves: longestFirst(known.moves),
    reactions: longestFirst(known.reactions),
  };
  const lines: Line[] = [];
  const errors: LineError[] = [];
  text.split(/\r?\n/).forEach((source, i) => {
    if (source.trim() === '' || source.trimStart().startsWith('#')) return;
    try {
      lines.push(parseLine(source, i + 1, names));
    } catch (error) {
      if (!(error instanceof Slip)) throw error;
      errors.push({ line: i + 1, column: error.column, message: error.message });
    }
  });
  return { lines, errors };
}

/** Those of the names that would be read as something else, lower case, the longest first. */
const longestFirst = (names: readonly string[]): string[] =>
  names
    .filter((name) => SPECIAL.test(name))
    .map((name) => name.toLowerCase())
    .sort((a, b) => b.length - a.length);

function parseLine(source: string, line: number, known: KnownNames): Line {
  const reader = new Reader(source);
  const position = reader.name([':'], 'a position', known.positions);
  reader.expect(':', `a colon after the position: ${FORM}`);
  const move = reader.name(['@', '|', '->'], 'a move', known.moves);
  const variant = reader.accept('@') ? reader.name(['|', '->'], 'a variant') : undefined;
  let reaction: Named | undefined;
  if (reader.accept('|')) {
    const met = reader.name(['->'], 'what top does', known.reactions);
    if (met.text.toLowerCase() !== 'none' || met.mirrored || met.quoted) reaction = met;
  }
  reader.expect('->', `an arrow before the result: ${FORM}`);
  return {
    line,
    position,
    move,
    ...(variant && { variant }),
    ...(reaction && { reaction }),
    ...readTail(reader, known.positions),
  };
}

/** What stands behind the arrow: result, chance, what happens else, time. */
type AnswerSyntax = Pick<Line, 'to' | 'chance' | 'otherwise' | 'seconds'>;

function readTail(reader: Reader, known: readonly string[]): AnswerSyntax {
  const to = reader.result(known);
  const chance = reader.percent();
  const otherwise = reader.acceptWord('else') ? reader.result(known) : undefined;
  const seconds = reader.seconds();
  reader.end();
  return {
    to,
    ...(chance !== undefined && { chance }),
    ...(otherwise && { otherwise }),
    ...(seconds !== undefined && { seconds }),
  };
}

/**
 * An answer by itself, as it is typed where move and reaction are clear: "two on one 70% else new knee line 8s". The
 * names of the map's positions need no quotation marks.
 */
export function parseAnswer(
  text: string,
  positions: readonly string[] = [],
): { answer: AnswerSyntax } | { error: Omit<LineError, 'line'> } {
  try {
    return { answer: readTail(new Reader(text, { withNew: true }), longestFirst(positions)) };
  } catch (error) {
    if (!(error instanceof Slip)) throw error;
    return { error: { column: error.column, message: error.message } };
  }
}

/** Where a result ends: before a percentage, `else`, or seconds at the end of the line. */
const RESULT_ENDS = /\s+\d+(?:[.,]\d+)?\s*%|\s+else(?:\s|$)|\s+\d+(?:[.,]\d+)?\s*s\s*$|\s*$/i;

/** The length of the known name that a text begins with, if what follows it may follow a name. */
function lengthOfKnown(
  rest: string,
  known: readonly string[],
  mayFollow: (after: string) => boolean,
): number | undefined {
  const lower = rest.toLowerCase();
  return known.find((name) => lower.startsWith(name) && mayFollow(rest.slice(name.length)))?.length;
}

/** Reads one line from left to right. */
class Reader {
  private at = 0;
  private readonly source: string;
  private readonly withNew: boolean;
  constructor(source: string, { withNew = false } = {}) {
    this.source = source;
    this.withNew = withNew;
  }

  /** A name up to the first of the stops; a stop inside quotes or inside a known name is none. */
  name(stops: readonly string[], what: string, known: readonly string[] = []): Named {
    const isStop = (rest: string) => stops.some((stop) => rest.trimStart().startsWith(stop));
    return this.take(
      what,
      (rest) =>
        lengthOfKnown(rest, known, isStop) ??
        Math.min(...stops.map((stop) => rest.indexOf(stop)).map((i) => (i < 0 ? rest.length : i))),
    );
  }

  /** A name up to a percentage, `else`, seconds at the end, or the end; `new` before it, where that has a meaning. */
  result(known: readonly string[]): Named {
    const isEnd = (rest: string) => RESULT_ENDS.exec(rest)!.index === 0;
    const lengthOf = (rest: string) => lengthOfKnown(rest, known, isEnd) ?? RESULT_ENDS.exec(rest)!.index;
    this.space();
    const column = this.at + 1;
    const isKnown = lengthOfKnown(this.source.slice(this.at), known, isEnd) !== undefined;
    const fresh = this.withNew && !isKnown && this.acceptWord('new');
    if (!fresh) return this.take('a result', lengthOf);
    return { ...this.take('the name of the new position', lengthOf), column, fresh };
  }

  private take(what: string, lengthOf: (rest: string) => number): Named {
    this.space();
    const column = this.at + 1;
    const mirrored = this.source[this.at] === '~';
    if (mirrored) this.at++;
    const rest = this.source.slice(this.at);
    if (rest.startsWith('"')) {
      const quoted = QUOTED.exec(rest);
      if (!quoted) throw new Slip(column, 'the quotation mark is not closed');
      const text = quoted[1]!.replace(/\\(["\\])/g, '$1').trim();
      if (text === '') throw new Slip(column, `${what} is missing between the quotation marks`);
      this.at += quoted[0].length;
      return { text, mirrored, column, quoted: true };
    }
    const length = lengthOf(rest);
    const text = rest.slice(0, length).trim();
    if (text === '') throw new Slip(column, `${what} is missing here`);
    this.at += length;
    return { text, mirrored, column };
  }

  percent(): number | undefined {
    const found = this.match(/^\s*(\d+(?:[.,]\d+)?)\s*%/);
    if (!found) return undefined;
    const percent = Number(found.text.replace(',', '.'));
    if (percent > 100) throw new Slip(found.column, `a chance of ${found.text} % is more than certain`);
    // Rounded, because 96.31 / 100 is not the number that is written 0.9631.
    return Math.round(percent * 1e4) / 1e6;
  }

  seconds(): number | undefined {
    const found = this.match(/^\s*(\d+(?:[.,]\d+)?)\s*s(?=\s*$)/i);
    return found && Number(found.text.replace(',', '.'));
  }

  private match(pattern: RegExp): { text: string; column: number } | undefined {
    const found = pattern.exec(this.source.slice(this.at));
    if (!found) return undefined;
    const column = this.at + found[0].indexOf(found[1]!) + 1;
    this.at += found[0].length;
    return { text: found[1]!, column };
  }

  accept(token: string): boolean {
    this.space();
    if (!this.source.startsWith(token, this.at)) return false;
    this.at += token.length;
    return true;
  }

  acceptWord(word: string): true | undefined {
    this.space();
    if (!new RegExp(`^${word}(?=\\s|$)`, 'i').test(this.source.slice(this.at))) return undefined;
    this.at += word.length;
    return true;
  }

  expect(token: string, what: string): void {
    if (!this.accept(token)) throw new Slip(this.at + 1, `expected ${what}`);
  }

  end(): void {
    this.space();
    if (this.at < this.source.length)
      throw new Slip(this.at + 1, `"${this.source.slice(this.at)}" does not belong here: ${FORM}`);
  }

  private space(): void {
    while (/\s/.test(this.source[this.at] ?? '')) this.at++;
  }
}

const SPECIAL = /[:|%"@#~]|->|(?:^|\s)else(?:\s|$)|^\s|\s$|\s\d+(?:[.,]\d+)?\s*s$|^none$|^new\s|^$/i;

/** A name as a line writes it: quoted where it would be read as something else. */
export function quoteName(name: string, mirrored = false, quoted = false): string {
  const word = quoted || SPECIAL.test(name) ? `"${name.replace(/["\\]/g, '\\$&')}"` : name;
  return mirrored ? `~${word}` : word;
}

const percentOf = (chance: number): string => String(Math.round(chance * 1e6) / 1e4);

/** One line, in the one way in which lines are written. */
export function printLine(line: Omit<Line, 'line'>): string {
  const name = ({ text, mirrored, quoted }: Named) => quoteName(text, mirrored, quoted);
  return [
    `${name(line.position)}: ${name(line.move)}`,
    line.variant && `@ ${name(line.variant)}`,
    `| ${line.reaction ? name(line.reaction) : 'none'} -> ${name(line.to)}`,
    line.chance !== undefined && `${percentOf(line.chance)}%`,
    line.otherwise && `else ${name(line.otherwise)}`,
    line.seconds !== undefined && `${line.seconds}s`,
  ]
    .filter(Boolean)
    .join(' ');
}

/** Whether a word is the kind of an outcome. */
export const isOutcomeWord = (text: string): boolean => (OUTCOMES as readonly string[]).includes(text);
