import { deleteDB, openDB } from 'idb';
import type { Cells } from './cells.ts';
import type { Db } from './db.ts';

const SETTINGS = 'aftersquall.settings';
const CHANGES = 'aftersquall';
const RECORDS = 'aftersquall-records';
const POSES = 'aftersquall-poses';
const DONE = 'carriedOver';
/** Single values that older versions kept in the browser's small store, with the setting each became. */
const SINGLE: Record<string, string> = {
  'aftersquall.device': 'device',
  'aftersquall.loudness': 'loudness',
  'aftersquall.bell': 'bell',
  'aftersquall.alias': 'alias',
};

/** Takes over what older versions kept in other places: settings, records on their way, single values. Each goes once it is here. */
export async function carryOver(db: Db, cells: Cells): Promise<void> {
  const settings = localStorage.getItem(SETTINGS);
  if (settings !== null) {
    for (const [key, value] of Object.entries(parsed(settings)))
      if (key === 'theme') localStorage.setItem('aftersquall.theme', String(value));
      else cells.keepSetting(key, value);
    localStorage.removeItem(SETTINGS);
  }
  for (const [old, key] of Object.entries(SINGLE)) {
    const value = localStorage.getItem(old);
    if (value === null) continue;
    // An underscore ends the device's name in a key.
    cells.keepSetting(key, key === 'device' ? value.replaceAll('_', '-') : value);
    localStorage.removeItem(old);
  }
  if (cells.setting<boolean>(DONE)) return;
  await carryChanges(db);
  await carryRecords(db);
  // They can be computed again. Nobody waits for it: an older tab may still use them.
  void deleteDB(POSES).catch(() => undefined);
  cells.keepSetting(DONE, true);
}

function parsed(text: string): object {
  try {
    return JSON.parse(text) as object;
  } catch {
    return {};
  }
}

/** Changes that wait in the database they had before. An older tab may still use it: it is emptied, never deleted. */
async function carryChanges(db: Db): Promise<void> {
  const old = await openDB(CHANGES);
  if (old.objectStoreNames.contains('changes')) {
    const changes = await old.getAll('changes');
    await db.write(['changes'], (store) => {
      for (const change of changes) void store('changes').put(change);
    });
    await old.clear('changes');
  }
  old.close();
}

/** Records that wait in the database they had before, and those the device showed. */
async function carryRecords(db: Db): Promise<void> {
  const old = await openDB(RECORDS);
  if (old.objectStoreNames.contains('waiting')) {
    const [waiting, own] = await Promise.all([old.getAll('waiting'), old.getAll('own')]);
    await db.write(['waiting', 'recorded'], (store) => {
      for (const record of waiting) void store('waiting').put(record);
      for (const record of own) void store('recorded').put(record);
    });
    await Promise.all([old.clear('waiting'), old.clear('own')]);
  }
  old.close();
}
