import type { PracticeRecord } from '@aftersquall/core/model';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A fact of practice: what it is asked for by in columns, the whole in its body. */
@Entity('record')
export class RecordRow {
  @PrimaryColumn({ type: 'integer' }) seq: number;
  @Column({ type: 'text', unique: true }) key: string;
  @Column({ type: 'text' }) kind: string;
  @Column({ type: 'text' }) map: string;
  @Column({ type: 'text' }) date: string;
  @Column({ type: 'text' }) at: string;
  @Column({ type: 'text' }) session: string;
  @Column({ type: 'text', nullable: true }) class: string | null;
  @Column({ type: 'text', nullable: true }) exchange: string | null;
  @Column({ type: 'text', nullable: true }) athlete: string | null;
  @Column({ type: 'text', nullable: true }) resistance: string | null;
  @Column({ type: 'integer', nullable: true }) worked: number | null;
  @Column({ type: 'integer', nullable: true }) count: number | null;
  @Column({ type: 'text', nullable: true }) thing: string | null;
  @Column({ type: 'text', nullable: true }) fault: string | null;
  @Column({ type: 'text', nullable: true }) voids: string | null;
  @Column({ type: 'simple-json' }) body: PracticeRecord;
}

/** The columns of a row but for its number, which the table gives. */
export const ROW_COLUMNS = [
  'key',
  'kind',
  'map',
  'date',
  'at',
  'session',
  'class',
  'exchange',
  'athlete',
  'resistance',
  'worked',
  'count',
  'thing',
  'fault',
  'voids',
  'body',
] as const satisfies readonly (keyof RecordRow)[];

/** A record as it is kept, its body as text. */
export function rowOf(
  record: PracticeRecord,
): Omit<Record<(typeof ROW_COLUMNS)[number], unknown>, 'body'> & { body: string } {
  const { key, kind, map, date, at, session } = record;
  return {
    key,
    kind,
    map,
    date,
    at,
    session,
    class: 'class' in record ? (record.class ?? null) : null,
    exchange: 'exchange' in record ? record.exchange : null,
    athlete: 'athlete' in record ? (record.athlete?.id ?? null) : null,
    resistance: 'resistance' in record ? record.resistance : null,
    worked: 'worked' in record ? Number(record.worked) : null,
    count: 'count' in record ? record.count : null,
    thing: record.kind === 'fault' ? `${record.of} ${record.id}` : null,
    fault: record.kind === 'fault' ? record.fault : null,
    voids: record.kind === 'void' ? record.voids : null,
    body: JSON.stringify(record),
  };
}
