import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { parseMapFile } from '../../formats/mapFile.ts';
import { KNOW_BEST } from '../game/softness.ts';
import { weighMap } from '../measure/weighMap.ts';
import { worthReason } from './worthReason.ts';

describe('why a position is worth what it is', () => {
  const map = parseMapFile(
    readFileSync(new URL('../../../../../testing/club/kelpwick.map.json', import.meta.url), 'utf8'),
  );
  const weighing = weighMap(map, { level: KNOW_BEST });

  it('is one exchange or hole of its best look, worth no more than the look where top chooses', () => {
    let asked = 0;
    for (const position of weighing.positions) {
      const reason = worthReason(position);
      const plan = position.looks.find(({ look }) => look === position.best);
      expect(reason === undefined).toBe(plan === undefined);
      if (!reason || !plan) continue;
      asked++;
      expect(plan.matrix.moves).toContain(reason.move);
      const cells = plan.matrix.worth.flat();
      expect(cells).toContain(reason.payoff);
      if (plan.moves.length === 1) expect(reason.payoff).toBeCloseTo(plan.value, 9);
    }
    expect(asked).toBeGreaterThan(0);
  });

  it('is nothing where waiting is best', () => {
    const [position] = weighing.positions;
    const { best: _, ...waiting } = position!;
    expect(worthReason(waiting)).toBeUndefined();
  });
});
