import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import { type DocumentKindName, type DocumentOf } from '@aftersquall/core/documents';
import { bookErrorText, type GuardBook, parseGuardBook, upgradeMap } from '@aftersquall/core/formats';
import { PoseRecordSchema, PracticeRecordSchema } from '@aftersquall/core/model';
import type { INestApplication } from '@nestjs/common';
import { format } from 'date-fns';
import { z } from 'zod';
import { parseDocument } from './documents/documentStore.ts';
import { DocumentsService } from './documents/documents.service.ts';
import { nearToday } from './nearToday.ts';
import { PosesService } from './poses/poses.service.ts';
import { RecordsService } from './records/records.service.ts';

/** Poses that were solved beforehand, by key. */
const POSES = 'poses.json';
/** What was practised so far. */
const RECORDS = 'records.json';

/** The guard book of a folder, if there is one: it holds what the folder's map is made of. */
async function readBook(folder: string): Promise<GuardBook | undefined> {
  const names = await readdir(path.join(folder, 'book')).catch(() => undefined);
  if (!names) return undefined;
  const files = await Promise.all(
    names
      .filter((name) => name.endsWith('.md'))
      .map(async (name) => ({ name, text: await readFile(path.join(folder, 'book', name), 'utf8') })),
  );
  const { book, errors } = parseGuardBook(files);
  if (errors.length > 0) throw new Error(errors.map(bookErrorText).join('\n'));
  return book;
}

/** What a folder holds of a kind of document: `*.map.json`, `*.class.json`, … */
async function readKind<K extends DocumentKindName>(
  folder: string,
  files: readonly string[],
  kind: K,
  whole: (data: object) => unknown = (data) => data,
): Promise<DocumentOf<K>[]> {
  const own = files.filter((name) => name.endsWith(`.${kind}.json`));
  return Promise.all(
    own.map(async (file) => {
      const data: object = JSON.parse(await readFile(path.join(folder, file), 'utf8'));
      return parseDocument(kind, whole(data)) as DocumentOf<K>;
    }),
  );
}

/**
 * Brings the documents and records of a folder into an empty database. Where the folder has a guard book (`book/*.md`),
 * its map is made of that and has only the rest in its file.
 * @param today the day near which what the folder recorded and planned is brought, year-month-day
 */
export async function seed(
  app: INestApplication,
  folder: string,
  today = format(new Date(), 'yyyy-MM-dd'),
): Promise<void> {
  const documents = app.get(DocumentsService);
  if ((await documents.list('map')).length > 0) return;
  const files = (await readdir(folder)).sort();
  const book = await readBook(folder);
  const readIf = async <T>(file: string, schema: z.ZodType<T>): Promise<T | undefined> =>
    files.includes(file)
      ? schema.parse(JSON.parse(await readFile(path.join(folder, file), 'utf8')))
      : undefined;
  const poses = await readIf(POSES, z.record(z.string(), PoseRecordSchema));
  if (poses) await app.get(PosesService).keep(poses);
  const { records, classes, clubs } = nearToday(
    {
      records: (await readIf(RECORDS, z.array(PracticeRecordSchema))) ?? [],
      classes: await readKind(folder, files, 'class'),
      clubs: await readKind(folder, files, 'club'),
    },
    today,
  );
  if (records.length > 0) await app.get(RecordsService).keep(records);
  for (const map of await readKind(folder, files, 'map', (data) => upgradeMap({ ...data, ...book })))
    await documents.create('map', map);
  for (const plan of classes) await documents.create('class', plan);
  for (const club of clubs) await documents.create('club', club);
}
