/** How long one repetition of a movement takes at least, seconds. Common practice, no published source. */
const REP = 3;

/** `8 a side`, `2 × 6`, `3 × 30 s`, `6 slow an arm`. */
const DOSE =
  /^(?:(\d+) × )?(\d+)( s\b)?[^;]*?(\b(?:a|an|each) (?:side|arm|foot|leg|shoulder|way|hip)\b|\beach\b)?$/;

/**
 * How long a dose takes at least, seconds: the part before the first semicolon or comma, both sides where it is "a side".
 * Undefined where it counts something else, such as lengths of the mat.
 */
export function doseSeconds(dose: string): number | undefined {
  const [first = ''] = dose.split(/[;,]/);
  if (/length/.test(first)) return undefined;
  const found = DOSE.exec(first.trim());
  if (!found) return undefined;
  const [, rounds = '1', count, inSeconds, sides] = found;
  return Number(rounds) * Number(count) * (inSeconds ? 1 : REP) * (sides ? 2 : 1);
}
