import { readdirSync, readFileSync } from 'node:fs';
import { type GuardMap, parseGuardBook, parseMapFile } from '@aftersquall/core';

const here = (file: string) => new URL(file, import.meta.url);

/** The demo's map: the guard book, with the rest that stands in its file. */
export function readDemo(): GuardMap {
  const { book } = parseGuardBook(
    readdirSync(here('book/')).map((name) => ({ name, text: readFileSync(here(`book/${name}`), 'utf8') })),
  );
  const rest: object = JSON.parse(readFileSync(here('kelpwick.map.json'), 'utf8'));
  return parseMapFile(JSON.stringify({ ...rest, ...book }));
}
