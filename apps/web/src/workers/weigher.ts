import type { GuardMap } from '@aftersquall/core';
import { type Remote, wrap } from 'comlink';
import type { MapWeigher } from './mapWeigher.ts';

export interface Engine {
  worker: Worker;
  remote: Remote<MapWeigher>;
}

/** A worker that weighs one map at a time; ending it ends what it is at. */
export function startWeigher(map?: GuardMap): Engine {
  const worker = new Worker(new URL('./weigher.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<MapWeigher>(worker);
  if (map) void remote.open(map);
  return { worker, remote };
}
