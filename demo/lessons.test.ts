import { classSeconds, type LessonRequest, matRun, otherThemes, planLesson } from '@aftersquall/core/lesson';
import {
  type Block,
  type ChainTurn,
  exchangeOf,
  indexMap,
  isDrilled,
  isLive,
  isOutcome,
  turnIn,
} from '@aftersquall/core/model';
import { SHIPPED_PROFILES } from '@aftersquall/core/rules';
import { describe, expect, it } from 'vitest';
import { readDemo } from './readDemo.ts';

const map = readDemo();
const index = indexMap(map);
const HOUR: Omit<LessonRequest, 'root'> = {
  map,
  minutes: 60,
  people: 14,
  apparel: 'gi',
  level: 'intermediate',
  method: 'mixed',
};
const room = (people: number) => ({ people, changeOverSeconds: 10 });
const perPerson = (block: Block) => (isDrilled(block) ? block.reps * block.sides : 0);

/** What every class has to hold, whatever it is about. */
function expectSound(request: LessonRequest) {
  const planned = planLesson(request);
  const { blocks, lesson, total } = planned;
  const { people, minutes } = request;
  expect(total).toBe(classSeconds({ ...room(people), blocks }));
  expect(total).toBeLessThanOrEqual(minutes * 60);
  const run = matRun({ ...room(people), blocks });
  expect(run.reduce((sum, { seconds }) => sum + seconds, 0)).toBe(total);
  // One start, and every move leads on from it.
  const places = new Set([request.root]);
  const left = new Set(lesson.steps.map(({ move }) => move));
  // The way in begins before the start; foundations are taught wherever they stand.
  for (const id of left) {
    const leadsIn = index
      .exchangesOf(id)
      .some(
        ({ to }) =>
          !isOutcome(to) && to.position === request.root && index.move.get(id)!.position !== request.root,
      );
    if (leadsIn || index.move.get(id)!.foundation) places.add(index.move.get(id)!.position);
  }
  for (let grown = true; grown; ) {
    grown = false;
    for (const id of left) {
      if (!places.has(index.move.get(id)!.position)) continue;
      left.delete(id);
      grown = true;
      for (const { to, otherwise } of index.exchangesOf(id))
        for (const landing of [to, otherwise])
          if (landing && !isOutcome(landing)) places.add(landing.position);
    }
  }
  expect([...left]).toEqual([]);
  // Of every move that is drilled at least four repetitions a person.
  for (const block of blocks)
    if (block.kind === 'link' || block.kind === 'setup')
      expect(perPerson(block), block.title).toBeGreaterThanOrEqual(4);
  // What is walked in a row leads on from link to link.
  for (const block of blocks)
    if (block.kind === 'chain')
      for (const [i, { exchange }] of block.links.entries()) {
        const next = block.links[i + 1];
        if (!next) continue;
        const { to } = index.exchange.get(exchange)!;
        const from = index.move.get(index.exchange.get(next.exchange)!.move)!.position;
        expect(isOutcome(to) ? to.outcome : to.position).toBe(from);
      }
  expect(new Set(blocks.map(({ id }) => id)).size).toBe(blocks.length);
  expect(blocks.at(-1)!.kind).toBe('review');
  return planned;
}

