import type { PoseRecord } from '@aftersquall/core/model';
import { Injectable } from '@nestjs/common';
import { In } from 'typeorm';
import { PoseRow } from '../database/rows/poseRow.ts';
import { WriteQueue } from '../database/writeQueue.ts';

/** Keeps what was solved once: a pose hangs on nothing but its key, so it is never changed. */
@Injectable()
export class PosesService {
  constructor(private readonly queue: WriteQueue) {}

  async find(keys: string[]): Promise<Record<string, PoseRecord>> {
    const rows = await this.queue.read((manager) => manager.findBy(PoseRow, { key: In(keys) }));
    return Object.fromEntries(rows.map(({ key, record }) => [key, record]));
  }

  async keep(poses: Record<string, PoseRecord>): Promise<void> {
    const rows = Object.entries(poses).map(([key, record]) => ({ key, record }));
    if (rows.length === 0) return;
    await this.queue.transaction((manager) =>
      manager.createQueryBuilder().insert().into(PoseRow).values(rows).orIgnore().execute(),
    );
  }
}
