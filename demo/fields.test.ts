import { indexMap, isOutcome, JOINTS, type Mechanic } from '@aftersquall/core/model';
import { legality, loadedJoints, loadsAny, SHIPPED_PROFILES } from '@aftersquall/core/rules';
import { solveMap } from '@aftersquall/core/weigh';
import { describe, expect, it } from 'vitest';
import { readDemo } from './readDemo.ts';

const map = readDemo();
const index = indexMap(map);
const wordsOf = ({ name, how }: Mechanic) => `${name} ${how}`.toLowerCase();

describe('short names in the demo', () => {
  it('are there for everything that is called across the mat, at most four words each', () => {
    for (const thing of [...map.positions, ...map.moves, ...map.reactions, ...map.mechanics])
      expect([thing.id, thing.short?.split(' ').length ?? 0]).toEqual([thing.id, expect.toSatisfy(fewWords)]);
  });

  it('of positions, moves and mechanics begin with a capital; of reactions they are verbs without a subject', () => {
    for (const { id, short } of [...map.positions, ...map.moves, ...map.mechanics])
      expect([id, /^[A-Z0-9]/.test(short!)]).toEqual([id, true]);
    for (const { id, short } of map.reactions) expect([id, /^[a-z]/.test(short!)]).toEqual([id, true]);
  });

  it('tell the moves of one look apart', () => {
    for (const position of map.positions)
      for (const look of position.looks) {
        const names = index
          .movesOf(position.id)
          .flatMap((move) => (move.look === look.id ? [move.short] : []));
        expect([position.id, look.id, new Set(names).size]).toEqual([position.id, look.id, names.length]);
      }
  });
});
const fewWords = (count: number): boolean => count >= 1 && count <= 5;

describe('foundations of the demo (common practice, no published source)', () => {
  const inSystem = (system: string) =>
    map.moves.filter((move) => index.position.get(move.position)!.systems.includes(system));

  it('are three to six moves a system, none of them for experts', () => {
    for (const { id } of map.systems) {
      const foundations = inSystem(id).filter(({ foundation }) => foundation);
      expect([id, foundations.length]).toEqual([id, expect.toSatisfy((n: number) => n >= 2 && n <= 6)]);
      for (const move of foundations) expect([move.id, move.level]).not.toEqual([move.id, 'expert']);
    }
  });

  it('of the leg entanglements begin with the defence, and never attack with a twist or a bar of the knee', () => {
    const foundations = inSystem('leg-entanglement').filter(({ foundation }) => foundation);
    expect(foundations.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['ankle-boot-up', 'defend-hide-clear']),
    );
    for (const { id, hazards } of foundations)
      for (const tag of ['heel-hook', 'knee-bar', 'toe-hold'] as const)
        expect([id, hazards.includes(tag)]).toEqual([id, false]);
  });
});

describe('what loads a joint in the demo (common practice, no published source)', () => {
  it('is said of every movement and of every position', () => {
    for (const { id, loads } of [...map.mechanics, ...map.positions])
      expect([id, loads !== undefined]).toEqual([id, true]);
  });

  it('is something in every movement that rolls, inverts, bridges or posts on a hand', () => {
    const loading = map.mechanics.filter((mechanic) =>
      /\b(roll|invert|inversion|bridge|post on|stand up on the hand)/.test(wordsOf(mechanic)),
    );
    expect(loading.length).toBeGreaterThan(8);
    for (const { id, loads } of loading) expect([id, Object.keys(loads!).length > 0]).toEqual([id, true]);
  });

  it('is the neck in inversions and rolls over the shoulder, and the wrist in standing up off the hand', () => {
    const load = (id: string) => index.mechanic.get(id)!.loads!;
    for (const id of ['inversion', 'shoulder-roll', 'log-roll', 'elbow-roll', 'pendulum-under'])
      expect([id, load(id).neck]).toEqual([id, 'hard']);
    expect(load('technical-stand-up').wrist).toBe('hard');
    expect(load('hip-escape')).toEqual({});
  });

  it('leaves most of the map to whoever spares one joint, and takes out all that loads it hard', () => {
    for (const joint of JOINTS) {
      const left = map.moves.filter((move) => !loadsAny(map, move, [joint]));
      expect([joint, left.length / map.moves.length]).toEqual([
        joint,
        expect.toSatisfy((share: number) => share > 0.7 && share < 1),
      ]);
      for (const move of left) expect(loadedJoints(map, move)[joint]).not.toBe('hard');
    }
  });

  it('is never part of a plan that spares it', () => {
    const { states } = solveMap(map, { sparedJoints: ['neck'] }).game;
    const played = states.flatMap(({ looks }) => looks.flatMap(({ moves }) => moves));
    expect(played.length).toBeGreaterThan(100);
    for (const { id } of played)
      expect([id, loadedJoints(map, index.move.get(id)!).neck]).not.toEqual([id, 'hard']);
  });
});

