import { applyCommand, type Command, diffDocuments, type GuardMap } from '@aftersquall/core';

/** The copy itself, in the worker. What an edit leaves alone stays the same object there, too. */
export function keepMap() {
  let kept: GuardMap | undefined;
  return {
    open(map: GuardMap): void {
      kept = map;
    },
    change(command: Command): void {
      kept = applyCommand(kept!, command).document;
    },
    map(): GuardMap {
      if (!kept) throw new Error('No map is open here.');
      return kept;
    },
  };
}

/** A worker that keeps such a copy, from outside. */
interface Keeper {
  open(map: GuardMap): Promise<void>;
  change(command: Command): Promise<void>;
}

/** Brings the copy of a worker up to a map: what has changed is sent, and the whole only where it is another map. */
export async function bringUpTo(keeper: Keeper, last: GuardMap | undefined, map: GuardMap): Promise<void> {
  if (last === map) return;
  if (last?.id === map.id) await keeper.change(diffDocuments(last, map));
  else await keeper.open(map);
}
