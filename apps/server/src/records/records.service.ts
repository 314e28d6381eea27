import { practiceOf } from '@aftersquall/core/log';
import {
  type Practice,
  type PracticeFilter,
  type PracticeRecord,
  type RecallPast,
  standing,
} from '@aftersquall/core/model';
import { Injectable } from '@nestjs/common';
import type { EntityManager } from 'typeorm';
import { RecordRow, ROW_COLUMNS, rowOf } from '../database/rows/recordRow.ts';
import { WriteQueue } from '../database/writeQueue.ts';
import { LiveChanges } from '../documents/liveChanges.ts';

/** Kinds that are few: they are summed up by the core. Trials and faults are many: the table sums them up. */
const FEW = ['session', 'attended', 'block', 'note', 'grade', 'recall', 'blend'];
/** All rows in one statement, handed over as one text: thousands at once are usual after a week without a network. */
const INSERT = `INSERT OR IGNORE INTO record (${ROW_COLUMNS.join(', ')})
  SELECT ${ROW_COLUMNS.map((column) => `json_extract(value, '$.${column}')`).join(', ')} FROM json_each(?)`;

const STANDS = 'key NOT IN (SELECT voids FROM record WHERE voids IS NOT NULL)';

interface Where {
  sql: string;
  values: unknown[];
}

/** The records that a filter leaves. */
function whereOf({ map, from, to, class: of, athlete }: PracticeFilter, kind: string): Where {
  const parts: [string, ...unknown[]][] = [
    ['map = ?', map],
    ['kind = ?', kind],
  ];
  if (from) parts.push(['date >= ?', from]);
  if (to) parts.push(['date <= ?', to]);
  if (of) {
    const { sql, values } = whereOf({ map, from, to }, 'session');
    parts.push([`session IN (SELECT session FROM record WHERE class = ? AND ${sql})`, of, ...values]);
  }
  if (athlete && kind === 'trial') parts.push(['athlete = ?', athlete]);
  return {
    sql: `${parts.map(([sql]) => sql).join(' AND ')} AND ${STANDS}`,
    values: parts.flatMap(([, ...values]) => values),
  };
}

/** Keeps facts of practice, each exactly once, and sums them up. */
@Injectable()
export class RecordsService {
  constructor(
    private readonly queue: WriteQueue,
    private readonly live: LiveChanges,
  ) {}

  /** Keeps records in the order in which they come. One whose key is known already stays as it was first kept. */
  async keep(records: readonly PracticeRecord[]): Promise<{ kept: number; known: number }> {
    const rows = records.map(rowOf);
    const kept = await this.queue.transaction(async (manager) => {
      const keys = JSON.stringify([...new Set(records.map(({ key }) => key))]);
      const before = await known(manager, keys);
      await manager.query(INSERT, [JSON.stringify(rows)]);
      return (await known(manager, keys)) - before;
    });
    if (kept > 0)
      for (const map of new Set(records.map((record) => record.map)))
        this.live.tell({ type: 'records', data: { map } });
    return { kept, known: records.length - kept };
  }

  /** All that stands of one session, oldest first. */
  async ofSession(session: string): Promise<PracticeRecord[]> {
    const rows = await this.queue.read((manager) =>
      manager.find(RecordRow, { where: { session }, order: { at: 'ASC', seq: 'ASC' } }),
    );
    return standing(rows.map(({ body }) => body));
  }

  /** Every try, oldest first. */
  trials(filter: PracticeFilter): Promise<PracticeRecord[]> {
    return this.queue.read(async (manager) => {
      const { sql, values } = whereOf(filter, 'trial');
      const rows: { body: string }[] = await manager.query(
        `SELECT body FROM record WHERE ${sql} ORDER BY at, seq`,
        values,
      );
      return rows.map(({ body }) => JSON.parse(body) as PracticeRecord);
    });
  }

  /** What somebody answered in the quiz of a map, and what was taught from it. */
  async recall(map: string, alias: string): Promise<RecallPast> {
    const few = await this.queue.read((manager) => bodiesOf(manager, { map }, ['block', 'recall']));
    const { taught, recalled } = practiceOf(few, { map });
    return {
      taught: [...new Set(taught.map(({ exchange }) => exchange))],
      recalled: recalled
        .filter((one) => one.alias === alias)
        .map(({ exchange, date, right, asked }) => ({ exchange, date, right, asked })),
    };
  }

