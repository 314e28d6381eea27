import { writeFileSync } from 'node:fs';
import {
  CLASS_FORMAT,
  CLASS_VERSION,
  ClassSchema,
  planClass,
  printMapFile,
} from '../../packages/core/src/index.ts';
import { kelpwick } from './kelpwick/map.ts';

const file = (name: string) => new URL(`../${name}`, import.meta.url);
writeFileSync(file('kelpwick.map.json'), printMapFile(kelpwick));

const request = { minutes: 60, people: 14, apparel: 'gi' as const };
const positions = ['seated', 'collar-sleeve', 'two-on-one', 'cross-sleeve', 'leg-underhook'];
const exchanges = kelpwick.exchanges.filter(({ move, reaction }) => {
  const from = kelpwick.moves.find(({ id }) => id === move)!;
  return positions.includes(from.position) && ['connect', 'sweep'].includes(from.kind) && reaction !== 'none';
});
const { blocks, leftOver } = planClass({
  ...request,
  map: kelpwick,
  exchanges: exchanges.map(({ id }) => id),
});
const plan = ClassSchema.parse({
  format: CLASS_FORMAT,
  version: CLASS_VERSION,
  ...request,
  id: 'tuesday',
  name: 'Tuesday: from the sleeve to the shoulder',
  map: kelpwick.id,
  blocks,
  leftOver,
});
writeFileSync(file('tuesday.class.json'), `${JSON.stringify(plan, null, 2)}\n`);
