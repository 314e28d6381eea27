import { readdirSync, readFileSync } from 'node:fs';
import { marked } from 'marked';
import {
  emptyMap,
  parseGuardBook,
  printGuardBook,
  validateMap,
  weighMap,
} from '../packages/core/dist/index.js';
import { timed } from './timed.ts';

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
  `  read and checked in ${read.toFixed(0)} ms (aim: 150), ${(read / tokens).toFixed(1)} times as long as a Markdown library takes to cut it into tokens (${tokens.toFixed(0)} ms); printed in ${printed.toFixed(0)} ms`,
);

// A copy each time: what is kept with a map and its parts must not flatter it.
const copies = Array.from({ length: 18 }, () => structuredClone(map));
const found = timed(() => validateMap(copies.pop()!), 7);
const weighed = timed(() => weighMap(copies.pop()!), 7);
console.log(
  `  all findings in ${found.toFixed(0)} ms (aim: 50), weighed from nothing in ${weighed.toFixed(0)} ms (aim: 100)`,
);
