import { readdirSync, readFileSync } from 'node:fs';
import { bookErrorText, parseGuardBook, parseMapFile } from '@aftersquall/core/formats';
import { type GuardMap } from '@aftersquall/core/model';

const here = (file: string) => new URL(file, import.meta.url);

/** The demo's map: the guard book, with the rest that stands in its file. */
export function readDemo(): GuardMap {
  const { book, errors } = parseGuardBook(
    readdirSync(here('book/')).map((name) => ({ name, text: readFileSync(here(`book/${name}`), 'utf8') })),
  );
  if (errors.length > 0) throw new Error(errors.map(bookErrorText).join('\n'));
  const rest: object = JSON.parse(readFileSync(here('kelpwick.map.json'), 'utf8'));
  return parseMapFile(JSON.stringify({ ...rest, ...book }));
}
