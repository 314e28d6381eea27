import { readdirSync, readFileSync } from 'node:fs';
import { printCalendar } from '@aftersquall/core/formats';
import {
  type DatedLesson,
  FADING,
  movesOfLesson,
  type PlannedTermClass,
  planTerm,
  tellTerm,
  termDates,
} from '@aftersquall/core/lesson';
import {
  CLASS_FORMAT,
  CLASS_VERSION,
  type ClassPlan,
  ClassSchema,
  type GuardMap,
  indexMap,
} from '@aftersquall/core/model';
import ICAL from 'ical.js';
import { beforeAll, describe, expect, it } from 'vitest';
import { demoTerm } from './demoTerm.ts';
import { readDemo } from './readDemo.ts';

const SLOTS = [
  { id: 'tue', weekday: 2, start: '18:30', minutes: 60 },
  { id: 'thu', weekday: 4, start: '19:00', minutes: 75 },
];
const WEEKS = { from: '2026-11-30', weeks: 4 };
const HOLIDAY = { id: 'midwinter', name: 'Midwinter', from: '2026-12-14', to: '2026-12-20' };

describe('when classes are held', () => {
  it('every time of the week, in order, without the holidays', () => {
    expect(termDates(SLOTS, { ...WEEKS, holidays: [HOLIDAY] })).toEqual(
      ['2026-12-01', '2026-12-03', '2026-12-08', '2026-12-10', '2026-12-22', '2026-12-24'].map((date, i) =>
        i % 2 === 0 ? { date, start: '18:30', minutes: 60 } : { date, start: '19:00', minutes: 75 },
      ),
    );
  });
});

