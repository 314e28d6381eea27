import type { DataSourceOptions } from 'typeorm';
import { ClassRow } from '../classes/class.row.ts';
import { ChangeRow } from '../maps/rows/change.row.ts';
import { ENTITY_ROWS } from '../maps/rows/entityRows.ts';
import { MapRow } from '../maps/rows/map.row.ts';
import { FirstTables1764000000000 } from './migrations/1764000000000-FirstTables.ts';
import { History1764030000000 } from './migrations/1764030000000-History.ts';
import { Chains1764033600000 } from './migrations/1764033600000-Chains.ts';
import { WhatIfs1764037200000 } from './migrations/1764037200000-WhatIfs.ts';

/** How the database file is opened: WAL, foreign keys on, migrations run, never synchronised. */
export function databaseOptions(file: string): DataSourceOptions {
  return {
    type: 'better-sqlite3',
    database: file,
    enableWAL: true,
    prepareDatabase: (database: { pragma(sql: string): unknown }) => {
      database.pragma('foreign_keys = ON');
      database.pragma('synchronous = NORMAL');
    },
    entities: [MapRow, ChangeRow, ClassRow, ...Object.values(ENTITY_ROWS)],
    migrations: [FirstTables1764000000000, History1764030000000, Chains1764033600000, WhatIfs1764037200000],
    migrationsRun: true,
    migrationsTransactionMode: 'each',
  };
}
