import { describe, expect, it } from 'vitest';
import { smallMap } from '../../test/smallMap.ts';
import { practised, retained } from '../practise/memory.ts';
import { planTerm } from './planTerm.ts';
import { tellTerm } from './tellTerm.ts';
import { termDates } from './termDates.ts';

const slot = { id: 'a', weekday: 2, start: '18:30', minutes: 60 };
const dates = termDates([slot], { from: '2026-11-30', weeks: 12 });
const asked = { dates, themes: [], people: 14, apparel: 'gi', level: 'expert', method: 'mixed' } as const;

describe('a term over a map that is soon taught', () => {
  const { map } = { map: smallMap() };
  const term = planTerm({ ...asked, map });

  it('ends when nothing is left to teach, without losing what was planned', () => {
    expect(term.length).toBeGreaterThan(0);
    expect(term.length).toBeLessThan(dates.length);
    expect(term.map(({ date }) => date)).toEqual(dates.slice(0, term.length).map(({ date }) => date));
  });

  it('says of a class in the far future what has faded by then', () => {
    const lessons = term.map(({ date, start, planned: { lesson } }) => ({ id: date, date, start, lesson }));
    const [first] = lessons;
    const late = { ...first!, id: 'late', date: '2027-06-01', lesson: { ...first!.lesson, steps: [] } };
    const { classes } = tellTerm(map, [...lessons, late]);
    const { fading } = classes.at(-1)!;
    expect(fading.length).toBe(
      new Set(lessons.flatMap(({ lesson }) => lesson.steps.map(({ move }) => move))).size,
    );
    expect(fading.map(({ kept }) => kept)).toEqual(fading.map(({ kept }) => kept).sort((a, b) => a - b));
  });

  it('counts what was recorded of a class, not what was planned for it, and days that no class planned', () => {
    const [first] = term.map(({ date, start, planned: { lesson } }) => ({ id: date, date, start, lesson }));
    const [done, ...skipped] = first!.lesson.steps;
    const earlier = { date: '2026-11-01', moves: [{ move: 'elsewhere', name: 'Elsewhere' }] };
    const own = { date: first!.date, moves: [done!] };
    const { lines } = tellTerm(map, [{ ...first!, recorded: true }], { days: [earlier, own] });
    expect(lines.map(({ move, practised: on }) => [move, on])).toEqual([
      ['elsewhere', ['2026-11-01']],
      [done!.move, [first!.date]],
    ]);
    expect(lines[0]!.points[0]).toEqual({ date: '2026-11-01', kept: 1 });
    expect(lines.flatMap(({ move }) => skipped.filter((step) => step.move === move))).toEqual([]);
  });

  it('of no classes at all is silent', () => {
    expect(tellTerm(map, [])).toEqual({ classes: [], lines: [] });
  });
});

describe('a memory', () => {
  it('lasts longer each time it is practised while some of it is left', () => {
    const once = practised(undefined, '2026-12-01');
    const twice = practised(once, '2026-12-08');
    expect(retained(once, '2026-12-01')).toBe(1);
    expect(retained(once, '2026-12-08')).toBeLessThan(0.9);
    expect(retained(twice, '2026-12-15')).toBeGreaterThan(retained(once, '2026-12-08'));
  });
});
