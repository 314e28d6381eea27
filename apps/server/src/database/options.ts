import Database from 'libsql';
import type { DataSourceOptions } from 'typeorm';
import { FirstTables1764000000000 } from './migrations/1764000000000-FirstTables.ts';
import { History1764030000000 } from './migrations/1764030000000-History.ts';
import { Chains1764033600000 } from './migrations/1764033600000-Chains.ts';
import { WhatIfs1764037200000 } from './migrations/1764037200000-WhatIfs.ts';
import { Documents1764200000000 } from './migrations/1764200000000-Documents.ts';
import { Mechanics1764300000000 } from './migrations/1764300000000-Mechanics.ts';
import { BlockKinds1764400000000 } from './migrations/1764400000000-BlockKinds.ts';
import { Poses1764500000000 } from './migrations/1764500000000-Poses.ts';
import { Records1764600000000 } from './migrations/1764600000000-Records.ts';
import { RemovedAnew1764700000000 } from './migrations/1764700000000-RemovedAnew.ts';
import { ChangeRow, DocumentRow, EntityRow } from './rows/documentRows.ts';
import { PoseRow } from './rows/poseRow.ts';
import { RecordRow } from './rows/recordRow.ts';

/**
 * How the database file is opened: WAL, every commit on disk before it is confirmed, foreign keys on, migrations run,
 * never synchronised. The driver has the interface of better-sqlite3, with its binary inside its package.
 */
export function databaseOptions(file: string): DataSourceOptions {
  return {
    type: 'better-sqlite3',
    driver: Database,
    database: file,
    enableWAL: true,
    prepareDatabase: (database: { pragma(sql: string): unknown }) => {
      database.pragma('foreign_keys = ON');
      database.pragma(
        `synchronous = ${process.env.AFTERSQUALL_SYNCHRONOUS === 'NORMAL' ? 'NORMAL' : 'FULL'}`,
      );
    },
    entities: [DocumentRow, EntityRow, ChangeRow, PoseRow, RecordRow],
    migrations: [
      FirstTables1764000000000,
      History1764030000000,
      Chains1764033600000,
      WhatIfs1764037200000,
      Documents1764200000000,
      Mechanics1764300000000,
      BlockKinds1764400000000,
      Poses1764500000000,
      Records1764600000000,
      RemovedAnew1764700000000,
    ],
    migrationsRun: true,
    migrationsTransactionMode: 'each',
  };
}
