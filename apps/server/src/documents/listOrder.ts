/** Neighbours closer than this are not split any more: the whole list is numbered anew. */
const CLOSEST = 1e-6;

/**
 * Numbers for the places of a list, changing as few as it can of those that are known: things that are new or have
 * moved get numbers between their neighbours'. Gives only what is to be written.
 */
export function placeNumbers(
  ids: readonly string[],
  known: ReadonlyMap<string, number>,
): Map<string, number> {
  const steady = steadyNumbers(ids.map((id) => known.get(id)));
  const written = new Map<string, number>();
  for (let i = 0; i < ids.length; ) {
    if (steady[i] !== undefined) {
      i++;
      continue;
    }
    let end = i;
    while (end < ids.length && steady[end] === undefined) end++;
    const before = i > 0 ? (steady[i - 1] ?? written.get(ids[i - 1]!)!) : undefined;
    const after = steady[end];
    const step = before !== undefined && after !== undefined ? (after - before) / (end - i + 1) : 1;
    if (step < CLOSEST) return new Map(ids.map((id, place) => [id, place]));
    const first = before !== undefined ? before + step : (after ?? end - i) - (end - i) * step;
    for (let j = i; j < end; j++) written.set(ids[j]!, first + (j - i) * step);
    i = end;
  }
  return written;
}

/** The numbers that can stay: each greater than the ones before it that stay; undefined for the rest. */
function steadyNumbers(numbers: readonly (number | undefined)[]): (number | undefined)[] {
  let last = Number.NEGATIVE_INFINITY;
  return numbers.map((number, i) => {
    if (number === undefined || number <= last) return undefined;
    const next = numbers[i + 1];
    // What stands too high for its place, and alone, has moved here: better it than all that follow.
    if (next !== undefined && next <= number && next > last) return undefined;
    last = number;
    return number;
  });
}
