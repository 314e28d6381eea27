import type { PracticeRecord } from '@aftersquall/core/model';
import { format } from 'date-fns';
import { nanoid } from 'nanoid';

/** What every record of one session has. */
export interface InSession {
  map: string;
  session: string;
  /** The day of the class, by the club's clock. */
  date: string;
}

export const newKey = (): string => nanoid(16);
export const today = (): string => format(new Date(), 'yyyy-MM-dd');

type Given<R> = R extends PracticeRecord
  ? Omit<R, 'key' | 'at' | 'date' | 'map' | 'session'> & { key?: string }
  : never;

/** A record of now, with a key of its own. */
export const newRecord = ({ map, session, date }: InSession, given: Given<PracticeRecord>): PracticeRecord =>
  ({ key: newKey(), at: new Date().toISOString(), date, map, session, ...given }) as PracticeRecord;
