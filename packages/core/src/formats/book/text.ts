/** Something that a piece of a book does not say as it should; `at` is its place in what was read. */
export class BookSlip extends Error {
  readonly at: number;
  constructor(message: string, at = 0) {
    super(message);
    this.at = at;
  }
}

/** Reads what begins further on in a larger text: slips are said by their place in that. */
export function shifted<T>(at: number, read: () => T): T {
  try {
    return read();
  } catch (error) {
    if (error instanceof BookSlip) throw new BookSlip(error.message, error.at + at);
    throw error;
  }
}

/**
 * A text as one value of a book: backslashes are doubled, a line break is a backslash at the end of a line that the next
 * one goes on with, and spaces that would be lost at the ends of lines stand behind a backslash.
 */
export function escapeText(text: string): string {
  return text
    .replace(/\\/g, '\\\\')
    .split('\n')
    .map((line) => line.replace(/^ | $/g, '\\ ').replace(/^(?=<!--)/, '\\'))
    .join('\\\n  ');
}

/** The text that was meant: a backslash before anything but a letter or digit is only there to keep it. */
export const unescapeText = (text: string): string => text.replace(/\\([^\p{L}\p{N}])/gsu, '$1');

/** Whether an odd number of backslashes stands at the end: the last one keeps what follows. */
export function endsInBackslash(text: string): boolean {
  let at = text.length;
  while (at > 0 && text[at - 1] === '\\') at--;
  return (text.length - at) % 2 === 1;
}

/** Without blanks at its end, but for one that a backslash keeps. */
export function trimBlanks(text: string): string {
  const trimmed = text.trimEnd();
  return endsInBackslash(trimmed) ? text.slice(0, trimmed.length + 1) : trimmed;
}

export interface Piece {
  text: string;
  at: number;
}

/** The pieces between separators that no backslash stands before, with where each begins; blanks around them are left out. */
export function splitParts(text: string, separator: string): Piece[] {
  const found: Piece[] = [];
  let from = 0;
  for (let i = 0; i <= text.length; i++) {
    if (text[i] === '\\') i++;
    else if (i === text.length || text.startsWith(separator, i)) {
      const raw = text.slice(from, i);
      const piece = trimBlanks(raw.trimStart());
      found.push({ text: piece, at: from + raw.length - raw.trimStart().length });
      from = i + separator.length;
    }
  }
  return found;
}

/** The same where every piece has to say something. */
export function splitEntries(text: string, separator = ','): Piece[] {
  const entries = splitParts(text, separator);
  for (const { text: entry, at } of entries)
    if (entry === '') throw new BookSlip(`nothing beside "${separator}"; expected an entry`, at);
  return entries;
}

/** One of some words. */
export function readWord<T extends string>(words: readonly T[], what: string, text: string, at = 0): T {
  const found = words.find((word) => word === text);
  if (found === undefined) throw new BookSlip(`"${text}" is no ${what}; expected ${words.join(', ')}`, at);
  return found;
}
