import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import {
  bookErrorText,
  DOCUMENT_KIND_NAMES,
  type GuardBook,
  PoseRecordSchema,
  PracticeRecordSchema,
  parseGuardBook,
  upgradeMap,
} from '@aftersquall/core';
import type { INestApplication } from '@nestjs/common';
import { z } from 'zod';
import { parseDocument } from './documents/documentStore.ts';
import { DocumentsService } from './documents/documents.service.ts';
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

/**
 * Brings the documents of a folder (`*.map.json`, `*.class.json`, …) into an empty database. Where the folder has a guard
 * book (`book/*.md`), its map is made of that and has only the rest in its file.
 */
export async function seed(app: INestApplication, folder: string): Promise<void> {
  const documents = app.get(DocumentsService);
  if ((await documents.list('map')).length > 0) return;
  const files = (await readdir(folder)).sort();
  const book = await readBook(folder);
  if (files.includes(POSES))
    await app
      .get(PosesService)
      .keep(
        z
          .record(z.string(), PoseRecordSchema)
          .parse(JSON.parse(await readFile(path.join(folder, POSES), 'utf8'))),
      );
  if (files.includes(RECORDS))
    await app
      .get(RecordsService)
      .keep(
        z.array(PracticeRecordSchema).parse(JSON.parse(await readFile(path.join(folder, RECORDS), 'utf8'))),
      );
  for (const kind of DOCUMENT_KIND_NAMES) {
    for (const file of files.filter((name) => name.endsWith(`.${kind}.json`))) {
      const data: object = JSON.parse(await readFile(path.join(folder, file), 'utf8'));
      const whole = kind === 'map' ? upgradeMap({ ...data, ...book }) : data;
      await documents.create(kind, parseDocument(kind, whole));
    }
  }
}
