import { applyCommand, batch, type Command, commandWords, emptyMap, type GuardMap } from '@aftersquall/core';
import { ConflictException, Injectable, NotFoundException } from '@nestjs/common';
import { type EntityManager, IsNull, LessThan, MoreThan, Not } from 'typeorm';
import { WriteQueue } from '../database/writeQueue.ts';
import { insertMap, loadMap, saveChange } from './mapStore.ts';
import { ChangeRow } from './rows/change.row.ts';
import { MapRow } from './rows/map.row.ts';

export interface StoredMap {
  revision: number;
  map: GuardMap;
}

/** One line of a map's history. */
export interface Change {
  revision: number;
  at: string;
  who: string;
  what: string;
}

const HISTORY_PAGE = 100;

/** Maps by id: read whole, changed by commands, one transaction each. Keeps those in use in memory. */
@Injectable()
export class MapsService {
  private readonly open = new Map<string, StoredMap>();

  constructor(private readonly queue: WriteQueue) {}

  list(): Promise<MapRow[]> {
    return this.queue.read((manager) =>
      manager.find(MapRow, { where: { removedAt: IsNull() }, order: { createdAt: 'ASC', id: 'ASC' } }),
    );
  }

  async get(id: string): Promise<StoredMap> {
    return (
      this.open.get(id) ??
      this.queue.read(async (manager) => this.remember(id, this.open.get(id) ?? (await loadMap(manager, id))))
    );
  }

  /** A new map, empty or as given. A map with its id must not exist. */
  async create(map: GuardMap): Promise<StoredMap> {
    await this.queue.transaction(async (manager) => {
      const known = await manager.findOneBy(MapRow, { id: map.id });
      if (known) {
        throw new ConflictException({
          message: `There is already a map "${map.id}"${known.removedAt ? ', which was removed and can be had back' : ''}.`,
        });
      }
      await insertMap(manager, map);
    });
    return this.remember(map.id, { revision: 1, map });
  }

  createEmpty(id: string, name: string): Promise<StoredMap> {
    return this.create(emptyMap(id, name));
  }

  /**
   * Applies commands to the revision they were made for, as one change.
   * A stale revision is answered by 409 with the map as it is; a refused command by 400 with its paths.
   */
  async change(
    id: string,
    revision: number,
    commands: Command[],
    who = '',
  ): Promise<StoredMap & { inverse: Command }> {
    const changed = await this.queue.transaction(async (manager) => {
      const stored = this.remember(id, this.open.get(id) ?? (await loadMap(manager, id)));
      if (stored.revision !== revision) {
        throw new ConflictException({
          message: `The map has moved on to revision ${stored.revision}; this change was made for ${revision}.`,
          ...stored,
        });
      }
      const command = commands.length === 1 ? commands[0]! : batch(commands);
      const applied = applyCommand(stored.map, command);
      const next = { revision: revision + 1, map: applied.map };
      await saveChange(manager, applied, next.revision);
      await manager.insert(ChangeRow, {
        mapId: id,
        revision: next.revision,
        command,
        inverse: applied.inverse,
        at: new Date().toISOString(),
        who,
      });
      return { ...next, inverse: applied.inverse };
    });
    // Only now is it on disk.
    this.open.set(id, { revision: changed.revision, map: changed.map });
    return changed;
  }

  /** Who changed what, the newest first; at most a hundred, older than the given revision. */
  async history(id: string, before?: number): Promise<Change[]> {
    await this.get(id);
    const rows = await this.queue.read((manager) =>
      manager.find(ChangeRow, {
        where: { mapId: id, ...(before !== undefined && { revision: LessThan(before) }) },
        order: { revision: 'DESC' },
        take: HISTORY_PAGE,
      }),
    );
    return rows.map(({ revision, at, who, command }) => ({ revision, at, who, what: commandWords(command) }));
  }

  /** The map as it was at a revision: later changes are taken back one by one. */
  async at(id: string, revision: number): Promise<StoredMap> {
    const { later, stored } = await this.queue.read(async (manager) => ({
      stored: this.remember(id, this.open.get(id) ?? (await loadMap(manager, id))),
      later: await manager.find(ChangeRow, {
        where: { mapId: id, revision: MoreThan(revision) },
        order: { revision: 'DESC' },
      }),
    }));
    if (revision < 1 || revision > stored.revision)
      throw new NotFoundException({ message: `The map "${id}" has no revision ${revision}.` });
    const map = later.reduce((current, { inverse }) => applyCommand(current, inverse).map, stored.map);
    return { revision, map };
  }

  /** A copy under another id and name, with a history of its own. */
  async copy(from: string, id: string, name: string): Promise<StoredMap> {
    const { map } = await this.get(from);
    return this.create({ ...map, id, name });
  }

  /** Removes a map from sight; its rows stay, so that it can be had back. */
  async remove(id: string): Promise<void> {
    await this.mark(id, (manager) =>
      manager.update(MapRow, { id, removedAt: IsNull() }, { removedAt: new Date().toISOString() }),
    );
    this.open.delete(id);
  }

  /** Gives a removed map back. */
  async giveBack(id: string): Promise<StoredMap> {
    await this.mark(id, (manager) =>
      manager.update(MapRow, { id, removedAt: Not(IsNull()) }, { removedAt: null }),
    );
    return this.get(id);
  }

  private async mark(id: string, update: (manager: EntityManager) => Promise<{ affected?: number }>) {
    const { affected } = await this.queue.transaction(update);
    if (!affected) throw new NotFoundException({ message: `There is no map "${id}" to do this to.` });
  }

  private remember(id: string, stored: StoredMap | undefined): StoredMap {
    if (!stored) throw new NotFoundException({ message: `There is no map "${id}".` });
    this.open.set(id, stored);
    return stored;
  }
}
