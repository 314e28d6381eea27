import { readdirSync, readFileSync } from 'node:fs';
import { parseGuardBook, parseMapFile } from '../packages/core/dist/formats/index.js';
import {
  bestConnectedSet,
  chooseRepertoire,
  planLesson,
  planTerm,
  repertoireOf,
} from '../packages/core/dist/lesson/index.js';
import { median, timed } from './timed.ts';

const book = new URL('../demo/book/', import.meta.url);
const files = readdirSync(book).map((name) => ({ name, text: readFileSync(new URL(name, book), 'utf8') }));
const rest: object = JSON.parse(readFileSync(new URL('../demo/kelpwick.map.json', import.meta.url), 'utf8'));
const map = parseMapFile(JSON.stringify({ ...rest, ...parseGuardBook(files).book }));

const roots = map.positions.map(({ id }) => id);
const asked = {
  map,
  minutes: 60,
  people: 14,
  apparel: 'gi',
  level: 'intermediate',
  method: 'mixed',
} as const;

console.log('\nLessons over the demo: every position as a start');
const sets: number[] = [];
const classes: number[] = [];
let proved = 0;
let taught = 0;
const gaps: number[] = [];
for (const root of roots) {
  const repertoire = repertoireOf(map, { root });
  const known = new Set(repertoire.moves);
  sets.push(timed(() => repertoire.value(known), 3));
  const choice = { root, level: 'intermediate', seconds: () => 300, budget: 1500 } as const;
  const found = chooseRepertoire(map, repertoire, choice);
  taught++;
  if (found.proved) proved++;
  else {
    const far = chooseRepertoire(map, repertoire, { ...choice, limit: 6000 });
    if (far.proved) gaps.push(far.value - found.value);
  }
}
for (const root of roots.slice(0, 30)) {
  try {
    classes.push(timed(() => planLesson({ ...asked, root }), 1));
  } catch {
    // Nothing to teach from there at this level.
  }
}
console.log(
  `  a repertoire: ${median(sets).toFixed(2)} ms (aim: 0.5), the largest ${Math.max(...sets).toFixed(2)} ms`,
);
console.log(
  `  a class: ${median(classes).toFixed(0)} ms, the slowest ${Math.max(...classes).toFixed(0)} ms (aim: 300)`,
);
console.log(
  `  the choice is proved for ${proved} of ${taught} starts; where it is not and 6,000 sets prove it, the beam is behind by ${gaps.length > 0 ? `${Math.max(...gaps).toFixed(3)} points at most (${gaps.length} starts)` : 'nothing that could be proved'}`,
);
const chain = Array.from({ length: 14 }, (_, i) => ({
  id: `i${i}`,
  from: i % 3 === 0 ? 'root' : `p${i - 1}`,
  to: [`p${i}`],
}));
console.log(
  `  fourteen items, any worth: every set in ${timed(() => bestConnectedSet({ root: 'root', items: chain, most: 7, worth: (ids) => ids.size % 3 }), 3).toFixed(0)} ms`,
);

const dates = Array.from({ length: 6 }, (_, i) => ({
  date: `2026-12-${String(1 + 7 * Math.floor(i / 2) + 2 * (i % 2)).padStart(2, '0')}`,
  start: '18:30',
  minutes: 60,
}));
const term = timed(
  () => planTerm({ ...asked, map: structuredClone(map), dates, themes: ['butterfly', 'knee-shield'] }),
  3,
);
const cold = timed(() => planLesson({ ...asked, map: structuredClone(map), root: 'butterfly' }), 5);
console.log(
  `  a term of six: ${(term / 1000).toFixed(1)} s (aim: 2), ${(term / cold).toFixed(1)} times a first class on a new map (${cold.toFixed(0)} ms, aim: 300)`,
);
