import ELK from 'elkjs/lib/elk.bundled.js';
import { chartGraph } from '../apps/web/src/places/map/chart/chartGraph.ts';
import { elkGraph } from '../apps/web/src/places/map/chart/elkGraph.ts';
import { validateMap } from '../packages/core/dist/check/index.js';
import { applyCommand, setFields } from '../packages/core/dist/documents/index.js';
import { MapSchema } from '../packages/core/dist/model/index.js';
import { readReaction } from '../packages/core/dist/read/index.js';
import { bigMap } from '../packages/core/src/test/bigMap.ts';
import { timed } from './timed.ts';

const map = bigMap();
console.log(
  `\nA map of ${map.positions.length} positions, ${map.moves.length} moves and ${map.exchanges.length} exchanges`,
);

// A copy each time, made beforehand: what is kept with a map and its parts must not flatter it.
const copies = Array.from({ length: 9 }, () => structuredClone(map));
const findings = timed(() => validateMap(copies.pop()!), 7);
let edited = map;
let turn = 0;
const again = timed(() => {
  const { id } = map.exchanges[(turn++ * 37) % map.exchanges.length]!;
  const change = setFields('exchange', id, [{ path: ['chance'], value: (turn % 100) / 100 }]);
  edited = applyCommand(edited, change).document;
  validateMap(edited);
}, 60);
const schema = timed(() => MapSchema.parse(map), 7);
console.log(
  `  all findings in ${findings.toFixed(1)} ms (aim: 20), ${(schema / findings).toFixed(1)} times as fast as validating it by the schema (${schema.toFixed(1)} ms)`,
);
console.log(
  `  one edit and all findings again in ${again.toFixed(1)} ms (aim: 3), ${(findings / again).toFixed(0)} times as fast as from nothing`,
);

const spot = map.positions[137]!;
const moment = { holds: spot.holds.slice(1), topHolds: spot.topHolds, signs: spot.signs };
const reading = timed(() => readReaction(map, { ...moment, reaction: { id: 'r3' } }), 9);
const named = timed(() => readReaction(map, { position: spot.id, reaction: { id: 'r3' } }), 9);
console.log(
  `  a moment read by holds and signs alone in ${reading.toFixed(1)} ms (aim: 20); with its position named ${(reading / named).toFixed(0)} times as fast`,
);

const graph = chartGraph(map, { folded: false });
const elk = new ELK.default();
await elk.layout(elkGraph(graph));
const begun = performance.now();
await elk.layout(elkGraph(graph));
const layout = performance.now() - begun;
const folded = chartGraph(map);
const start = performance.now();
await elk.layout(elkGraph(folded));
const foldedLayout = performance.now() - start;
console.log(
  `  layout of all ${graph.nodes.length} cards in ${layout.toFixed(0)} ms (${graph.edges.length} lines); of its systems as ${folded.nodes.length} cards ${(layout / foldedLayout).toFixed(0)} times as fast`,
);
