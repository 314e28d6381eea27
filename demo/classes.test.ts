import { printClass } from '@aftersquall/core/formats';
import { blockTime, type LessonRequest, planLesson } from '@aftersquall/core/lesson';
import { type Block, type ClassPlan, ClassSchema, indexMap } from '@aftersquall/core/model';
import { describe, expect, it } from 'vitest';
import { readDemo } from './readDemo.ts';

const map = readDemo();
const index = indexMap(map);

type Asked = Omit<LessonRequest, 'map' | 'root'>;
const SETTINGS: readonly Asked[] = [
  { minutes: 60, people: 20, apparel: 'gi', level: 'intermediate', method: 'mixed' },
  { minutes: 60, people: 14, apparel: 'gi', level: 'novice', method: 'mixed' },
  { minutes: 60, people: 14, apparel: 'no-gi', level: 'expert', method: 'mixed' },
  { minutes: 30, people: 2, apparel: 'gi', level: 'intermediate', method: 'reps-first' },
  { minutes: 90, people: 31, apparel: 'gi', level: 'intermediate', method: 'mixed' },
  { minutes: 45, people: 12, apparel: 'gi', level: 'novice', method: 'games-first' },
  { minutes: 45, people: 16, apparel: 'gi', level: 'novice', youth: true, method: 'reps-first' },
  { minutes: 60, people: 3, apparel: 'no-gi', level: 'intermediate', method: 'mixed' },
];

interface Planned {
  name: string;
  asked: Asked;
  plan: ClassPlan;
}

/** A class from a start, or the sentence that says why there is none. */
function classFrom(root: string, asked: Asked): Planned | string {
  try {
    const { name, blocks, lesson, leftOver } = planLesson({ map, root, ...asked });
    const plan = ClassSchema.parse({
      format: 'aftersquall-class',
      version: 1,
      id: 'class',
      name,
      map: map.id,
      minutes: asked.minutes,
      people: asked.people,
      apparel: asked.apparel,
      blocks,
      lesson,
      leftOver,
    });
    return { name: `${root} ${JSON.stringify(asked)}`, asked, plan };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return error.message;
  }
}

const every = process.env.AFTERSQUALL_ALL_CLASSES !== undefined;
const asked = map.positions.flatMap(({ id }, i) =>
  SETTINGS.filter((_, j) => every || j === i % SETTINGS.length).map((setting) => classFrom(id, setting)),
);
const classes = asked.filter((one) => typeof one !== 'string');
const refusals = asked.filter((one) => typeof one === 'string');

const secondsOf = ({ blocks, people, changeOverSeconds }: ClassPlan, block: Block) =>
  blocks.includes(block) ? blockTime(block, { people, changeOverSeconds }) : undefined;
const totals = (plan: ClassPlan) => plan.blocks.map((block) => secondsOf(plan, block)!.total);
const isPlay = ({ kind }: Block) => kind === 'game' || kind === 'rounds';
const drilled = (plan: ClassPlan) =>
  plan.blocks.filter((block) => 'reps' in block).map((block) => block as Extract<Block, { reps: number }>);

