import type { Step } from '../../model/move.ts';
import { CLAUSES } from './keywords.ts';
import {
  BookSlip,
  endsInBackslash,
  escapeText,
  shifted,
  splitEntries,
  trimBlanks,
  unescapeText,
} from './text.ts';
import { listOf, number, seconds } from './values.ts';

const DEFAULT_SECONDS = 2;
const numbers = listOf(number(1, 99));

/** One step of a move after those before it: `text [release handL; after 1; 2 s]`. */
export function readStep(
  line: { text: string; column: number },
  before: readonly Step[],
  complain: (column: number, message: string) => void,
): Step {
  const [text, clauses] = splitClauses(line.text);
  const step: Step = {
    id: `s${before.length + 1}`,
    text: unescapeText(text),
    take: [],
    release: [],
    seconds: DEFAULT_SECONDS,
  };
  if (text === '') complain(line.column, 'an empty step; expected what is done');
  if (clauses === undefined) return step;
  const base = line.column + line.text.lastIndexOf('[') + 1;
  try {
    const said = new Set<string>();
    for (const clause of splitEntries(clauses, ';'))
      shifted(clause.at, () => readClause(clause.text, step, before, said));
  } catch (error) {
    if (!(error instanceof BookSlip)) throw error;
    complain(base + error.at, error.message);
  }
  return step;
}

/** The text of a step, and what stands in the brackets at its end, if there are any. */
function splitClauses(line: string): [text: string, clauses: string | undefined] {
  const open = line.endsWith(']') ? line.lastIndexOf('[') : -1;
  if (open < 0 || endsInBackslash(line.slice(0, open))) return [line, undefined];
  return [trimBlanks(line.slice(0, open)), line.slice(open + 1, -1)];
}

function readClause(text: string, step: Step, before: readonly Step[], said: Set<string>): void {
  if (/^\S+ ?s$/.test(text)) {
    step.seconds = seconds.read(text);
    return;
  }
  const word = ['after', ...Object.keys(CLAUSES)].find((known) => text.startsWith(`${known} `));
  if (!word)
    throw new BookSlip(
      `"${text}" is no clause; expected ${Object.keys(CLAUSES).join(', ')}, after, or "2 s"`,
    );
  if (said.has(word)) throw new BookSlip(`"${word}" is said twice in one step; expected it once`);
  said.add(word);
  const value = text.slice(word.length + 1).trimStart();
  shifted(text.length - value.length, () => {
    if (word !== 'after') {
      const { field, codec } = CLAUSES[word]!;
      Object.assign(step, { [field]: codec.read(value) });
      return;
    }
    step.after = numbers.read(value).map((place) => {
      const earlier = before[place - 1];
      if (!earlier)
        throw new BookSlip(`step ${place} does not come before this one; expected an earlier one`);
      return earlier.id;
    });
  });
}

/** Steps as numbered lines; the seconds are always said. */
export function printSteps(steps: readonly Step[]): string[] {
  return steps.map((step, i) => {
    const clauses = Object.entries(CLAUSES).flatMap(([word, { field, codec }]) => {
      const value = step[field as keyof Step];
      const unsaid = word === 'id' ? value === `s${i + 1}` : isNothing(value);
      return unsaid ? [] : [`${word} ${codec.print(value)}`];
    });
    if (step.after && step.after.length > 0)
      clauses.push(
        `after ${numbers.print(step.after.map((id) => steps.findIndex((other) => other.id === id) + 1))}`,
      );
    clauses.push(seconds.print(step.seconds));
    return `${i + 1}. ${escapeText(step.text)} [${clauses.join('; ')}]`;
  });
}

/** Whether a field says nothing: it is not there, or has nothing in it. */
export const isNothing = (value: unknown): boolean =>
  value === undefined ||
  value === '' ||
  (typeof value === 'object' && Object.keys(value as object).length === 0);
