import type { DrilledBlock } from '../../model/blocks/blockKinds.ts';
import type { Rung } from '../../model/blocks/defineBlock.ts';

/** Between the calls of a ladder, each with its repetitions behind it: "Kneel normally (2) · drive forward (4)." */
const BETWEEN = ' · ';
const COUNT = /\((\d+)\)/g;

/**
 * A block with other repetitions. Its ladder keeps its rungs: the longest gives or takes the difference, and what the
 * coach calls says so. A ladder with fewer repetitions than rungs is none.
 */
export function withReps(block: DrilledBlock, reps: number): DrilledBlock {
  const { rungs, top } = block;
  if (!rungs || rungs.length === 0 || reps === block.reps) return { ...block, reps };
  const longest = rungs.reduce((best, rung, i) => (rung.reps > rungs[best]!.reps ? i : best), 0);
  const most = rungs[longest]!.reps + reps - block.reps;
  if (most < 1) return { ...block, reps, rungs: undefined };
  const next = rungs.map((rung, i) => (i === longest ? { ...rung, reps: most } : rung));
  return { ...block, reps, rungs: next, top: retold(top, rungs, next) };
}

/** One rung as a block of its own, with its own call; undefined where there is only one. */
export function takeRung(block: DrilledBlock, at: number): DrilledBlock | undefined {
  const { rungs = [], links, top } = block;
  const rung = rungs[at];
  if (!rung || rungs.length < 2) return undefined;
  const before = rungs.slice(0, at).reduce((sum, { reps }) => sum + reps, 0);
  const call = callsBetween(top, before, before + rung.reps) ?? top;
  return {
    ...block,
    reps: rung.reps,
    rungs: [rung],
    links: links.filter(({ exchange }) => exchange === rung.exchange),
    top: `${call.replace(/^./, (first) => first.toUpperCase()).replace(/\.$/, '')}.`,
  };
}

/** The calls of some repetitions, from one to before another; undefined where no calls make up just those. */
function callsBetween(top: string, from: number, to: number): string | undefined {
  let at = 0;
  const calls = top
    .replace(/\.$/, '')
    .split(BETWEEN)
    .filter((call) => {
      const begins = at;
      at += [...call.matchAll(COUNT)].reduce((sum, [, count]) => sum + Number(count), 0);
      return begins >= from && at <= to && at > begins;
    });
  const made = calls.join(BETWEEN);
  const reps = [...made.matchAll(COUNT)].reduce((sum, [, count]) => sum + Number(count), 0);
  return reps === to - from ? made : undefined;
}

/** The calls with the new counts: one behind each rung, or the longest count of the only rung. */
function retold(top: string, before: readonly Rung[], after: readonly Rung[]): string {
  const counts = [...top.matchAll(COUNT)].map(([, count]) => Number(count));
  const sum = (list: readonly number[]) => list.reduce((total, one) => total + one, 0);
  if (sum(counts) !== sum(before.map(({ reps }) => reps))) return top;
  const perRung = counts.length === before.length && counts.every((count, i) => count === before[i]!.reps);
  const longest = counts.indexOf(Math.max(...counts));
  const more = sum(after.map(({ reps }) => reps)) - sum(counts);
  let place = 0;
  return top.replace(COUNT, (_, count: string) => {
    const i = place++;
    const next = perRung ? after[i]!.reps : Number(count) + (i === longest ? more : 0);
    return `(${Math.max(1, next)})`;
  });
}
