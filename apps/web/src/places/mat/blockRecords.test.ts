import { readFileSync } from 'node:fs';
import {
  ClassSchema,
  type DrilledBlock,
  matRun,
  type PracticeRecord,
  PracticeRecordSchema,
  parseMapFile,
  practiceOf,
} from '@aftersquall/core';
import { describe, expect, it } from 'vitest';
import { recordMade } from '../../../../../packages/core/src/test/practiceRecords.ts';
import { blockRecords, plannedOf, ranOf, wasReached } from './blockRecords.ts';
import { freshRun, type KeptRun } from './useRun.ts';

const club = (file: string) =>
  readFileSync(new URL(`../../../../../testing/club/${file}`, import.meta.url), 'utf8');
const map = parseMapFile(club('kelpwick.map.json'));
const plan = ClassSchema.parse(JSON.parse(club('tuesday.class.json')));
const run = (changes: Partial<KeptRun> = {}): KeptRun => ({
  ...freshRun(''),
  session: 'session-of-test',
  date: '2026-11-26',
  ...changes,
});
const drilled = plan.blocks.findIndex((block) => 'links' in block && 'reps' in block);
const kindOf = (records: PracticeRecord[]) => records.map(({ kind }) => kind);

describe('what is recorded of a block', () => {
  it('plans as many seconds as the clock has for it', () => {
    const all = matRun(plan).reduce((sum, { seconds }) => sum + seconds, 0);
    expect(plannedOf(plan).reduce((sum, seconds) => sum + seconds, 0)).toBe(all);
    expect(plannedOf(plan)).toHaveLength(plan.blocks.length);
  });

  it('is a good record, with the words of the map and what each partner did', () => {
    const block = plan.blocks[drilled]!;
    const planned = plannedOf(plan)[drilled]!;
    const [record] = blockRecords(plan, map, run(), drilled, planned);
    expect(() => PracticeRecordSchema.parse(record)).not.toThrow();
    if (record?.kind !== 'block' || !('reps' in block) || !('links' in block)) throw new Error('not drilled');
    expect(record).toMatchObject({ reached: true, ran: planned, planned, reps: block.reps * block.sides });
    expect(record.exchanges.map(({ exchange }) => exchange)).toEqual(
      block.links.map(({ exchange }) => exchange),
    );
    for (const { position, move } of record.exchanges) expect([position, move]).not.toContain('');
  });

  it('keeps the words of the class where the map is not there or has moved on', () => {
    const block = plan.blocks[drilled]!;
    const [record] = blockRecords(plan, undefined, run(), drilled, 100);
    if (record?.kind !== 'block' || !('links' in block)) throw new Error('not drilled');
    expect(record.exchanges.map(({ move }) => move)).toEqual(block.links.map(({ move }) => move));
  });

  it('counts as reached from a quarter of it on, with the reps there was time for, and never when nothing ran', () => {
    expect(wasReached(400, 99)).toBe(false);
    expect(wasReached(400, 100)).toBe(true);
    expect(wasReached(0, 0)).toBe(false);
    const whole = plannedOf(plan)[drilled]!;
    const { reps, sides } = plan.blocks[drilled] as DrilledBlock;
    const [half] = blockRecords(plan, map, run(), drilled, whole / 2);
    const [longer] = blockRecords(plan, map, run(), drilled, whole * 2);
    expect(half).toMatchObject({ reps: Math.round((reps * sides) / 2) });
    expect(longer).toMatchObject({ reps: reps * sides });
    const [missed] = blockRecords(plan, map, run(), drilled, 1);
    expect(missed).toMatchObject({ reached: false, reps: 0 });
  });

  it('takes the record before it back when a block is gone back to, and is the same record made twice', () => {
    const first = blockRecords(plan, map, run(), drilled, 100);
    const kept = run({ recorded: { [drilled]: { seconds: 100, key: first[0]!.key } } });
    const second = blockRecords(plan, map, kept, drilled, 160);
    expect(kindOf(second)).toEqual(['void', 'block']);
    const again = blockRecords(plan, map, kept, drilled, 160);
    expect(again.map(({ key }) => key)).toEqual(second.map(({ key }) => key));
    const session = recordMade({
      kind: 'session',
      session: kept.session,
      date: kept.date,
      map: plan.map,
      name: plan.name,
      people: plan.people,
      minutes: plan.minutes,
    });
    const { sessions } = practiceOf([session, ...first, ...second], { map: plan.map });
    expect(sessions[0]!.ran).toBe(160);
    expect(sessions[0]!.blocks).toBe(1);
  });

  it('says how long each ran to the millisecond, from the marks of the clock', () => {
    const segments = matRun(plan);
    const now = Date.now();
    const marks = [
      { at: now - 50_000, seconds: 0, running: true },
      { at: now - 38_766, seconds: 11.234, running: false },
    ];
    expect(ranOf({ segments, kept: run({ marks }) })).toEqual(new Map([[0, 11.234]]));
  });
});
