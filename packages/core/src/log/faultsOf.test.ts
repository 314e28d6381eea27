import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { parseMapFile } from '../formats/mapFile.ts';
import { everyFault, faultsOf } from './faultsOf.ts';

const map = parseMapFile(
  readFileSync(new URL('../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);

it('every fault and false positive of a map can be counted once', () => {
  const bearers = [...map.moves, ...map.positions, ...map.mechanics];
  const faults = bearers.flatMap(({ id, faults: own }) => own.map(({ text }) => `${id} ${text}`));
  const seeming = map.moves.flatMap(({ id, falsePositives }) =>
    falsePositives.map(({ text }) => `${id} ${text}`),
  );
  expect(faults.length).toBeGreaterThan(0);
  const all = everyFault(map);
  expect(
    all
      .filter((one) => !one.falsePositive)
      .map(({ id, fault }) => `${id} ${fault}`)
      .sort(),
  ).toEqual(faults.sort());
  expect(
    all
      .filter((one) => one.falsePositive)
      .map(({ id, fault }) => `${id} ${fault}`)
      .sort(),
  ).toEqual(seeming.sort());
});

it('those of some things are theirs alone, and of what is gone there are none', () => {
  const [move] = map.moves.filter(({ faults }) => faults.length > 0);
  expect(faultsOf(map, { moves: [move!.id, 'gone'], positions: ['gone'], mechanics: ['gone'] })).toEqual(
    everyFault(map).filter(({ of, id }) => of === 'move' && id === move!.id),
  );
});
