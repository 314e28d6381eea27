import { readdirSync, readFileSync } from 'node:fs';
import { marked } from 'marked';
import { validateMap } from '../packages/core/dist/check/index.js';
import { applyCommand, edit } from '../packages/core/dist/documents/index.js';
import { parseGuardBook, printGuardBook } from '../packages/core/dist/formats/index.js';
import { emptyMap } from '../packages/core/dist/model/index.js';
import { weighMap } from '../packages/core/dist/weigh/index.js';
import { median, timed } from './timed.ts';

const folder = new URL('../demo/book/', import.meta.url);
const files = readdirSync(folder).map((name) => ({
  name,
  text: readFileSync(new URL(name, folder), 'utf8'),
}));
const { book } = parseGuardBook(files);
const map = { ...emptyMap('demo', 'Demo'), ...book };
console.log(
  `\nThe book that ships: ${book.positions.length} positions, ${book.moves.length} moves, ${book.exchanges.length} exchanges`,
);

const tokens = timed(() => files.map(({ text }) => marked.lexer(text)), 7);
const read = timed(() => parseGuardBook(files), 7);
const printed = timed(() => printGuardBook(book, 'book'), 7);
console.log(
  `  read and checked in ${read.toFixed(0)} ms (aim: 300), ${(read / tokens).toFixed(1)} times as long as a Markdown library takes to cut it into tokens (${tokens.toFixed(0)} ms); printed in ${printed.toFixed(0)} ms`,
);

/** Milliseconds on a map never seen before, the best of some: what is kept with a map must not flatter it. */
function onNewMaps(work: (fresh: typeof map) => unknown): number {
  const times = Array.from({ length: 12 }, () => {
    const fresh = structuredClone(map);
    const start = performance.now();
    work(fresh);
    return performance.now() - start;
  });
  return Math.min(...times);
}
const found = onNewMaps((fresh) => validateMap(fresh));
const weighed = onNewMaps((fresh) => weighMap(fresh));
console.log(
  `  all findings in ${found.toFixed(0)} ms (aim: 100), weighed from nothing in ${weighed.toFixed(0)} ms (aim: 80)`,
);

/** Milliseconds of the findings after one edit, the middle of forty edits of different things. */
function afterEdits(change: (at: typeof map, i: number) => ReturnType<typeof edit>): number {
  let now = structuredClone(map);
  validateMap(now);
  return median(
    Array.from({ length: 40 }, (_, i) => {
      now = applyCommand(now, change(now, i)).document;
      const start = performance.now();
      validateMap(now);
      return performance.now() - start;
    }),
  );
}
const nth = <T>(list: readonly T[], i: number): T => list[(i * 37) % list.length]!;
const byChance = afterEdits(({ exchanges }, i) => {
  const one = nth(exchanges, i);
  return edit('exchange', one, { ...one, chance: (one.chance + 0.01) % 1 });
});
const byMove = afterEdits(({ moves }, i) => {
  const one = nth(moves, i);
  return edit('move', one, { ...one, name: `${one.name}.` });
});
const byPosition = afterEdits(({ positions }, i) => {
  const one = nth(positions, i);
  return edit('position', one, { ...one, name: `${one.name}.` });
});
console.log(
  `  findings after one edit: a chance ${byChance.toFixed(1)} ms, a move ${byMove.toFixed(1)} ms, a position ${byPosition.toFixed(1)} ms (aim: 5), ${(found / byChance).toFixed(0)} times as fast as from nothing`,
);
