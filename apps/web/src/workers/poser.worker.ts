import '../jitless.ts';
import { addressOf, ROUTES } from '@aftersquall/core/contract';
import { type PoseRecord, type Position } from '@aftersquall/core/model';
import {
  type BodyFit,
  bodyFit,
  drawBetween,
  drawPose,
  type PosePicture,
  poseKey,
  solveFrom,
  solvePose,
  type View,
} from '@aftersquall/core/pose';
import { expose } from 'comlink';
import { DATABASE, type Database, openDatabase } from '../device/db.ts';

/** So many poses and so many pictures are kept on a device. */
const MOST_KEPT = 4000;

/** What was solved and drawn on this device; without it everything is solved again. */
const opened: Promise<Database | undefined> = openDatabase(DATABASE)
  .then(async (database) => {
    await Promise.all((['poses', 'pictures'] as const).map((store) => keepFew(database, store)));
    return database;
  })
  .catch(() => undefined);

/** Begins anew where more is kept than any map needs: what is asked for again comes from the server or is solved again. */
async function keepFew(database: Database, store: 'poses' | 'pictures'): Promise<void> {
  if ((await database.count(store)) > MOST_KEPT) await database.clear(store);
}

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

/** A picture that finds no room is drawn again next time. */
const noRoom = (): undefined => undefined;

/** How each position was posed last: where its next pose begins while it is being changed. */
const last = new Map<string, { position: Position; record: PoseRecord }>();

/** A pose that is known, on this device or on the server. */
async function knownPose(key: string): Promise<{ own?: PoseRecord; found?: PoseRecord; there: boolean }> {
  const own = await (await opened)?.get('poses', key);
  if (own) return { own, there: true };
  const answer = await ask<{ poses: Record<string, PoseRecord> }>('findPoses', { keys: [key] });
  const found = answer?.poses[key];
  return { ...(found && { found }), there: answer !== undefined };
}

/** A pose from this device, from the server, or solved now and kept in both. */
async function recordOf(position: Position): Promise<PoseRecord> {
  const record = await keptOrSolved(position);
  last.set(position.id, { position, record });
  return record;
}

async function keptOrSolved(position: Position): Promise<PoseRecord> {
  const key = poseKey(position);
  const { own, found, there } = await knownPose(key);
  if (own) return own;
  const record = found ?? solvePose(position);
  const database = await opened;
  await database?.put('poses', record, key).catch(noRoom);
  if (there && !found) void ask('keepPoses', { poses: { [key]: record } });
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
    if (name) await database?.put('pictures', picture, name).catch(noRoom);
    return picture;
  },

  /** A first picture while a position is being changed, from how it was posed last; nothing where it is known or new. */
  async firstPicture(
    position: Position,
    size: PictureSize,
    view: View | undefined,
  ): Promise<PosePicture | undefined> {
    const before = last.get(position.id);
    const key = poseKey(position);
    if (!before || poseKey(before.position) === key) return undefined;
    const { own, found } = await knownPose(key);
    if (own || found) return undefined;
    return drawPose(position, solveFrom(position, before), { ...size, view });
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
