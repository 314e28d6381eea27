import { applyCommand, type Command, diffDocuments } from '@aftersquall/core/documents';
import { type GuardMap } from '@aftersquall/core/model';

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

/**
 * A way to ask a worker about a map: its copy is brought up to that first. What has changed is sent, and the whole only
 * where it is another map, or where the copy could not follow.
 */
export function mirrorMap<K extends Keeper>(keeper: K) {
  let last: GuardMap | undefined;
  const bringUpTo = async (map: GuardMap): Promise<void> => {
    const before = last;
    last = map;
    if (before === map) return;
    if (before?.id !== map.id) await keeper.open(map);
    else await keeper.change(diffDocuments(before, map));
  };
  return async <T>(map: GuardMap, question: (keeper: K) => Promise<T>): Promise<T> => {
    const upToDate = bringUpTo(map).catch((error) => {
      last = undefined;
      throw error;
    });
    // Asked in the same breath: the worker takes one thing after the other.
    const [answer] = await Promise.all([question(keeper), upToDate]);
    return answer;
  };
}
