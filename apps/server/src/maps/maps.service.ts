import { applyCommand, batch, type Command, emptyMap, type GuardMap } from '@aftersquall/core';
import { ConflictException, Injectable, NotFoundException } from '@nestjs/common';
import { WriteQueue } from '../database/writeQueue.ts';
import { insertMap, loadMap, saveChange } from './mapStore.ts';
import { ChangeRow } from './rows/change.row.ts';
import { MapRow } from './rows/map.row.ts';

export interface StoredMap {
  revision: number;
  map: GuardMap;
}

/** Maps by id: read whole, changed by commands, one transaction each. Keeps those in use in memory. */
@Injectable()
export class MapsService {
  private readonly open = new Map<string, StoredMap>();

  constructor(private readonly queue: WriteQueue) {}

  list(): Promise<MapRow[]> {
    return this.queue.read((manager) => manager.find(MapRow, { order: { createdAt: 'ASC', id: 'ASC' } }));
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
      if (await manager.existsBy(MapRow, { id: map.id })) {
        throw new ConflictException({ message: `There is already a map "${map.id}".` });
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
  async change(id: string, revision: number, commands: Command[]): Promise<StoredMap & { inverse: Command }> {
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
      });
      return { ...next, inverse: applied.inverse };
    });
    // Only now is it on disk.
    this.open.set(id, { revision: changed.revision, map: changed.map });
    return changed;
  }

  private remember(id: string, stored: StoredMap | undefined): StoredMap {
    if (!stored) throw new NotFoundException({ message: `There is no map "${id}".` });
    this.open.set(id, stored);
    return stored;
  }
}
