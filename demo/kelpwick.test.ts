import { readFileSync } from 'node:fs';
import {
  ClassSchema,
  checkSweep,
  classSeconds,
  coverChains,
  indexMap,
  isOutcome,
  parseMapFile,
  printMapFile,
  readReaction,
  translateApparel,
  validateMap,
} from '@aftersquall/core';
import { describe, expect, it } from 'vitest';
import { kelpwick as map } from './src/kelpwick/map.ts';

const read = (file: string) => readFileSync(new URL(file, import.meta.url), 'utf8');
const index = indexMap(map);

describe('the demo map', () => {
  it('is the file that ships', () => {
    expect(read('kelpwick.map.json')).toBe(printMapFile(map));
    expect(printMapFile(parseMapFile(read('kelpwick.map.json')))).toBe(read('kelpwick.map.json'));
  });

  it('has five systems and more that flow into each other, and no error; its warnings are meant', () => {
    expect(map.systems.length).toBeGreaterThanOrEqual(5);
    expect(map.positions.length).toBeGreaterThanOrEqual(40);
    expect(map.exchanges.length).toBeGreaterThanOrEqual(180);
    const findings = validateMap(map).filter(({ severity }) => severity !== 'note');
    expect(findings.map(({ code, place }) => [code, place.id])).toEqual([
      // Left open for the coach, so that a hole can be seen and filled.
      ['hole', 'up-to-mount'],
      ['hole', 'back-over-top'],
      ['hole', 'x-tip'],
      // Top really can step or post there, and what top does about it is listed.
      ['free-post', 'sleeves-turn-over'],
      ['free-post', 'dog-knee-tap'],
    ]);
    for (const system of map.systems) {
      const inside = map.positions.filter(({ systems }) => systems.includes(system.id));
      const leaves = inside.some((position) =>
        index
          .movesOf(position.id)
          .some((move) =>
            index
              .exchangesOf(move.id)
              .some(
                ({ to }) => !isOutcome(to) && !index.position.get(to.position)!.systems.includes(system.id),
              ),
          ),
      );
      expect(leaves, system.id).toBe(true);
    }
  });

  it('calls every chance a guess of the coach', () => {
    expect(new Set(map.exchanges.map(({ basis }) => basis))).toEqual(new Set(['coach']));
  });

  it('gives every reaction a feel and a script, and every position holds, cues or both', () => {
    for (const reaction of map.reactions)
      expect([reaction.id, reaction.feel, reaction.script].every(Boolean)).toBe(true);
    for (const position of map.positions) expect(position.cues.length, position.id).toBeGreaterThan(0);
    for (const move of map.moves) expect(move.steps.length, move.id).toBeGreaterThan(0);
  });

  it('answers the question a coach asks: collar stripped, what now?', () => {
    const { options } = readReaction(map, { position: 'collar-sleeve', reaction: { id: 'strip-collar' } });
    expect(options[0]).toMatchObject({ move: { id: 'join-sleeve' }, rank: 'ready', chance: 0.75 });
    expect(options.find(({ move }) => move.id === 'cross-choke')?.missing).toEqual([
      'a grip on the near collar',
    ]);
  });

  it("answers each of top's replies to the shoulder lock", () => {
    const replies = [
      'posture-up',
      'drop-knees',
      'sit-out',
      'step-over',
      'knee-belly',
      'lock-legs',
      'roll-forward',
    ];
    for (const id of replies) {
      const { options } = readReaction(map, { position: 'shoulder-lock', reaction: { id } });
      expect(options[0]!.exchange, id).toBeDefined();
    }
  });

  it('makes every exchange ready once its reaction came, unless a need says why not', () => {
    for (const exchange of map.exchanges) {
      const move = index.move.get(exchange.move)!;
      const { options } = readReaction(map, { position: move.position, reaction: exchange.reaction });
      const option = options.find((other) => other.move.id === move.id)!;
      expect(option.rank === 'ready' || option.missing.length > 0, exchange.id).toBe(true);
      if (exchange.reaction === 'none') expect(option.missing, exchange.id).toEqual([]);
    }
  });

  it('is thought through without a jacket: nothing is lost that a position needs', () => {
    for (const position of map.positions)
      expect(translateApparel(position, 'no-gi').available, position.id).toBe(true);
    const bare = readReaction(map, { position: 'collar-sleeve', apparel: 'no-gi' });
    expect(bare.options.find(({ move }) => move.id === 'cross-choke')?.missing.join()).toContain(
      'not without a jacket',
    );
  });

  it('keeps to the practice of the trade', () => {
    // Common practice, no published source: sweeps that tip go to the side whose hand is held; strangles with
    // both hands in the collar need the head down first; harness before hooks on the back.
    for (const move of map.moves.filter(({ kind }) => kind === 'back-take')) {
      const harness = move.steps.findIndex((step) => step.take.some(({ action }) => action === 'harness'));
      const hook = move.steps.findIndex((step) => step.take.some(({ action }) => action === 'hook'));
      if (hook >= 0) expect(harness, move.id).toBeLessThan(hook);
    }
    for (const position of map.positions) {
      const hooks = position.holds.filter(
        ({ action, target, contacts }) =>
          action === 'hook' &&
          target.part === 'thigh' &&
          contacts.every((contact) => contact.startsWith('foot')),
      );
      // Butterfly hooks need a kneeling opponent; once top stands it is a seated open guard.
      if (position.signs['own.torso'] === 'seated' && hooks.length > 0)
        expect(['kneeling', 'all-fours'], position.id).toContain(position.signs['top.stance'] ?? 'kneeling');
      // Single-leg X: hips off the mat, never square to top.
      if (position.id === 'slx') expect(position.signs['own.angle']).not.toBe('square');
    }
    const seat = index.position.get('seated-standing')!;
    expect(seat.signs['top.stance']).toBe('standing');
    expect(seat.holds.some(({ action }) => action === 'hook')).toBe(false);
    expect(index.position.get('slx')!.signs['own.hips']).toBe('raised');
    // Over-under: the head goes to the side of the trapped arm, and the sweep too.
    const overUnder = index.position.get('butterfly-two')!;
    const trapped = overUnder.holds.find(({ action }) => action === 'overhook')!.target.side;
    expect(overUnder.holds.find(({ contacts }) => contacts.includes('head'))!.target.side).toBe(trapped);
    expect(Math.sin((index.move.get('over-under-sweep')!.direction! * Math.PI) / 180)).toBeLessThan(-0.3);
    // In a mutual entanglement the own knee line is inside before the feet open.
    for (const { steps, id } of index.movesOf('entangle-mutual')) {
      const clear = steps.findIndex((step) => step.signs?.['own.kneeLineR'] === 'clear');
      const opens = steps.findIndex((step) => step.release.some((contact) => contact.startsWith('leg')));
      expect(clear, id).toBeLessThan(opens);
      expect(steps[opens]!.after, id).toContain(steps[clear]!.id);
    }
    // After a sweep on a leg, the leg is held until bottom is up.
    for (const move of ['slx-stand', 'x-stand', 'xb-stand'].map((id) => index.move.get(id)!))
      expect(move.steps.flatMap(({ release }) => release).some((contact) => contact.startsWith('arm'))).toBe(
        false,
      );
    // Twisting leg attacks are caught and let go in class, and are for experts.
    for (const move of map.moves.filter(
      ({ hazards }) => hazards.includes('heel-hook') && hazards.length > 0,
    )) {
      if (move.kind !== 'submission') continue;
      expect(move.steps.at(-1)!.text, move.id).toContain('let go');
      expect(index.position.get(move.position)!.level, move.id).toBe('expert');
    }
    // The roll under in half guard needs weight over bottom.
    for (const id of ['shield-invert', 'half-lock-roll-under'])
      expect(index.move.get(id)!.needs).toContainEqual({
        facet: 'top.weight',
        values: ['forward'],
        mark: 'must',
      });
    const choke = index.move.get('cross-choke')!;
    expect(choke.needs[0]).toMatchObject({ facet: 'top.stance', values: ['kneeling'], mark: 'must' });
    expect(choke.steps[1]!.after).toEqual(['s1']);
    for (const move of map.moves.filter(({ kind }) => kind === 'submission'))
      expect(move.hazards, move.id).not.toEqual([]);
  });

  it('sends its sweeps where statics says that top is weakest, but for those it warns of', () => {
    const sweeps = map.moves.filter(({ kind, direction }) => kind === 'sweep' && direction !== undefined);
    const off = sweeps.filter((move) => !checkSweep(index.position.get(move.position)!, move).weakest);
    expect(sweeps.length).toBeGreaterThan(15);
    expect(off.map(({ id }) => id)).toEqual(['sleeves-turn-over', 'dog-knee-tap', 'deep-waiter']);
  });

  it('can be covered whole, at a proved cost', () => {
    const cover = coverChains({ map, exchanges: map.exchanges.map(({ id }) => id) });
    expect(cover.proved).toBe(true);
    const ends = cover.chains.map(({ arcs }) => index.exchange.get(arcs.at(-1)!)!);
    expect(ends.filter(({ to }) => isOutcome(to)).length).toBeGreaterThan(ends.length / 2);
  });
});

describe('the demo class', () => {
  it('fits its hour', () => {
    const plan = ClassSchema.parse(JSON.parse(read('tuesday.class.json')));
    expect(classSeconds(plan)).toBeLessThanOrEqual(plan.minutes * 60);
    expect(classSeconds(plan)).toBeGreaterThan(plan.minutes * 60 * 0.85);
    for (const block of plan.blocks) {
      if (block.kind !== 'rest')
        for (const link of block.links) expect(index.exchange.has(link.exchange)).toBe(true);
    }
  });
});
