// Checks that every room (a folder of the sources) imports only the rooms its line in this table allows.
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { root } from './setUp.mjs';

/** room: the rooms it may import. A room may always import what is inside itself; `*` is any folder there. */
const EDGES = {
  'packages/core/src': {
    model: [],
    game: [],
    body: ['model'],
    rules: ['model'],
    score: ['body', 'model'],
    balance: ['body', 'model'],
    documents: ['body', 'model'],
    'pose/bodies': ['model'],
    'pose/solve': ['pose/bodies', 'game', 'model'],
    'pose/draw': ['pose/bodies', 'pose/solve', 'body', 'game', 'model'],
    'weigh/game': ['body', 'game', 'model', 'rules'],
    'weigh/play': ['weigh/game', 'game', 'model'],
    'weigh/measure': ['weigh/game', 'weigh/play', 'game', 'model'],
    'weigh/tell': ['weigh/game', 'weigh/play', 'weigh/measure', 'model'],
    'lesson/blocks': ['body', 'model', 'rules'],
    'lesson/practise': ['lesson/blocks', 'game', 'model'],
    'lesson/choose': ['lesson/practise', 'weigh/game', 'weigh/play', 'game', 'model', 'rules'],
    'lesson/cover': ['lesson/blocks', 'lesson/choose', 'body', 'model'],
    'lesson/teach': [
      'lesson/blocks',
      'lesson/choose',
      'lesson/practise',
      'weigh/game',
      'weigh/play',
      'body',
      'model',
      'rules',
    ],
    'lesson/term': ['lesson/choose', 'lesson/practise', 'lesson/teach', 'model'],
    'lesson/*': [],
    read: ['balance', 'body', 'model', 'rules', 'weigh/tell'],
    run: ['lesson/blocks', 'body', 'model'],
    log: ['lesson/practise', 'body', 'documents', 'game', 'model'],
    check: ['balance', 'body', 'documents', 'model', 'rules'],
    formats: ['body', 'documents', 'lesson', 'model', 'weigh'],
    contract: ['documents', 'formats', 'model'],
    '*': [],
  },
  'apps/server/src': {
    contract: [],
    database: [],
    documents: ['contract', 'database'],
    poses: ['contract', 'database'],
    records: ['contract', 'database', 'documents'],
    weighing: ['contract', 'documents'],
    '*': [],
  },
  'apps/web/src': {
    device: [],
    store: ['device'],
    theme: ['store'],
    workers: ['device', 'store', 'jitless.ts'],
    components: ['device', 'store', 'theme', 'workers'],
    dev: ['components', 'store', 'theme'],
    'places/*': ['components', 'device', 'store', 'theme', 'workers'],
    shell: ['components', 'device', 'store', 'theme', 'workers'],
    '*': [],
  },
};

const IMPORT = /(?:\bfrom|\bimport\(?)\s*['"]([^'"]+)['"]/g;
const isInside = (file, room) => file === room || file.startsWith(`${room}/`);

/** The room a file is in, and what it may import: the longest line of the table that fits. */
function roomOf(file, table) {
  const folders = file.split('/').slice(0, -1);
  for (let depth = folders.length; depth > 0; depth--) {
    const room = folders.slice(0, depth).join('/');
    const line = room in table ? room : [...folders.slice(0, depth - 1), '*'].join('/');
    if (line in table) return { room, may: table[line] };
  }
  return undefined;
}

const wrong = [];
for (const [sources, table] of Object.entries(EDGES)) {
  const files = readdirSync(path.join(root, sources), { recursive: true, encoding: 'utf8' })
    .map((file) => file.split(path.sep).join('/'))
    .filter((file) => /\.tsx?$/.test(file) && !/\.test\.|(^|\/)test\//.test(file));
  for (const file of files) {
    const at = roomOf(file, table);
    if (!at) continue;
    for (const [, from] of readFileSync(path.join(root, sources, file), 'utf8').matchAll(IMPORT)) {
      if (!from.startsWith('.')) continue;
      const target = path.posix.join(path.posix.dirname(file), from);
      if ([at.room, ...at.may].some((room) => isInside(target, room))) continue;
      wrong.push(
        `${sources}/${file} imports ${target}; ${at.room} may import ${at.may.join(', ') || 'nothing outside itself'}.`,
      );
    }
  }
}
for (const sentence of wrong) console.error(sentence);
if (wrong.length > 0) console.error('The table of allowed imports is scripts/edges.mjs.');
process.exit(wrong.length > 0 ? 1 : 0);