describe('a class from every start of the demo', () => {
  it('is there for most of them; where it is not, a sentence says what to do instead', () => {
    expect(classes.length).toBeGreaterThan(asked.length / 2);
    for (const words of refusals) expect(words).toMatch(/^[^.]+\. .*[a-z]{3}.*\.$/);
  });

  it('fits its time, in half minutes, with something to spare', () => {
    for (const {
      name,
      asked: { minutes },
      plan,
    } of classes) {
      const all = totals(plan);
      expect(
        all.reduce((a, b) => a + b, 0),
        name,
      ).toBeLessThanOrEqual(minutes * 60 * 0.965);
      for (const total of all) expect(total % 30, name).toBe(0);
    }
  });

  it('drills no exchange that stops before its first step, and nothing that is barred or above its level', () => {
    const order = ['novice', 'intermediate', 'expert'];
    for (const {
      name,
      asked: { level },
      plan,
    } of classes)
      for (const { links } of drilled(plan))
        for (const { exchange: id } of links) {
          const exchange = index.exchange.get(id)!;
          const move = index.move.get(exchange.move)!;
          expect(exchange.stops, `${name} ${id}`).not.toBe(0);
          const own = move.level ?? index.position.get(move.position)!.level;
          expect(order.indexOf(own), `${name} ${id}`).toBeLessThanOrEqual(order.indexOf(level));
        }
  });

  it('has repetitions that add up, and the first of them does what the block is called for', () => {
    for (const { name, plan } of classes)
      for (const block of drilled(plan)) {
        if (!block.rungs) continue;
        expect(
          block.rungs.reduce((sum, { reps }) => sum + reps, 0),
          name,
        ).toBe(block.reps);
        const [first] = block.rungs;
        if (/^They /.test(block.title))
          expect(index.exchange.get(first!.exchange)!.reaction, `${name} ${block.title}`).not.toBe('none');
      }
  });

  it('answers one reaction of a place in one way', () => {
    for (const { name, plan } of classes) {
      const answers = new Map<string, string>();
      for (const block of drilled(plan))
        for (const { exchange: id } of block.links) {
          const { reaction, move, variant = '' } = index.exchange.get(id)!;
          if (reaction === 'none') continue;
          const met = `${index.move.get(move)!.position} ${reaction.mirrored ? '~' : ''}${reaction.id}`;
          const by = `${move} ${variant}`;
          expect(answers.get(met) ?? by, `${name}: ${met}`).toBe(by);
          answers.set(met, by);
        }
    }
  });

  it('forks into two answers that differ, each at least three times unannounced', () => {
    const forks = classes.flatMap(({ name, plan }) =>
      plan.blocks.flatMap((block) => (block.kind === 'fork' ? [{ name, block }] : [])),
    );
    expect(forks.length).toBeGreaterThan(classes.length / 2);
    for (const { name, block } of forks) {
      const answers = block.links.map(({ exchange }) => {
        const { move, variant = '' } = index.exchange.get(exchange)!;
        return `${move} ${variant}`;
      });
      expect(new Set(answers).size, name).toBe(2);
      expect((block.reps - 2) / 2, name).toBeGreaterThanOrEqual(3);
    }
  });

  it('is played by 45 % of its time, and for at least 20, 30 or 35 % of it', () => {
    const least = { novice: 0.2, intermediate: 0.3, expert: 0.35 };
    for (const {
      name,
      asked: { minutes, level },
      plan,
    } of classes) {
      const all = totals(plan);
      const first = plan.blocks.findIndex(isPlay);
      const before = all.slice(0, first).reduce((a, b) => a + b, 0);
      expect(first, name).toBeGreaterThanOrEqual(0);
      expect(before, name).toBeLessThanOrEqual(0.45 * minutes * 60);
      const live = plan.blocks.filter(isPlay).reduce((sum, block) => sum + secondsOf(plan, block)!.work, 0);
      expect(live / (minutes * 60), name).toBeGreaterThan(least[level] - 0.01);
    }
  });

  it('keeps nobody standing: turns and blocks within what people stand, few new things an hour', () => {
    for (const {
      name,
      asked: { minutes },
      plan,
    } of classes) {
      let fresh = 0;
      for (const block of drilled(plan)) {
        const { work, total } = secondsOf(plan, block)!;
        const turns = Math.max(
          1,
          Math.round(work / ((block.reps + (block.otherReps ?? 0)) * block.secondsPerRep)),
        );
        expect(work / turns, `${name} ${block.title}`).toBeLessThanOrEqual(block.kind === 'fork' ? 200 : 170);
        if (plan.people !== 3) expect(total, `${name} ${block.title}`).toBeLessThanOrEqual(600);
        if (block.kind === 'link' || block.kind === 'setup') fresh++;
      }
      expect(fresh, name).toBeLessThanOrEqual(minutes >= 75 ? 6 : 5);
    }
  });

  it('says where a drill starts, what to do and what the partner does; every game and round says tonight’s limit', () => {
    for (const { name, plan } of classes)
      for (const block of plan.blocks) {
        if ('reps' in block)
          for (const words of [block.start, block.bottom, block.top]) expect(words, name).toMatch(/\w{3}/);
        if (isPlay(block)) expect((block as { limit?: string }).limit, name).toMatch(/\w{3}/);
      }
    for (const { name, plan } of classes)
      expect(plan.blocks[0], name).toMatchObject({
        kind: 'talk',
        text: expect.stringContaining('Tap early'),
      });
  });

  it('teaches the straight lock before a twist of the leg, and the way out before both', () => {
    for (const {
      name,
      asked: { level },
      plan,
    } of classes) {
      const finished = drilled(plan).flatMap((block, at) => {
        const move = index.move.get(index.exchange.get(block.links[0]!.exchange)!.move)!;
        return move.kind === 'submission' ? [{ at, hazards: move.hazards, block }] : [];
      });
      const twist = finished.find(({ hazards }) =>
        hazards.some((tag) => ['heel-hook', 'toe-hold', 'knee-bar'].includes(tag)),
      );
      if (twist) expect(level, name).toBe('expert');
      const leg = finished.find(({ hazards }) => hazards.includes('straight-ankle'));
      if (leg && twist) expect(leg.at, name).toBeLessThan(twist.at);
    }
  });

  it('prints no points, no other sides, no ids, and no cloth without the jacket', () => {
    for (const {
      name,
      asked: { apparel },
      plan,
    } of classes) {
      const text = printClass(plan);
      expect(text, name).not.toMatch(/\(other side\)|\bundefined\b|\bNaN\b|%|[+−]\d\.\d\d/);
      expect(text, name).not.toMatch(/\b(?:our|us|ours)\b/);
      expect(text, name).not.toMatch(/\b(\w{3,}) or \1\b/i);
      if (apparel === 'no-gi')
        expect(text.replace(/collar and sleeve|cross-sleeve/gi, ''), name).not.toMatch(
          /\b(?:sleeve|collar|lapel|cuff|jacket)/i,
        );
    }
  });

  it('is the same for the same request', () => {
    const [one] = classes;
    const again = classFrom(one!.plan.lesson!.root, one!.asked);
    expect(again).toEqual(one);
  });
});
