import { type ClassPlan, ClassSchema } from '@aftersquall/core';
import { ConflictException, Injectable, NotFoundException } from '@nestjs/common';
import { WriteQueue } from '../database/writeQueue.ts';
import { ClassRow } from './class.row.ts';

export interface StoredClass {
  revision: number;
  plan: ClassPlan;
}

@Injectable()
export class ClassesService {
  constructor(private readonly queue: WriteQueue) {}

  async list(): Promise<StoredClass[]> {
    const rows = await this.queue.read((manager) =>
      manager.find(ClassRow, { order: { createdAt: 'DESC', id: 'ASC' } }),
    );
    return rows.map(stored);
  }

  get(id: string): Promise<StoredClass> {
    return this.queue.read(async (manager) => {
      const row = await manager.findOneBy(ClassRow, { id });
      if (!row) throw new NotFoundException({ message: `There is no class "${id}".` });
      return stored(row);
    });
  }

  /** Saves a class over the revision it was based on; 0 for a new one. A stale one gets 409 with the other. */
  save(plan: ClassPlan, revision: number): Promise<StoredClass> {
    return this.queue.transaction(async (manager) => {
      const known = await manager.findOneBy(ClassRow, { id: plan.id });
      if ((known?.revision ?? 0) !== revision) throw stale(known);
      const at = new Date().toISOString();
      const row = { ...plan, revision: revision + 1, createdAt: known?.createdAt ?? at, updatedAt: at };
      await manager.save(ClassRow, row);
      return { revision: row.revision, plan };
    });
  }

  /** Takes a class out and gives it back, for whoever wants to undo that. */
  remove(id: string, revision: number): Promise<StoredClass> {
    return this.queue.transaction(async (manager) => {
      const known = await manager.findOneBy(ClassRow, { id });
      if (!known) throw new NotFoundException({ message: `There is no class "${id}".` });
      if (known.revision !== revision) throw stale(known);
      await manager.delete(ClassRow, { id });
      return stored(known);
    });
  }
}

function stored(row: ClassRow): StoredClass {
  const { revision, createdAt: _, updatedAt: __, ...plan } = row;
  return { revision, plan: ClassSchema.parse(plan) };
}

function stale(known: ClassRow | null): ConflictException {
  return new ConflictException({
    message: known
      ? `This class was changed elsewhere; it is at revision ${known.revision} now.`
      : 'This class was removed elsewhere.',
    ...(known && stored(known)),
  });
}
