import { readFileSync } from 'node:fs';
import { parseMapFile, solveMap } from '@aftersquall/core';
import { describe, expect, it } from 'vitest';
import { HOLD_CLASSES } from './holdClasses.ts';
import { withoutChoices, withoutOptions } from './without.ts';

const demo = parseMapFile(
  readFileSync(new URL('../../../../../demo/kelpwick.map.json', import.meta.url), 'utf8'),
);

describe('what is taken out of the game', () => {
  it('is each choice, said once, and nothing for none', () => {
    const values = withoutChoices(demo).map(({ value }) => value);
    expect(new Set(values).size).toBe(values.length);
    expect(values).toHaveLength(1 + HOLD_CLASSES.length + demo.reactions.length + demo.moves.length);
    expect(values.filter((value) => Object.keys(withoutOptions(value)).length === 0)).toEqual(['']);
  });

  it('never helps bottom when it is bottom’s, and never hurts when it is top’s', () => {
    const whole = solveMap(demo);
    const weigh = (choice: string) => solveMap(demo, withoutOptions(choice), whole.values).entry;
    for (const { name } of HOLD_CLASSES)
      expect(weigh(`holds ${name}`), name).toBeLessThanOrEqual(whole.entry + 1e-7);
    for (const { id } of demo.moves.slice(0, 20))
      expect(weigh(`move ${id}`), id).toBeLessThanOrEqual(whole.entry + 1e-7);
    // A reaction that comes in every look of a position may leave a look with nothing said: those are left alone here.
    const spoken = demo.reactions.filter(({ id }) =>
      demo.positions.every(({ looks }) =>
        looks.every(({ reactions }) => reactions.length === 0 || reactions.some((ref) => ref.id !== id)),
      ),
    );
    expect(spoken.length).toBeGreaterThan(10);
    for (const { id } of spoken)
      expect(weigh(`reaction ${id}`), id).toBeGreaterThanOrEqual(whole.entry - 1e-7);
  });
});
