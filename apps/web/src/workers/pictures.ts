import { type Position } from '@aftersquall/core/model';
import { type BodyFit, POSE_VERSION, type PosePicture, poseKey, type View } from '@aftersquall/core/pose';
import { type Remote, wrap } from 'comlink';
import { useEffect, useState } from 'react';
import type { PictureSize, Poser } from './poser.worker.ts';

/** Small for lists and cards, large to be looked at. */
export const PICTURE = {
  small: { width: 176, height: 132 },
  large: { width: 400, height: 300 },
} as const satisfies Record<string, PictureSize>;
export type PictureKind = keyof typeof PICTURE;

/** A picture as it is shown: the first one of something that is being changed is soon replaced. */
export interface ShownPicture extends PosePicture {
  first?: boolean;
}

interface Asked {
  name: string;
  work: (worker: Remote<Poser>) => Promise<void>;
}

/** Pictures of this screen, those that are being waited for, and those that wait to be drawn: what was asked last comes first. */
const drawn = new Map<string, PosePicture>();
const listeners = new Map<string, Set<(picture: ShownPicture) => void>>();
const waiting: Asked[] = [];
const MOST_WORKERS = 2;
const idle: Remote<Poser>[] = [];
let workers = 0;

/** A free worker; a new one while there are few. */
function takeWorker(): Remote<Poser> | undefined {
  const free = idle.pop();
  if (free) return free;
  if (workers >= Math.min(MOST_WORKERS, Math.max(1, (navigator.hardwareConcurrency ?? 2) - 1)))
    return undefined;
  workers++;
  return wrap<Poser>(new Worker(new URL('./poser.worker.ts', import.meta.url), { type: 'module' }));
}

async function drawNext(): Promise<void> {
  if (waiting.length === 0) return;
  const worker = takeWorker();
  if (!worker) return;
  const { work } = waiting.pop()!;
  try {
    await work(worker);
  } catch {
    // What cannot be drawn keeps its glyph.
  } finally {
    idle.push(worker);
    void drawNext();
  }
}

/** Pictures of another view than the usual one: so many are kept, the ones that were looked at last. */
const MAX_TURNED = 40;
const turned = new Set<string>();
function forgetTurned(latest: string): void {
  turned.delete(latest);
  turned.add(latest);
  for (const name of turned) {
    if (turned.size <= MAX_TURNED) return;
    if (listeners.has(name)) continue;
    turned.delete(name);
    drawn.delete(name);
  }
}

const keys = new WeakMap<Position, string>();
function keyOf(position: Position): string {
  const known = keys.get(position) ?? poseKey(position);
  keys.set(position, known);
  return known;
}

/** What is to be seen, from wherever. The pose is the same on both sides, the picture is not. */
const subjectOf = (position: Position, kind: PictureKind): string => {
  const side = `${position.leadSide}${JSON.stringify(position.holds.map(({ id, contacts }) => [id, contacts]))}`;
  return [POSE_VERSION, keyOf(position), kind, side].join(' ');
};
const nameOf = (position: Position, kind: PictureKind, view: View | undefined): string => {
  const seen = view ?? position.pose?.view;
  return [subjectOf(position, kind), seen?.azimuth, seen?.elevation].join(' ');
};

interface Wanted {
  kind: PictureKind;
  view?: View | undefined;
  /** Not wanted yet: it is not seen. */
  off?: boolean;
}

/** The picture of a position once it is drawn; while it is turned, the last one stays until the next is there. */
export function usePicture(
  position: Position,
  { kind, view, off = false }: Wanted,
): ShownPicture | undefined {
  const name = nameOf(position, kind, view);
  const subject = subjectOf(position, kind);
  const [shown, setShown] = useState<{ subject: string; picture: ShownPicture }>();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the name says all that the picture hangs on
  useEffect(() => {
    if (off) return;
    const tell = (picture: ShownPicture) => setShown({ subject, picture });
    const known = drawn.get(name);
    if (known) {
      tell(known);
      return;
    }
    const own = listeners.get(name) ?? new Set();
    listeners.set(name, own.add(tell));
    if (own.size === 1) {
      const work = async (worker: Remote<Poser>) => {
        // Of what is being worked on a first picture comes at once, the right one a moment later.
        const first = kind === 'large' ? await worker.firstPicture(position, PICTURE[kind], view) : undefined;
        if (first) for (const listener of listeners.get(name) ?? []) listener({ ...first, first: true });
        // A turned picture is looked at once: only those of the usual view are kept.
        const made = await worker.picture(position, PICTURE[kind], view, view ? undefined : name);
        drawn.set(name, made);
        if (view) forgetTurned(name);
        for (const listener of listeners.get(name) ?? []) listener(made);
      };
      waiting.push({ name, work });
      void drawNext();
    }
    return () => {
      own.delete(tell);
      if (own.size > 0) return;
      listeners.delete(name);
      const at = waiting.findIndex((asked) => asked.name === name);
      if (at >= 0) waiting.splice(at, 1);
    };
  }, [name, off]);
  return drawn.get(name) ?? (shown?.subject === subject ? shown.picture : undefined);
}

/** Pictures of a movement from one position to another, once they are drawn. */
export function useMovement(from: Position, to: Position, count: number): PosePicture[] | undefined {
  const name = `${nameOf(from, 'small', undefined)} → ${nameOf(to, 'small', undefined)} ${count}`;
  const [made, setMade] = useState<{ name: string; pictures: PosePicture[] }>();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the name says all that the pictures hang on
  useEffect(() => {
    let wanted = true;
    const work = async (worker: Remote<Poser>) => {
      if (!wanted) return;
      const pictures = await worker.movement(from, to, count, PICTURE.small);
      if (wanted) setMade({ name, pictures });
    };
    // It waits behind the pictures that are asked for.
    waiting.unshift({ name, work });
    void drawNext();
    return () => {
      wanted = false;
    };
  }, [name]);
  return made?.name === name ? made.pictures : undefined;
}

/** How a position fits other bodies; asked of a worker that is free. */
export function askFit(position: Position): Promise<BodyFit[]> {
  return new Promise((resolve, reject) => {
    const work = (worker: Remote<Poser>) => worker.fit(position, PICTURE.small).then(resolve, reject);
    waiting.push({ name: `fit ${keyOf(position)}`, work });
    void drawNext();
  });
}
