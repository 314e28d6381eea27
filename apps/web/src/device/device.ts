import { type KeptAside, keptAside } from './aside.ts';
import { carryOver } from './carryOver.ts';
import { type Cells, cells } from './cells.ts';
import { createDb, type Db } from './db.ts';
import { type KeptDocuments, keptDocuments } from './documents.ts';
import { type KeptRecords, keptRecords } from './records.ts';
import { type KeptRuns, keptRuns } from './runs.ts';

/** All that is kept on this device, in one database. */
export interface Device {
  db: Db;
  documents: KeptDocuments;
  records: KeptRecords;
  runs: KeptRuns;
  aside: KeptAside;
  cells: Cells;
  /** What this device is called in keys and records: the same for as long as the browser keeps its store. */
  name(): string;
  /** Opens it, takes over what older versions kept elsewhere, and reads what screens need at once. */
  begin(): Promise<void>;
}

const NAME = 'device';
/** Without an underscore: that ends the device's name in a key. */
const newName = (): string => crypto.randomUUID().slice(0, 8);

export function createDevice(database?: string): Device {
  const db = createDb(database);
  const kept = cells(db);
  let name: string | undefined;
  return {
    db,
    documents: keptDocuments(db),
    records: keptRecords(db),
    runs: keptRuns(db),
    aside: keptAside(db),
    cells: kept,
    name() {
      name ??= kept.setting<string>(NAME);
      if (name === undefined) {
        name = newName();
        kept.keepSetting(NAME, name);
      }
      return name;
    },
    async begin() {
      await kept.read();
      await carryOver(db, kept).catch(() => undefined);
    },
  };
}

/** The device that this page runs on. */
export const device = createDevice();
