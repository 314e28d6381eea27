import { readFileSync, writeFileSync } from 'node:fs';
import { parseMapFile } from '@aftersquall/core/formats';
import { asPosition, type PoseRecord } from '@aftersquall/core/model';
import { poseKey, solvePose } from '@aftersquall/core/pose';
import stringify from 'json-stringify-pretty-compact';
import { readDemo } from './readDemo.ts';

/** Solves the poses of the shipped maps, so that nobody waits for them. `npx tsx demo/makePoses.ts` */
const here = (file: string) => new URL(`../${file}`, import.meta.url);
const maps = {
  demo: readDemo(),
  'testing/club': parseMapFile(readFileSync(here('testing/club/kelpwick.map.json'), 'utf8')),
};
for (const [folder, map] of Object.entries(maps)) {
  const poses: Record<string, PoseRecord> = {};
  for (const position of [...map.positions, ...map.endings.map(asPosition)])
    poses[poseKey(position)] = solvePose(position);
  const sorted = Object.fromEntries(Object.entries(poses).sort(([a], [b]) => (a < b ? -1 : 1)));
  writeFileSync(here(`${folder}/poses.json`), `${stringify(sorted, { maxLength: 1000 })}\n`);
}