describe('a class from the demo', () => {
  it('about cross-sleeve guard has one start, moves that lead on, reps, a fork, live work, water and a recap', () => {
    const { blocks, lesson } = expectSound({ ...HOUR, root: 'cross-sleeve-standing' });
    expect(lesson.steps.length).toBeGreaterThanOrEqual(3);
    expect(lesson.steps.length).toBeLessThanOrEqual(5);
    // They come to an ending.
    const ends = lesson.steps
      .flatMap(({ move }) => index.exchangesOf(move))
      .filter(({ to }) => isOutcome(to));
    expect(ends.length).toBeGreaterThan(0);
    expect(lesson.value).toBeGreaterThan(lesson.before - 0.1);
    expect(blocks.some(({ kind }) => kind === 'fork')).toBe(true);
    expect(blocks.some(({ kind }) => kind === 'rest')).toBe(true);
    const live = classSeconds({ ...room(14), blocks: blocks.filter(isLive) });
    expect(live).toBeGreaterThanOrEqual(600);
    // Every move of the lesson is drilled.
    const drilled = new Set(
      blocks.flatMap((block) =>
        isDrilled(block) ? block.links.map(({ exchange }) => index.exchange.get(exchange)!.move) : [],
      ),
    );
    for (const { move } of lesson.steps) expect(drilled.has(move), move).toBe(true);
  });

  it('for beginners in butterfly holds the over-under sweep, and nothing above its level or barred by its rules', () => {
    const rules = SHIPPED_PROFILES.find(({ level, apparel }) => level === 'novice' && apparel === 'gi')!;
    const pinned = ['over-under-sweep'];
    const { lesson } = expectSound({ ...HOUR, root: 'butterfly', level: 'novice', rules, pinned });
    expect(lesson.steps.map(({ name }) => name)).toContain('Over-under sweep');
    for (const { move } of lesson.steps) {
      const known = index.move.get(move)!;
      expect(known.level ?? index.position.get(known.position)!.level).toBe('novice');
      for (const tag of known.hazards) expect(rules.barred).not.toContain(tag);
    }
  });

  it('for the young or for novices holds nothing that is barred for them, in any apparel, whatever rules were chosen', () => {
    const profile = (id: string) => SHIPPED_PROFILES.find((one) => one.id === id)!;
    const roots = map.positions
      .filter(({ systems }) => systems.includes('leg-entanglement'))
      .map(({ id }) => id);
    let taught = 0;
    for (const [changes, barred] of [
      [{ youth: true }, profile('youth-gi').barred],
      [{ youth: true, apparel: 'no-gi' }, profile('youth-gi').barred],
      [{ youth: true, rules: profile('expert-no-gi'), apparel: 'no-gi' }, profile('youth-gi').barred],
      [{ level: 'novice', rules: profile('expert-gi') }, profile('novice-gi').barred],
      [{ level: 'novice', apparel: 'no-gi' }, profile('novice-no-gi').barred],
    ] as const)
      for (const root of roots) {
        let blocks: Block[];
        try {
          ({ blocks } = planLesson({ ...HOUR, root, ...changes }));
        } catch {
          // Nothing is left from there: the sentence says so.
          continue;
        }
        taught++;
        for (const block of blocks)
          for (const tag of 'hazards' in block ? block.hazards : []) expect(barred, root).not.toContain(tag);
      }
    expect(taught).toBeGreaterThan(10);
  });

  it('tells who attacks and who is caught what keeps both safe, each in their own words', () => {
    const { blocks } = planLesson({
      ...HOUR,
      root: 'entangle-crossed',
      level: 'expert',
      apparel: 'no-gi',
      pinned: ['crossed-heel'],
    });
    const twists = blocks.filter((block) => 'hazards' in block && block.hazards.includes('heel-hook'));
    expect(twists.length).toBeGreaterThan(0);
    for (const block of twists) {
      if ('safe' in block && block.kind !== 'fork') expect(block.safe).toContain('no heel is turned');
      if ('limit' in block) expect(block.limit).toContain('no heel is turned');
    }
  });

  it('never scores top for an attack on a joint or the neck, in games against full resistance', () => {
    const attacks = map.reactions.flatMap(({ name, hazards = [] }) =>
      hazards.length > 0 ? [name.toLowerCase()] : [],
    );
    expect(attacks).toContain('begins to turn our heel');
    for (const [root, ...pinned] of [
      ['entangle-crossed', 'crossed-heel'],
      ['knee-shield'],
      ['closed-upright'],
    ]) {
      const { blocks } = planLesson({ ...HOUR, root: root!, level: 'expert', apparel: 'no-gi', pinned });
      const games = blocks.flatMap((block) => (block.kind === 'game' ? [block.top.toLowerCase()] : []));
      expect([root, games.length]).not.toEqual([root, 0]);
      for (const top of games) for (const attack of attacks) expect(`${root}: ${top}`).not.toContain(attack);
    }
  });

  it('from on top of a top who lies on the back is not scored by passing', () => {
    const { blocks } = planLesson({ ...HOUR, root: 'half-lock-on-top', method: 'games-first' });
    for (const block of blocks)
      if (block.kind === 'game') {
        expect(block.top).not.toMatch(/\bpass\b/i);
      }
    expect(blocks.some(({ kind }) => kind === 'game')).toBe(true);
  });

  const entries = map.systems.map(({ id, name }) => ({
    name,
    root: map.positions
      .filter(({ systems }) => systems[0] === id)
      .sort((a, b) => (b.entry ?? 0) - (a.entry ?? 0))[0]!,
  }));
  it.each(entries.map(({ name, root }) => [name, root.id] as const))('about %s stands, too', (_, root) => {
    expectSound({ ...HOUR, root, level: 'expert' });
  });

  it('stands for three people and for thirty-one, for half an hour and for two, by every method, without the jacket', () => {
    for (const changes of [
      { people: 3 },
      { people: 31, method: 'reps-first' },
      { minutes: 30, method: 'games-first' },
      { minutes: 120 },
      { apparel: 'no-gi' },
      { youth: true, level: 'novice' },
      { people: 1 },
    ] as const)
      expectSound({ ...HOUR, root: 'butterfly', ...changes });
  });

  it('differs in substance by method: reps come first, or a task does', () => {
    const kinds = (method: LessonRequest['method']) =>
      planLesson({ ...HOUR, root: 'slx', method }).blocks.map(({ kind }) => kind);
    const first = (method: LessonRequest['method']) =>
      kinds(method).find((kind) => kind !== 'talk' && kind !== 'move');
    expect(first('games-first')).toBe('game');
    expect(first('reps-first')).toMatch(/setup|link/);
    expect(kinds('games-first').filter((kind) => kind === 'game')).toHaveLength(2);
    expect(kinds('reps-first').indexOf('game')).toBeGreaterThan(kinds('reps-first').indexOf('link'));
  });

  it('follows what is pinned, left out and known', () => {
    const plain = planLesson({ ...HOUR, root: 'slx' }).lesson;
    const [first] = plain.steps;
    const without = planLesson({ ...HOUR, root: 'slx', out: [first!.move] }).lesson;
    expect(without.steps.map(({ move }) => move)).not.toContain(first!.move);
    const spare = index
      .movesOf('slx')
      .find(({ id }) => !plain.steps.some(({ move }) => move === id) && id !== first!.move)!;
    const pinned = planLesson({ ...HOUR, root: 'slx', pinned: [spare.id] }).lesson;
    expect(pinned.steps.map(({ move }) => move)).toContain(spare.id);
    const again = planLesson({ ...HOUR, root: 'slx', pinned: [spare.id], known: [spare.id] }).lesson;
    expect(again.steps.map(({ move }) => move)).toContain(spare.id);
    const known = planLesson({ ...HOUR, root: 'slx', known: plain.steps.map(({ move }) => move) }).lesson;
    expect(known.before).toBeCloseTo(plain.value, 6);
    for (const { move } of known.steps) expect(plain.steps.some((step) => step.move === move)).toBe(false);
  });

  it('says which pinned move found no time or no way', () => {
    const far = map.moves.find(({ position }) => position === 'closed-broken')!;
    const { unmet } = planLesson({ ...HOUR, root: 'slx', pinned: [far.id] });
    expect(unmet).toEqual([far.name]);
  });

  it('is there for every position from which something may be done, also where waiting is worth more', () => {
    const refused = map.positions.flatMap(({ id }) => {
      try {
        planLesson({ ...HOUR, root: id, level: 'expert' });
        return [];
      } catch (error) {
        return [(error as Error).message];
      }
    });
    expect(refused.length).toBeLessThan(map.positions.length / 5);
    for (const message of refused)
      expect(message).toMatch(/\. (?:For this class b|B|Take|Choose|Count).*\.$/);
  });

  it('that cannot be says why, and what to do', () => {
    expect(() => planLesson({ ...HOUR, root: 'gone' })).toThrow('choose another one');
    expect(() => planLesson({ ...HOUR, root: 'crab-ride' })).toThrow('is for intermediate classes.');
    expect(() => planLesson({ ...HOUR, root: 'slx', out: map.moves.map(({ id }) => id) })).toThrow(
      'leave less out, or choose another start',
    );
    for (const minutes of [5, 10])
      expect(() => planLesson({ ...HOUR, root: 'butterfly', minutes })).toThrow(
        /^\d+ minutes hold no class from here\. Take at least \d+, or drill one block by hand\.$/,
      );
  });
});