describe('a term', () => {
  let map: GuardMap;
  let classes: PlannedTermClass[];
  let told: [number, number][];
  const asked = {
    dates: termDates(SLOTS, { ...WEEKS, holidays: [HOLIDAY] }),
    themes: ['cross-sleeve-standing'],
    people: 14,
    apparel: 'gi',
    level: 'intermediate',
    method: 'mixed',
  } as const;
  const dated = (list: readonly PlannedTermClass[]): DatedLesson[] =>
    list.map(({ date, start, planned: { lesson } }) => ({ id: date, date, start, lesson }));
  beforeAll(() => {
    map = readDemo();
    told = [];
    classes = planTerm({ ...asked, map }, (done, total) => told.push([done, total]));
  });

  it('has a class on every date, each told of as it is planned, the same each time', () => {
    expect(classes.map(({ date }) => date)).toEqual(asked.dates.map(({ date }) => date));
    expect(told).toEqual(classes.map((_, i) => [i + 1, classes.length]));
    expect(planTerm({ ...asked, map })).toEqual(classes);
  });

  it('counts classes that are there already from their day on, with what found no time in them', () => {
    const [first] = classes;
    const { lesson, blocks } = first!.planned;
    const last = blocks.findLast((block) => block.kind === 'link');
    const leftOver = last?.kind === 'link' ? last.links.slice(0, 1).map(({ exchange }) => exchange) : [];
    const held = [{ date: asked.dates[1]!.date, moves: movesOfLesson(lesson), leftOver }];
    const around = planTerm({ ...asked, map, held });
    // The day before it knows nothing of it; from its day on what it taught is known.
    expect(around[0]!.planned.lesson.steps).toEqual(lesson.steps);
    const [second] = around.slice(1);
    expect(leftOver.length).toBeGreaterThan(0);
    expect(second!.planned.lesson.returns.map(({ exchange }) => exchange)).toContain(leftOver[0]);
    for (const { move } of second!.planned.lesson.steps)
      expect(lesson.steps.map((step) => step.move)).not.toContain(move);
  });

  it('begins with its theme, goes on with it while it gives something, and teaches nothing twice', () => {
    expect(classes[0]!.planned.lesson.root).toBe('cross-sleeve-standing');
    const taught = classes.flatMap(({ planned }) => planned.lesson.steps.map(({ move }) => move));
    expect(new Set(taught).size).toBe(taught.length);
    for (const [i, { planned }] of classes.entries()) {
      const before = classes.slice(0, i).flatMap((one) => one.planned.lesson.steps.map(({ move }) => move));
      expect(planned.lesson.known.toSorted()).toEqual(before.toSorted());
    }
  });

  it('brings back first what found no time and what fades, within a fifth of the class', () => {
    const [, second] = classes;
    for (const [i, { minutes, planned }] of classes.entries()) {
      const again = planned.blocks.filter(({ id }) => id.startsWith('again-'));
      // One flow of all that comes back, never a block each.
      expect(again.length).toBe(Math.min(1, planned.lesson.returns.length));
      expect(again.flatMap((block) => ('links' in block ? block.links : []))).toHaveLength(
        planned.lesson.returns.length,
      );
      expect(planned.total).toBeLessThanOrEqual(minutes * 60);
      const firstNew = planned.blocks.findIndex(({ kind }) => kind === 'link' || kind === 'setup');
      for (const block of again) expect(planned.blocks.indexOf(block)).toBeLessThan(firstNew);
      const carried = new Set(classes[i - 1]?.planned.leftOver);
      for (const { exchange, why } of planned.lesson.returns)
        expect(why.includes('not reached')).toBe(carried.has(exchange));
    }
    // Two days after the first class nothing of it has faded yet; what found no time may be back.
    expect(second!.planned.lesson.returns.every(({ why }) => why.includes('not reached'))).toBe(true);
    expect(
      classes.some(({ planned }) => planned.lesson.returns.some(({ why }) => /still fresh/.test(why))),
    ).toBe(true);
  });

  it('stands on nothing that is not taught; dragged out of order it says what it broke', () => {
    expect(tellTerm(map, dated(classes)).classes.flatMap(({ broken }) => broken)).toEqual([]);
    // One lesson's later moves on the first day, before those that lead to them.
    const { steps, ...lesson } = classes[0]!.planned.lesson;
    const index = indexMap(map);
    const deep = steps.filter(({ move }) => index.move.get(move)!.position !== lesson.root);
    const plain = steps.filter((step) => !deep.includes(step));
    expect(deep.length).toBeGreaterThan(0);
    const day = (id: string, own: typeof steps, date: string): DatedLesson => ({
      id,
      date,
      start: '18:30',
      lesson: { ...lesson, steps: own, returns: [] },
    });
    const turned = tellTerm(map, [day('plain', plain, '2026-12-08'), day('deep', deep, '2026-12-01')]);
    expect(turned.classes.map(({ id }) => id)).toEqual(['deep', 'plain']);
    expect(turned.classes[0]!.broken.join(' ')).toMatch(/begins in .*only taught on 2026-12-08/);
    const inOrder = tellTerm(map, [day('plain', plain, '2026-12-01'), day('deep', deep, '2026-12-08')]);
    expect(inOrder.classes.flatMap(({ broken }) => broken)).toEqual([]);
  });

  it('says of every move what is kept of it, day by day: all of it on the day, less each day after', () => {
    const until = '2027-01-10';
    const { lines, classes: stories } = tellTerm(map, dated(classes), { until });
    expect(lines.length).toBe(
      new Set(classes.flatMap(({ planned }) => planned.lesson.steps.map(({ move }) => move))).size,
    );
    for (const { points, practised } of lines) {
      expect(points[0]).toEqual({ date: practised[0], kept: 1 });
      expect(points.at(-1)!.date).toBe(until);
      for (const [i, { date, kept }] of points.entries()) {
        if (practised.includes(date)) expect(kept).toBe(1);
        else expect(kept).toBeLessThan(points[i - 1]!.kept);
      }
    }
    for (const { fading } of stories) for (const { kept } of fading) expect(kept).toBeLessThan(FADING);
  });

  it('goes out as a calendar that another program reads', () => {
    const plans = classes.map(({ date, start, minutes, name, planned }): ClassPlan => {
      const head = { format: CLASS_FORMAT, version: CLASS_VERSION, id: `c-${date}`, name, map: map.id };
      const { blocks, leftOver, lesson } = planned;
      const when = { date, start };
      return ClassSchema.parse({
        ...head,
        minutes,
        people: 14,
        apparel: 'gi',
        when,
        blocks,
        leftOver,
        lesson,
      });
    });
    const { when: _, ...undated } = plans[0]!;
    const text = printCalendar([...plans, { ...undated, id: 'undated' }], {
      name: 'Kelpwick; classes, all',
      stamp: new Date('2026-11-26T12:00:00Z'),
    });
    expect(text.split('\r\n').every((line) => new TextEncoder().encode(line).length <= 75)).toBe(true);
    const calendar = new ICAL.Component(ICAL.parse(text));
    expect(calendar.getFirstPropertyValue('version')).toBe('2.0');
    const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
    expect(events.map(({ summary }) => summary)).toEqual(plans.map(({ name }) => name));
    for (const [i, { startDate, endDate, description, uid }] of events.entries()) {
      const { when, minutes, blocks, id } = plans[i]!;
      // By the club's own clock: no time zone.
      expect(startDate.zone).toBe(ICAL.Timezone.localTimezone);
      expect(startDate.toString()).toBe(`${when!.date}T${when!.start}:00`);
      expect(endDate.subtractDate(startDate).toSeconds()).toBe(minutes * 60);
      expect(description.split('\n').length).toBe(blocks.length);
      expect(uid).toBe(`${id}@aftersquall`);
    }
  });
});

describe('the demo’s term', () => {
  it('is what the planner plans today', () => {
    const files = readdirSync(new URL('.', import.meta.url)).filter((name) => name.endsWith('.class.json'));
    const plans = demoTerm(readDemo());
    expect(files.sort()).toEqual(plans.map(({ id }) => `${id}.class.json`).sort());
    for (const plan of plans) {
      const file = readFileSync(new URL(`${plan.id}.class.json`, import.meta.url), 'utf8');
      expect(ClassSchema.parse(JSON.parse(file))).toEqual(plan);
    }
    // What went wrong lately is for the class that comes next, and it begins from ten weeks of records.
    expect(plans.map(({ lesson }) => lesson!.faults.length)).toEqual(plans.map((_, i) => (i === 0 ? 3 : 0)));
    expect(plans[0]!.lesson!.known.length).toBeGreaterThan(20);
  });
});
