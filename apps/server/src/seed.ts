import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import { DOCUMENT_KIND_NAMES } from '@aftersquall/core';
import type { INestApplication } from '@nestjs/common';
import { parseDocument } from './documents/documentStore.ts';
import { DocumentsService } from './documents/documents.service.ts';

/** Brings the documents of a folder (`*.map.json`, `*.class.json`, …) into an empty database. */
export async function seed(app: INestApplication, folder: string): Promise<void> {
  const documents = app.get(DocumentsService);
  if ((await documents.list('map')).length > 0) return;
  const files = (await readdir(folder)).sort();
  for (const kind of DOCUMENT_KIND_NAMES) {
    for (const file of files.filter((name) => name.endsWith(`.${kind}.json`))) {
      await documents.create(
        kind,
        parseDocument(kind, JSON.parse(await readFile(path.join(folder, file), 'utf8'))),
      );
    }
  }
}
