import { readdir, readFile } from 'node:fs/promises';
import path from 'node:path';
import { ClassSchema, parseMapFile } from '@aftersquall/core';
import type { INestApplication } from '@nestjs/common';
import { ClassesService } from './classes/classes.service.ts';
import { MapsService } from './maps/maps.service.ts';

/** Brings the maps (`*.map.json`) and classes (`*.class.json`) of a folder into an empty database. */
export async function seed(app: INestApplication, folder: string): Promise<void> {
  const maps = app.get(MapsService);
  if ((await maps.list()).length > 0) return;
  const files = (await readdir(folder)).sort();
  const read = (file: string) => readFile(path.join(folder, file), 'utf8');
  for (const file of files.filter((name) => name.endsWith('.map.json'))) {
    await maps.create(parseMapFile(await read(file)));
  }
  for (const file of files.filter((name) => name.endsWith('.class.json'))) {
    await app.get(ClassesService).save(ClassSchema.parse(JSON.parse(await read(file))), 0);
  }
}
