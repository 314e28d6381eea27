import { readDemo } from '../demo/readDemo.ts';
import { planTerm, termDates } from '../packages/core/dist/lesson/index.js';
import { drawPose, poseKey, solvePose } from '../packages/core/dist/pose/index.js';
import { poseStart } from '../packages/core/src/pose/draw/poseRecord.ts';
import { median, timed } from './timed.ts';

const map = readDemo();
const some = map.positions.filter((_, i) => i % 6 === 0);

console.log('\nPictures of positions, a sixth of the demo');
const records = new Map(some.map((position) => [poseKey(position), solvePose(position, { kicks: 0 })]));
const solved = some.map((position) => timed(() => solvePose(position), 1));
const cold = solved.reduce((sum, ms) => sum + ms, 0) / solved.length;
console.log(
  `  a pose from nothing: mean ${cold.toFixed(0)} ms, slowest ${Math.max(...solved).toFixed(0)} ms (aim 600)`,
);
const warm = some.map((position) =>
  timed(() => solvePose(position, { start: poseStart(records.get(poseKey(position))!), kicks: 0 }), 1),
);
console.log(
  `  from a warm start: mean ${(warm.reduce((sum, ms) => sum + ms, 0) / warm.length).toFixed(0)} ms (aim 150)`,
);
const record = (position: (typeof some)[number]) => records.get(poseKey(position))!;
const view = { azimuth: 90, elevation: 26 };
const draw = median(some.map((position) => timed(() => drawPose(position, record(position), { view }), 2)));
const both = median(some.map((position) => timed(() => drawPose(position, record(position)), 2)));
const small = median(
  some.map((position) =>
    timed(() => drawPose(position, record(position), { view, width: 176, height: 132 }), 2),
  ),
);
console.log(`  drawn at 320 × 240: ${draw.toFixed(0)} ms (aim 60); at 176 × 132: ${small.toFixed(0)} ms`);
console.log(`  where to look from: ${(both - draw).toFixed(0)} ms (aim 30)`);
console.log(`  drawing to solving: 1 to ${(cold / draw).toFixed(1)}`);

console.log('\nA term of six classes');
const slots = [{ id: 'a', weekday: 2, start: '18:30', minutes: 60 }];
const dates = termDates(slots, { from: '2026-11-30', weeks: 6 });
const asked = {
  map,
  dates,
  themes: [],
  people: 14,
  apparel: 'gi',
  level: 'intermediate',
  method: 'mixed',
} as const;
console.log(`  ${timed(() => planTerm(asked), 1).toFixed(0)} ms, told of each class as it is planned`);
