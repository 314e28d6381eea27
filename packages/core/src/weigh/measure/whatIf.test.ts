import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { parseMapFile } from '../../formats/mapFile.ts';
import type { GuardMap } from '../../model/map.ts';
import { ScenarioSchema } from '../../model/scenario.ts';
import { SHIPPED_PROFILES } from '../../rules/shippedProfiles.ts';
import { bigMap } from '../../test/bigMap.ts';
import { twoByTwo } from '../../test/twoByTwo.ts';
import { solveForTrusts } from '../game/solveForTrusts.ts';
import { solveMap } from '../game/solveMap.ts';
import { outcomeOdds } from '../play/outcomeOdds.ts';
import { sensitivity } from '../play/sensitivity.ts';
import { findHoles, resolveHoles } from './findHoles.ts';
import { scenarioOptions } from './scenarioOptions.ts';
import { topSheet } from './topSheet.ts';
import { weighMap } from './weighMap.ts';

const demo = parseMapFile(
  readFileSync(new URL('../../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
const habit = (left: number, right: number) => [
  {
    position: 'p',
    look: 'l',
    reactions: [
      { id: 'left', share: left },
      { id: 'right', share: right },
    ],
  },
];
const whatIf = (changes: object) => ScenarioSchema.parse({ id: 's', name: 'S', ...changes });

describe('an opponent', () => {
  it('who always goes left is met with the choke, and the more so the more that is trusted', () => {
    const map = twoByTwo();
    const full = 0.92 * 4;
    const trusted = solveMap(map, { tendencies: habit(1, 0), trust: 1 });
    expect(trusted.positions[0]!.looks[0]!.moves).toEqual([{ what: 'choke', share: 1 }]);
    expect([trusted.gain, trusted.worst]).toEqual([
      expect.closeTo(0.8 * full, 9),
      expect.closeTo(0.1 * full, 9),
    ]);
    const careful = solveMap(map, { tendencies: habit(1, 0), trust: 0 });
    expect([careful.gain, careful.worst]).toEqual([
      expect.closeTo(0.45 * full, 9),
      expect.closeTo(0.45 * full, 9),
    ]);
    // What is expected of top is the habit as far as it is trusted.
    const half = solveMap(map, { tendencies: habit(0.7, 0.3), trust: 0.5 }).positions[0]!.looks[0]!;
    const own = half.reactions.find(({ what }) => what.id === 'left')?.share ?? 0;
    expect(half.expected.find(({ what }) => what.id === 'left')!.share).toBeCloseTo(0.35 + own / 2, 9);
  });

  it('whose shares do not add up is refused in a sentence with the mend', () => {
    expect(() => solveMap(twoByTwo(), { tendencies: habit(0.5, 0.3) })).toThrow(
      'about “L” of “P” adds up to 80 %: make it 100 %',
    );
    // Shares in whole per cents may be a little off.
    expect(() => solveMap(twoByTwo(), { tendencies: habit(0.333, 0.664), trust: 1 })).not.toThrow();
  });

  it('loses from the shares what cannot happen', () => {
    const only = solveMap(twoByTwo(), {
      tendencies: habit(0.9, 0.1),
      trust: 1,
      forbiddenReactions: ['left'],
    });
    expect(only.positions[0]!.looks[0]!.expected).toEqual([{ what: { id: 'right' }, share: 1 }]);
    const gone = solveMap(twoByTwo(), { tendencies: habit(1, 0), trust: 1, forbiddenReactions: ['left'] });
    expect(gone.gain).toBeCloseTo(gone.worst, 9);
  });

  it('of the demo is gained from, at a risk, and more trust never gains less', () => {
    const { trades } = weighMap(demo, { tendencies: tendenciesOf(demo), trust: 0.5 });
    expect(trades).toHaveLength(11);
    expect(trades.at(-1)!.gain).toBeGreaterThan(trades[0]!.gain);
    let [gain, worst] = [Number.NEGATIVE_INFINITY, Number.POSITIVE_INFINITY];
    for (const trust of [0, 0.25, 0.5, 0.75, 1]) {
      const solution = solveMap(demo, { tendencies: tendenciesOf(demo), trust });
      expect(solution.gain).toBeGreaterThanOrEqual(gain - 1e-9);
      expect(solution.worst).toBeLessThanOrEqual(worst + 1e-9);
      [gain, worst] = [solution.gain, solution.worst];
    }
  });

  it('leaves the slopes of the chances what a changed chance brings when both keep to what they play', () => {
    const options = { tendencies: habit(0.7, 0.3), trust: 1 };
    const before = solveMap(twoByTwo(), options);
    const [steepest] = sensitivity(before);
    const after = solveMap(twoByTwo(), { ...options, chances: new Map([['choke-left', 0.81]]) });
    expect(steepest!.exchange).toBe('choke-left');
    expect((after.gain - before.gain) / 0.01).toBeCloseTo(steepest!.slope, 6);
  });
});

/** Everybody in the demo who drives on the first reaction of every look, most of the time. */
const tendenciesOf = (map: GuardMap) =>
  map.positions.flatMap(({ id: position, looks }) =>
    looks
      .filter(({ reactions }) => reactions.length > 1)
      .map(({ id: look, reactions }) => ({
        position,
        look,
        reactions: reactions.map((ref, i) => ({
          ...ref,
          share: i === 0 ? 0.7 : 0.3 / (reactions.length - 1),
        })),
      })),
  );

describe('the work', () => {
  it('says how far it is, never going back', () => {
    const crowd = bigMap({ positions: 60, reactions: 12 });
    for (const [map, options] of [
      [demo, {}],
      [demo, { tendencies: tendenciesOf(demo) }],
      [crowd, { rest: 2 }],
      [crowd, { rest: -2, tendencies: tendenciesOf(crowd) }],
    ] as const) {
      const shares: number[] = [];
      solveForTrusts(map, options, undefined, (share) => shares.push(share));
      expect(shares.length).toBeGreaterThan(2);
      expect(shares.every((share) => share >= 0 && share <= 1)).toBe(true);
      for (let i = 1; i < shares.length; i++) expect(shares[i]).toBeGreaterThanOrEqual(shares[i - 1]!);
    }
  });
});

describe('a what-if', () => {
  it('spares a sore joint by leaving out what loads it', () => {
    const map = twoByTwo();
    map.moves[0]!.loads = { neck: 'hard', wrist: 'some' };
    const { positions } = solveMap(map, { sparedJoints: ['neck'] });
    expect(positions[0]!.looks[0]!.moves.map(({ what }) => what)).toEqual(['sweep']);
    expect(solveMap(map, { sparedJoints: ['ankle'] }).entry).toBeCloseTo(solveMap(map).entry, 12);
  });

  it('kept as a scenario is weighed as it was', () => {
    const scenario = whatIf({
      rules: SHIPPED_PROFILES[0]!.id,
      apparel: 'no-gi',
      submissionWorth: 12,
      forbiddenReactions: ['posts-hand'],
      sparedJoints: ['knee'],
      outcomeWorth: { neutral: 0.1 },
      chances: [{ exchange: demo.exchanges[0]!.id, chance: 0.9 }],
    });
    const options = scenarioOptions(demo, scenario, SHIPPED_PROFILES);
    expect(options).toMatchObject({ rules: SHIPPED_PROFILES[0], apparel: 'no-gi', sparedJoints: ['knee'] });
    expect(options.chances!.get(demo.exchanges[0]!.id)).toBe(0.9);
    expect(weighMap(demo, options).entry).not.toBeCloseTo(weighMap(demo).entry, 3);
  });

  it('says what is gone', () => {
    expect(() => scenarioOptions(demo, whatIf({ rules: 'lost' }), SHIPPED_PROFILES)).toThrow(
      '“lost” any more',
    );
    expect(() => scenarioOptions(demo, whatIf({ opponent: 'lost' }), [])).toThrow('is gone');
    const map = { ...twoByTwo(), opponents: [{ id: 'o', alias: 'O', note: '', tendencies: habit(1, 0) }] };
    expect(scenarioOptions(map, whatIf({ opponent: 'o' }), [])).toMatchObject({ trust: 0 });
  });
});

describe('holes solved again', () => {
  it('are exact: filling the cell by hand is worth as much', () => {
    const holed = twoByTwo((map) => {
      map.exchanges!.splice(1, 1);
    });
    const solution = solveMap(holed);
    const seen: [number, number][] = [];
    const [hole] = resolveHoles(solution, undefined, { onHole: (done, of) => seen.push([done, of]) });
    expect(hole).toMatchObject({ move: 'choke', reaction: { id: 'right' }, exact: true });
    expect(seen).toEqual([[1, 1]]);
    // The mean of the look's answered cells is a back taken with (0.8 + 0.1 + 0.8)/3.
    const mended = twoByTwo((map) => {
      map.exchanges![1]!.chance = 1.7 / 3;
    });
    expect(hole!.stake).toBeCloseTo(solveMap(mended).entry - solution.entry, 9);
  });

  it('of the demo keep their order of size, exact ones first', () => {
    const solution = solveMap(demo);
    const [rough, exact] = [findHoles(solution), resolveHoles(solution)];
    expect(exact.map(({ move }) => move).sort()).toEqual(rough.map(({ move }) => move).sort());
    const stakes = exact.filter(({ exact }) => exact).map(({ stake }) => stake);
    expect(stakes).toEqual([...stakes].sort((a, b) => b - a));
  });
});

describe('what a round brings', () => {
  it('on average is what the map is worth, from every position', () => {
    for (const map of [demo, twoByTwo()]) {
      const solution = solveMap(map);
      const { points, distribution, seconds, exchanges } = outcomeOdds(solution);
      for (const [s, value] of solution.values.entries()) {
        expect(points[s], map.positions[s]!.id).toBeCloseTo(value, 6);
        expect(distribution[s]!.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 9);
        expect(seconds[s]).toBeGreaterThanOrEqual(exchanges[s]! > 1 ? exchanges[s]! - 1 : 0);
      }
    }
  });

  it('takes the seconds of its exchanges', () => {
    const { seconds, exchanges, distribution } = outcomeOdds(solveMap(twoByTwo()));
    expect([seconds[0], exchanges[0]]).toEqual([8, 1]);
    expect(distribution[0]!.map(({ points }) => points)).toEqual([0, 4]);
    expect(distribution[0]![1]!.chance).toBeCloseTo(0.92 * 0.45, 9);
  });
});

describe('top’s sheet', () => {
  it('is the same solution from the other side', () => {
    const [line] = topSheet(weighMap(twoByTwo()));
    expect(line!.best.map(({ what, share }) => [what.id, share])).toEqual([
      ['left', expect.closeTo(0.5, 9)],
      ['right', expect.closeTo(0.5, 9)],
    ]);
    // Either alone is met by the right attack.
    for (const { leaves } of line!.options) expect(leaves).toBeCloseTo(0.92 * 0.8 * 4, 9);
    expect(line!.leaves).toBeCloseTo(0.92 * 0.45 * 4, 9);
    const habits = weighMap(demo, { tendencies: tendenciesOf(demo), trust: 1 });
    for (const { leaves, options, best } of [...topSheet(weighMap(demo)), ...topSheet(habits)]) {
      expect(options[0]!.leaves).toBeGreaterThanOrEqual(leaves - 1e-7);
      expect(best.length).toBeGreaterThan(0);
    }
  });
});
