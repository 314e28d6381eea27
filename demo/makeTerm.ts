import { readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { CLASS_FORMAT, CLASS_VERSION, ClassSchema, ClubSchema, planTerm, termDates } from '@aftersquall/core';
import stringify from 'json-stringify-pretty-compact';
import { readDemo } from './readDemo.ts';

/** Writes the demo's term: a class file for every day of it, as the planner plans them. `npx tsx demo/makeTerm.ts` */
const here = (file: string) => new URL(file, import.meta.url);
const map = readDemo();
const { slots, holidays } = ClubSchema.parse(JSON.parse(readFileSync(here('kelpwick.club.json'), 'utf8')));
const asked = { people: 14, apparel: 'gi', level: 'intermediate', method: 'mixed' } as const;
const term = planTerm({
  ...asked,
  map,
  dates: termDates(slots, { from: '2026-12-01', weeks: 6, holidays }),
  themes: ['cross-sleeve-standing'],
});
for (const name of readdirSync(here('.'))) if (/^term-.*\.class\.json$/.test(name)) rmSync(here(name));
for (const [i, { date, start, minutes, name, planned }] of term.entries()) {
  const { lesson, blocks, leftOver } = planned;
  const { people, apparel } = asked;
  // The first one has a name of its own.
  const [id, named] = i === 0 ? ['tuesday', 'Tuesday: from the sleeve to the back'] : [`term-${i + 1}`, name];
  const head = { format: CLASS_FORMAT, version: CLASS_VERSION, id, name: named, map: map.id };
  const plan = ClassSchema.parse({
    ...head,
    minutes,
    people,
    apparel,
    when: { date, start },
    blocks,
    leftOver,
    lesson,
  });
  writeFileSync(here(`${id}.class.json`), `${stringify(plan, { maxLength: 110 })}\n`);
}
