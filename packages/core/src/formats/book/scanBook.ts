import { endsInBackslash, splitParts, trimBlanks } from './text.ts';

export type BookLine = { line: number } & (
  | { kind: 'heading'; depth: number; text: string; column: number }
  | { kind: 'keyword'; text: string }
  | { kind: 'step'; count: number; text: string; column: number }
  | { kind: 'row'; cells: { text: string; column: number }[] }
  | { kind: 'unknown' }
);

/**
 * The lines of a book, each of one of five kinds. A line that begins with two blanks goes on with the one above, whose
 * last backslash keeps the line break; comments on lines of their own are left out.
 *
 *     - note: one \        →   { kind: 'keyword', text: '- note: one \⏎two three' }
 *       two
 *       three
 */
export function scanBook(source: string): BookLine[] {
  const whole: { text: string; line: number; end: number }[] = [];
  let inComment = false;
  // A byte-order mark is no part of the first line.
  for (const [i, raw] of source
    .replace(/^\uFEFF/, '')
    .split(/\r?\n/)
    .entries()) {
    if (inComment || /^\s*<!--/.test(raw)) {
      inComment = !raw.includes('-->');
      continue;
    }
    const last = whole.at(-1);
    if (/^ {2,}\S/.test(raw) && last?.end === i) {
      last.text += (endsInBackslash(last.text) ? '\n' : ' ') + trimBlanks(raw.trimStart());
      last.end = i + 1;
    } else if (raw.trim() !== '') whole.push({ text: trimBlanks(raw), line: i + 1, end: i + 1 });
  }
  return whole.map(({ text, line }) => ({ line, ...kindOf(text) }));
}

type Kind<T = BookLine> = T extends BookLine ? Omit<T, 'line'> : never;

function kindOf(text: string): Kind {
  const heading = /^(#{1,6})(\s+)(.*)$/s.exec(text);
  if (heading) {
    const [, marks = '', blanks = '', rest = ''] = heading;
    return { kind: 'heading', depth: marks.length, text: rest, column: marks.length + blanks.length + 1 };
  }
  if (text.startsWith('- ')) return { kind: 'keyword', text };
  const step = /^(\d+)\. +(.*)$/s.exec(text);
  if (step)
    return {
      kind: 'step',
      count: Number(step[1]),
      text: step[2]!,
      column: text.length - step[2]!.length + 1,
    };
  if (text.startsWith('|')) return { kind: 'row', cells: cellsOf(text) };
  return { kind: 'unknown' };
}

function cellsOf(text: string): { text: string; column: number }[] {
  const inner = text.slice(1).replace(/(?<!\\)\|\s*$/, '');
  return splitParts(inner, '|').map((part) => ({ text: part.text, column: part.at + 2 }));
}