describe('what top sees, and what a fault lets through', () => {
  it('is said of every look, and of reactions that there are', () => {
    for (const position of map.positions)
      for (const look of position.looks)
        expect([position.id, look.id, Boolean(look.topSees)]).toEqual([position.id, look.id, true]);
    const faults = [...map.positions, ...map.moves].flatMap((thing) => thing.faults);
    const letting = faults.filter(({ lets }) => lets && lets.length > 0);
    expect(letting.length).toBeGreaterThan(faults.length / 2);
  });

  it('is among what top may do where the fault is made', () => {
    const listed = (position: string, look?: string) =>
      new Set(
        index.position
          .get(position)!
          .looks.filter(({ id }) => look === undefined || id === look)
          .flatMap(({ reactions }) => reactions.map(({ id }) => id)),
      );
    const strangers: string[] = [];
    for (const move of map.moves)
      for (const { id, lets = [] } of move.faults)
        for (const reaction of lets)
          if (!listed(move.position).has(reaction)) strangers.push(`${move.id} ${id} ${reaction}`);
    for (const position of map.positions)
      for (const { id, lets = [] } of position.faults)
        for (const reaction of lets)
          if (!listed(position.id).has(reaction)) strangers.push(`${position.id} ${id} ${reaction}`);
    expect(strangers).toEqual([]);
  });
});

describe('every system of the demo is whole', () => {
  it.each(
    map.systems.map(({ id }) => id),
  )('%s has a way in, a foundation near it, and a move that ends a round well', (system) => {
    const inside = map.positions.filter(({ systems }) => systems.includes(system));
    const moves = inside.flatMap(({ id }) => index.movesOf(id));
    const exchanges = moves.flatMap(({ id }) => index.exchangesOf(id));
    // Rounds begin in it, or something of another system leads into it.
    const isStart = inside.some(({ entry }) => (entry ?? 0) > 0);
    const ids = new Set(inside.map(({ id }) => id));
    const ledInto = map.exchanges.some(
      ({ move, to }) => !isOutcome(to) && ids.has(to.position) && !ids.has(index.move.get(move)!.position),
    );
    expect(isStart || ledInto).toBe(true);
    expect(moves.some(({ foundation }) => foundation)).toBe(true);
    const good = new Set(['top-side', 'top-mount', 'top-knee-on-belly', 'top-guard', 'back', 'submission']);
    expect(exchanges.some(({ to }) => isOutcome(to) && good.has(to.outcome))).toBe(true);
  });
});

describe('a slam', () => {
  it('is warned of in every triangle that is lifted, and keeps none of them out of a class with rules', () => {
    const rules = SHIPPED_PROFILES.filter(({ barred }) => barred.includes('slam'));
    expect(rules.length).toBeGreaterThan(0);
    const lifted = map.moves.filter(
      ({ position, hazards }) => position === 'triangle' && hazards.includes('slam'),
    );
    expect(lifted.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['triangle-finish', 'triangle-armlock', 'triangle-scoop', 'triangle-to-lock']),
    );
    const strangle = lifted.find(({ id }) => id === 'triangle-finish')!;
    for (const profile of rules.filter(({ barred }) => !barred.includes('strangle')))
      expect([profile.id, legality(strangle.hazards, profile).legal]).toEqual([profile.id, true]);
  });
});