  practice(filter: PracticeFilter): Promise<Practice> {
    return this.queue.read(async (manager) => {
      const practice = practiceOf(await bodiesOf(manager, filter, FEW), filter);
      const counts = await countsBySession(manager, filter);
      return {
        ...practice,
        trials: await sumTrials(manager, filter),
        faults: await sumFaults(manager, filter),
        sessions: practice.sessions.map((session) => ({
          ...session,
          trials: counts.trial.get(session.session) ?? 0,
          faults: counts.fault.get(session.session) ?? 0,
        })),
      };
    });
  }
}

/** The records of some kinds that a filter leaves, in the order in which they came. */
async function bodiesOf(
  manager: EntityManager,
  filter: PracticeFilter,
  kinds: readonly string[],
): Promise<PracticeRecord[]> {
  const bodies: PracticeRecord[] = [];
  for (const kind of kinds) {
    // What blends began from is asked of all time.
    const { sql, values } = whereOf(kind === 'blend' ? { map: filter.map } : filter, kind);
    const rows: { body: string }[] = await manager.query(
      `SELECT body FROM record WHERE ${sql} ORDER BY seq`,
      values,
    );
    bodies.push(...rows.map(({ body }) => JSON.parse(body) as PracticeRecord));
  }
  return bodies;
}

/** How many of some keys are kept. */
const known = async (manager: EntityManager, keys: string): Promise<number> =>
  Number(
    (
      await manager.query('SELECT count(*) AS n FROM record WHERE key IN (SELECT value FROM json_each(?))', [
        keys,
      ])
    )[0].n,
  );

/** Exchanges by resistance: summed up from the index alone, then the words of the latest of each. */
export function trialSums(filter: PracticeFilter): Where {
  const { sql, values } = whereOf(filter, 'trial');
  return {
    sql: `SELECT sums.*, latest.body FROM (
        SELECT exchange, resistance, SUM(worked * count) AS worked, SUM(count) AS tried,
          MAX(at || ' ' || key) AS latest
        FROM record WHERE ${sql} GROUP BY exchange, resistance
      ) sums JOIN record latest ON latest.key = substr(sums.latest, instr(sums.latest, ' ') + 1)
      ORDER BY latest.seq`,
    values,
  };
}

async function sumTrials(manager: EntityManager, filter: PracticeFilter): Promise<Practice['trials']> {
  const { sql, values } = trialSums(filter);
  const rows: { worked: number; tried: number; resistance: string; body: string }[] = await manager.query(
    sql,
    values,
  );
  return rows.map(({ worked, tried, resistance, body }) => {
    const { exchange, position, move, meets } = JSON.parse(body) as Extract<
      PracticeRecord,
      { kind: 'trial' }
    >;
    return {
      exchange,
      position,
      move,
      meets,
      resistance: resistance as Practice['trials'][number]['resistance'],
      worked,
      tried,
    };
  });
}

/** Faults by the Monday of their week. */
async function sumFaults(manager: EntityManager, filter: PracticeFilter): Promise<Practice['faults']> {
  const { sql, values } = whereOf(filter, 'fault');
  const rows: { week: string; count: number; body: string }[] = await manager.query(
    `SELECT date(date, 'weekday 0', '-6 days') AS week, SUM(count) AS count, MAX(at) AS latest, body
     FROM record WHERE ${sql} GROUP BY week, thing, fault ORDER BY MIN(seq)`,
    values,
  );
  return rows.map(({ week, count: times, body }) => {
    const { of, id, name, fault, falsePositive } = JSON.parse(body) as Extract<
      PracticeRecord,
      { kind: 'fault' }
    >;
    return { week, of, id, name, fault, falsePositive, count: times };
  });
}

/** How much was counted in each session. */
async function countsBySession(manager: EntityManager, filter: PracticeFilter) {
  const of = async (kind: 'trial' | 'fault') => {
    const { athlete: _, ...group } = filter;
    const { sql, values } = whereOf(group, kind);
    const rows: { session: string; n: number }[] = await manager.query(
      `SELECT session, SUM(count) AS n FROM record WHERE ${sql} GROUP BY session`,
      values,
    );
    return new Map(rows.map(({ session, n }) => [session, n]));
  };
  return { trial: await of('trial'), fault: await of('fault') };
}
