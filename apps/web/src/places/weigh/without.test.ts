import { readFileSync } from 'node:fs';
import { parseMapFile, scenarioOptions, solveMap, WhatIfSchema } from '@aftersquall/core';
import { describe, expect, it } from 'vitest';
import { holdClassesOf } from './holdClasses.ts';
import { takenAway, withoutChoices, withoutTaken } from './without.ts';

const demo = parseMapFile(
  readFileSync(new URL('../../../../../demo/kelpwick.map.json', import.meta.url), 'utf8'),
);
const nothing = WhatIfSchema.parse({});

describe('what can be taken out of the game', () => {
  it('is every class of holds, reaction and move, each of which can be weighed without and given back', () => {
    for (const { value, name } of withoutChoices(demo)) {
      const whatIf = { ...nothing, ...withoutTaken(nothing, value) };
      const taken = takenAway(demo, whatIf);
      expect(taken.map((one) => one.name)).toEqual(value === '' ? [] : [name]);
      for (const { back } of taken) expect({ ...whatIf, ...back }).toEqual(nothing);
    }
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
      whatIf = { ...whatIf, ...withoutTaken(whatIf, choice) };
    expect(takenAway(demo, whatIf)).toHaveLength(2);
    expect(solveMap(demo, scenarioOptions(demo, whatIf, [])).entry).toBeLessThanOrEqual(whole + 1e-9);
    const silent = { ...nothing, ...withoutTaken(nothing, `reaction ${demo.reactions[0]!.id}`) };
    expect(solveMap(demo, scenarioOptions(demo, silent, [])).entry).toBeGreaterThanOrEqual(whole - 1e-9);
  });
});
