// Checks words: that screens say one word for one thing, that bounds are named by what they bound, and that docs/words.md is true.
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { root } from './setUp.mjs';
import { UNSAID } from './unsaid.mjs';

/** Names that say neither thing nor unit. */
const BARE = /^\s*(?:export )?(?:const|let) (MOST|LEAST|NOTHING)\b/;
/** Where words of the guard book's notation stand, and what only programmers read. */
const NOTATION = /formats\/book\/|database\/migrations\/|^dev\//;

const wrong = [];
for (const sources of ['packages/core/src', 'apps/web/src', 'apps/server/src']) {
  const files = readdirSync(path.join(root, sources), { recursive: true, encoding: 'utf8' })
    .map((file) => file.split(path.sep).join('/'))
    .filter((file) => /\.tsx?$/.test(file) && !/\.test\.|(^|\/)test\//.test(file));
  for (const file of files) {
    const lines = readFileSync(path.join(root, sources, file), 'utf8').split('\n');
    for (const [i, line] of lines.entries()) {
      const at = `${sources}/${file}:${i + 1}`;
      const [, bare] = BARE.exec(line) ?? [];
      if (bare) wrong.push(`${at} is called ${bare}; say what it bounds, and in which unit.`);
      // Comments are for programmers; ids and errors of programming are shown to nobody.
      if (NOTATION.test(file) || /^\s*(\/\/|\*|\/\*\*|\{\/\*|import\b)|RangeError/.test(line)) continue;
      const shown = line.replace(/\/\/.*$/, '').replaceAll("'knows best'", '');
      for (const [unsaid, said] of UNSAID)
        if (unsaid.test(shown)) wrong.push(`${at} says “${unsaid.exec(shown)[0]}”; say “${said}”.`);
    }
  }
}
// A sentence that is said nowhere is not worth correcting.
const web = path.join(root, 'apps/web/src');
const sources = readdirSync(web, { recursive: true, encoding: 'utf8' }).filter((file) =>
  /\.tsx?$/.test(file),
);
const textOf = new Map(
  sources.map((file) => [path.join(web, file), readFileSync(path.join(web, file), 'utf8')]),
);
for (const [file, text] of textOf) {
  if (path.basename(file) !== 'words.ts') continue;
  const sayers = [...textOf].filter(([other, code]) => {
    const [, from] = /import \{ say(?: as texts)? \} from '([^']+words\.ts)'/.exec(code) ?? [];
    return from && path.join(path.dirname(other), from) === file;
  });
  for (const [, key] of text.matchAll(/^ {2}(\w+):/gm))
    if (!sayers.some(([, code]) => new RegExp(`\\b(?:say|texts)\\s*\\.${key}\\b`).test(code)))
      wrong.push(`${path.relative(root, file)} has “${key}”, which nobody says.`);
}

const table = readFileSync(path.join(root, 'docs/words.md'), 'utf8');
for (const [, file] of table.matchAll(/\(`([^`]+)`\)/g)) {
  const [room, ...rest] = file.split('/');
  const known = { web: `apps/web/src/${rest.join('/')}`, core: `packages/core/src/${rest.join('/')}` };
  if (!existsSync(path.join(root, known[room] ?? `packages/core/src/${file}`)))
    wrong.push(`docs/words.md names ${file}, which is not there.`);
}
for (const sentence of wrong) console.error(sentence);
process.exit(wrong.length > 0 ? 1 : 0);
