import '../jitless.ts';
import {
  addressOf,
  type BodyFit,
  bodyFit,
  drawBetween,
  drawPose,
  type PosePicture,
  type PoseRecord,
  type Position,
  poseKey,
  ROUTES,
  solvePose,
  type View,
} from '@aftersquall/core';
import { expose } from 'comlink';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

interface PosesSchema extends DBSchema {
  records: { key: string; value: PoseRecord };
  pictures: { key: string; value: PosePicture };
}

/** What was solved and drawn on this device; without it everything is solved again. */
const opened: Promise<IDBPDatabase<PosesSchema> | undefined> = openDB<PosesSchema>('aftersquall-poses', 1, {
  upgrade(database) {
    database.createObjectStore('records');
    database.createObjectStore('pictures');
  },
}).catch(() => undefined);

async function ask<T>(route: 'findPoses' | 'keepPoses', body: unknown): Promise<T | undefined> {
  const { method } = ROUTES[route];
  const headers = { 'content-type': 'application/json' };
  try {
    const answer = await fetch(addressOf(ROUTES[route], { params: {}, query: {}, body } as never), {
      method,
      headers,
      body: JSON.stringify(body),
    });
    return answer.ok ? ((await answer.json()) as T) : undefined;
  } catch {
    // Without the server poses are solved here.
    return undefined;
  }
}

/** A pose from this device, from the server, or solved now and kept in both. */
async function recordOf(position: Position): Promise<PoseRecord> {
  const key = poseKey(position);
  const database = await opened;
  const own = await database?.get('records', key);
  if (own) return own;
  const found = await ask<{ poses: Record<string, PoseRecord> }>('findPoses', { keys: [key] });
  const record = found?.poses[key] ?? solvePose(position);
  await database?.put('records', record, key);
  if (found && !found.poses[key]) void ask('keepPoses', { poses: { [key]: record } });
  return record;
}

export interface PictureSize {
  width: number;
  height: number;
}

const poser = {
  /**
   * The picture of a position.
   * @param name under which it is kept on this device; none where it is not kept
   */
  async picture(
    position: Position,
    size: PictureSize,
    view: View | undefined,
    name: string | undefined,
  ): Promise<PosePicture> {
    const database = await opened;
    const known = name ? await database?.get('pictures', name) : undefined;
    if (known) return known;
    const picture = drawPose(position, await recordOf(position), { ...size, view });
    if (name) await database?.put('pictures', picture, name);
    return picture;
  },

  /** A movement between two positions as pictures that follow one another. */
  async movement(from: Position, to: Position, count: number, size: PictureSize): Promise<PosePicture[]> {
    const [start, end] = await Promise.all([recordOf(from), recordOf(to)]);
    return drawBetween({ position: from, record: start }, { position: to, record: end }, count, size);
  },

  /** How a position fits other bodies than average ones. */
  async fit(position: Position, size: PictureSize): Promise<BodyFit[]> {
    return bodyFit(position, await recordOf(position), size);
  },
};
export type Poser = typeof poser;

expose(poser);
