import { readFileSync } from 'node:fs';
import { parseMapFile } from '@aftersquall/core/formats';
import { type WhatIf, WhatIfSchema } from '@aftersquall/core/model';
import { scenarioOptions, solveMap } from '@aftersquall/core/weigh';
import { describe, expect, it } from 'vitest';
import { holdClassesOf } from './holdClasses.ts';
import { takenAway, withoutChoices, withoutTaken } from './without.ts';

const demo = parseMapFile(
  readFileSync(new URL('../../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
);
const nothing = WhatIfSchema.parse({});

describe('what can be taken out of the game', () => {
  it('is every class of holds, reaction and move, each of which can be weighed without and given back', () => {
    for (const { value, name } of withoutChoices(demo)) {
      const whatIf = { ...nothing, ...withoutTaken(demo, nothing, value) };
      const taken = takenAway(demo, whatIf);
      const forbidden = whatIf.forbiddenMoves.length;
      // Two classes may be the same moves, and a class of one move is called by that move.
      if (value.startsWith('class')) expect(name).toContain(`(${forbidden})`);
      else expect(taken.map((one) => one.name)).toEqual(value === '' ? [] : [name]);
      let left: WhatIf = whatIf;
      for (let some = taken; some[0]; some = takenAway(demo, left)) left = { ...left, ...some[0].back };
      expect(left).toEqual(nothing);
    }
  });

  it('is a whole class in one pick, which stands as one and is given back as one', () => {
    const legs = withoutChoices(demo).find(({ name }) => name.startsWith('Without leg attacks'))!;
    const whatIf = { ...nothing, ...withoutTaken(demo, nothing, legs.value) };
    const barred = demo.moves.filter(({ hazards }) =>
      hazards.some((tag) => /heel-hook|knee|ankle|toe|calf/.test(tag)),
    );
    expect(new Set(whatIf.forbiddenMoves)).toEqual(new Set(barred.map(({ id }) => id)));
    expect(takenAway(demo, whatIf).map(({ name }) => name)).toContain(legs.name);
    const names = withoutChoices(demo).map(({ name }) => name);
    expect(names).toContainEqual(expect.stringMatching(/^Without the system /));
    expect(names).toContainEqual(expect.stringMatching(/^Without every sweep/));
  });

  it('knows the holds of the map by its parts, beside the usual ones', () => {
    const names = holdClassesOf(demo).map(({ name }) => name);
    expect(names).toContain('hooks on the thigh');
    expect(names).toContain('feet placed on the hip');
    expect(names).toContain('presses on the shoulder');
    expect(names.filter((name) => name.includes('sleeve'))).toEqual([
      'sleeve grips',
      'near sleeve grips',
      'far sleeve grips',
    ]);
    expect(names).toContain('hooks on the far thigh');
    expect(new Set(names).size).toBe(names.length);
  });

  it('without one side of a class is worth no less than without the class', () => {
    const classes = holdClassesOf(demo);
    for (const { holds } of classes.filter(({ holds: { side } }) => side !== undefined)) {
      const { side: _, ...whole } = holds;
      const without = (forbidden: typeof holds) => solveMap(demo, { forbiddenHolds: [forbidden] }).entry;
      expect(without(holds)).toBeGreaterThanOrEqual(without(whole) - 1e-9);
    }
  });

  it('adds up, each thing once, and only costs bottom what is bottom’s', () => {
    const whole = solveMap(demo).entry;
    let whatIf = nothing;
    const sleeves = withoutChoices(demo).find(({ name }) => name === 'Without sleeve grips')!.value;
    for (const choice of [sleeves, sleeves, `move ${demo.moves[0]!.id}`])
      whatIf = { ...whatIf, ...withoutTaken(demo, whatIf, choice) };
    expect(takenAway(demo, whatIf)).toHaveLength(2);
    expect(solveMap(demo, scenarioOptions(demo, whatIf, [])).entry).toBeLessThanOrEqual(whole + 1e-9);
    const silent = { ...nothing, ...withoutTaken(demo, nothing, `reaction ${demo.reactions[0]!.id}`) };
    expect(solveMap(demo, scenarioOptions(demo, silent, [])).entry).toBeGreaterThanOrEqual(whole - 1e-9);
  });
});
