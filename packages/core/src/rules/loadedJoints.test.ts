import { describe, expect, it } from 'vitest';
import { HAZARD_TAGS } from '../model/hazards.ts';
import { JOINTS, type Loads } from '../model/joint.ts';
import type { GuardMap } from '../model/map.ts';
import { MechanicSchema } from '../model/mechanic.ts';
import type { Move } from '../model/move.ts';
import { smallMap } from '../test/smallMap.ts';
import { loadedJoints, loadsAny } from './loadedJoints.ts';

/** The small map with one mechanic in its first move, and what each thing loads. */
function loaded(loads: { move?: Loads; mechanic?: Loads; position?: Loads; landing?: Loads }) {
  const map = smallMap();
  const [move] = map.moves;
  const exchange = map.exchanges.find((one) => one.move === move!.id)!;
  const landing = map.positions.find(({ id }) => id !== move!.position)!;
  const mechanic = MechanicSchema.parse({
    id: 'roll',
    name: 'Roll',
    form: 'solo',
    how: 'Over the shoulder.',
    loads: loads.mechanic,
  });
  const made: Move = { ...move!, mechanics: ['roll'], loads: loads.move };
  const changed: GuardMap = {
    ...map,
    mechanics: [mechanic],
    moves: map.moves.map((one) => (one.id === made.id ? made : one)),
    exchanges: map.exchanges
      .filter((one) => one.move !== made.id)
      .concat({ ...exchange, reaction: 'none', to: { position: landing.id } }),
    positions: map.positions.map((position) => ({
      ...position,
      loads:
        position.id === made.position
          ? loads.position
          : position.id === landing.id
            ? loads.landing
            : undefined,
    })),
  };
  return { map: changed, move: made };
}

describe('the joints that a move loads', () => {
  it('are the worst of the move, its mechanics, where it begins and where it leads', () => {
    const { map, move } = loaded({
      move: { wrist: 'some' },
      mechanic: { neck: 'hard', wrist: 'hard' },
      position: { knee: 'some', neck: 'some' },
      landing: { ankle: 'hard' },
    });
    expect(loadedJoints(map, move)).toEqual({ neck: 'hard', wrist: 'hard', knee: 'some', ankle: 'hard' });
  });

  it('are a caution when they carry some, and nothing for a sore joint when they carry much', () => {
    const { map, move } = loaded({ mechanic: { shoulder: 'some', neck: 'hard' } });
    expect(loadsAny(map, move, ['shoulder'])).toBe(false);
    expect(loadsAny(map, move, ['shoulder', 'neck'])).toBe(true);
    expect(loadsAny(map, move, [])).toBe(false);
  });

  it('are none where nothing is said of them: nothing is looked up by name', () => {
    const { map, move } = loaded({});
    expect(loadedJoints(map, { ...move, hazards: ['heel-hook'] })).toEqual({});
  });

  it('are in the one it is done to what its hazards put at risk', () => {
    const { map, move } = loaded({ move: { wrist: 'hard' } });
    expect(loadedJoints(map, { ...move, hazards: ['heel-hook', 'toe-hold'] }, 'receives')).toEqual({
      knee: 'hard',
      ankle: 'hard',
    });
    // Whatever can be spared is put at risk by something.
    const all = loadedJoints(map, { ...move, hazards: [...HAZARD_TAGS] }, 'receives');
    expect(JOINTS.filter((joint) => !all[joint])).toEqual([]);
  });
});