describe('other themes from the same start', () => {
  it('are about something else, and are taught when their moves are pinned', () => {
    const request = { ...HOUR, root: 'cross-sleeve-standing' };
    const taughtBy = (asked: LessonRequest) => planLesson(asked).lesson.steps.map(({ move }) => move);
    const first = taughtBy(request);
    const others = otherThemes(request);
    expect(others.length).toBeGreaterThan(0);
    expect(new Set(others.map(({ aim }) => aim)).size).toBe(others.length);
    for (const { moves } of others) {
      expect(moves.some((move) => !first.includes(move))).toBe(true);
      expect(taughtBy({ ...request, pinned: moves })).toEqual(expect.arrayContaining(moves));
    }
  });
});

describe('a class along a chain of the demo', () => {
  /** The answer behind a turn that is picked by a number; none where the line has ended. */
  const after = (turn: ChainTurn, pick: number): string | undefined => {
    const { to } = turnIn(map, turn)!;
    const moves = isOutcome(to) ? [] : index.movesOf(to.position);
    return moves.flatMap((move) => index.exchangesOf(move.id))[pick]?.id;
  };
  /** Walks of up to three turns through the map, every third one through a miss. */
  const walks = map.exchanges.flatMap(({ id: first }, i): ChainTurn[][] => {
    if (i % 23 !== 0) return [];
    const turns: ChainTurn[] = [];
    for (let id: string | undefined = first; id && turns.length < 3; id = after(turns.at(-1)!, i % 5)) {
      const fails = (i + turns.length) % 3 === 0 && index.exchange.get(id)!.otherwise !== undefined;
      turns.push(fails ? { exchange: id, fails: true } : id);
    }
    return [turns];
  });
  const kept = map.chains.map(({ exchanges }) => exchanges);

  it('stands forward and backward, within its time and whole, or says in a sentence why not', () => {
    let stood = 0;
    for (const turns of [...kept, ...walks])
      for (const backward of [false, true]) {
        const chain = { name: 'A chain', turns, backward };
        const room = { minutes: 90, people: 12, apparel: 'gi', level: 'expert', method: 'mixed' } as const;
        try {
          const { blocks, total } = planLesson({ map, root: '', ...room, chain });
          expect(total).toBeLessThanOrEqual(90 * 60);
          const whole = blocks.find(({ kind }) => kind === 'chain');
          const answers = turns.flatMap((turn) => exchangeOf(turn) ?? []);
          expect(
            whole && 'links' in whole && whole.links.map(({ exchange }) => exchange).slice(0, answers.length),
          ).toEqual(answers);
          stood++;
        } catch (error) {
          if (!(error instanceof RangeError)) throw error;
          expect(error.message).toMatch(/\.$/);
        }
      }
    for (const turns of kept)
      expect(() =>
        planLesson({
          map,
          root: '',
          minutes: 60,
          people: 12,
          apparel: 'gi',
          level: 'intermediate',
          method: 'mixed',
          chain: { name: 'Kept', turns },
        }),
      ).not.toThrow();
    expect(stood).toBeGreaterThan(walks.length);
  });
});
