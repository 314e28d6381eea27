import { readFileSync } from 'node:fs';
import { parseMapFile } from '@aftersquall/core/formats';
import {
  bestChains,
  dependence,
  expectedOf,
  playMap,
  resolveHoles,
  solveMap,
  type WeighOptions,
  weighMap,
} from '@aftersquall/core/weigh';
import { describe, expect, it } from 'vitest';
import { createWeighingEngine } from './weighingEngine.ts';

const demo = parseMapFile(
  readFileSync(new URL('../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
const opened = () => {
  const weigher = createWeighingEngine();
  weigher.open(demo);
  return weigher;
};
const plain: WeighOptions = { apparel: 'gi' };

describe('a weigher of one map', () => {
  it('answers every question as the map does by itself', () => {
    const weigher = opened();
    const alone = solveMap(demo, plain);
    expect(weigher.weigh(plain)).toEqual(weighMap(demo, plain));
    expect(weigher.holes(plain)).toEqual(resolveHoles(alone, playMap(alone)));
    expect(weigher.chains(plain, 'collar-sleeve', 'back', 3)).toEqual(
      bestChains(
        { ...alone, positions: expectedOf(alone, playMap(alone)) },
        { from: 'collar-sleeve', to: { outcome: 'back' }, count: 3 },
      ),
    );
    const taken = { forbiddenHolds: [{ part: 'sleeve' as const }] };
    expect(weigher.depend(taken, plain)).toEqual(dependence(demo, taken, plain, alone));
    expect(weigher.simulate(plain, 1, 200)).toEqual(weigher.simulate(plain, 1, 200));
  });

  it('solves once for every trust in the same habits, and again for other ones', () => {
    const weigher = opened();
    const [marten, sedge] = demo.opponents.map(({ tendencies }) => ({ ...plain, tendencies }));
    const solves = (options: WeighOptions) => {
      let steps = 0;
      const weighing = weigher.weigh(options, undefined, () => {
        steps++;
      });
      return { steps, weighing };
    };
    const first = solves({ ...marten, trust: 0 });
    expect(first.steps).toBeGreaterThan(0);
    const more = solves({ ...marten, trust: 1 });
    expect(more.steps).toBe(0);
    expect(more.weighing.gain).toBeGreaterThan(first.weighing.gain);
    expect(more.weighing.worst).toBeLessThanOrEqual(first.weighing.worst);
    expect(solves({ ...sedge, trust: 1 }).steps).toBeGreaterThan(0);
  });

  it('forgets what it knew with another map', () => {
    const weigher = opened();
    const before = weigher.weigh(plain).entry;
    weigher.open({ ...demo, settings: { ...demo.settings, submissionWorth: 0 } });
    expect(weigher.weigh(plain).entry).toBeLessThan(before);
  });

  it('tells of each dear hole as it is solved', () => {
    const weigher = opened();
    const exchanges = demo.exchanges.filter(({ move }) => move !== 'arm-drag').slice(0, 300);
    weigher.open({ ...demo, exchanges });
    const steps: [number, number][] = [];
    const holes = weigher.holes(plain, (done, total) => steps.push([done, total]));
    const exact = holes.filter((hole) => hole.exact).length;
    expect(exact).toBeGreaterThan(1);
    expect(steps).toEqual(Array.from({ length: exact }, (_, i) => [i + 1, exact]));
    // What is left over by the limit stands by its rates.
    expect(holes.length).toBeGreaterThan(exact);
  });
});
