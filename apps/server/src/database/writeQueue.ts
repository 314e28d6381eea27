import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DataSource, type EntityManager } from 'typeorm';

/**
 * One thing at a time on the one connection: transactions that await between statements would otherwise
 * interleave, and a read in between would see half a change.
 */
@Injectable()
export class WriteQueue {
  private last: Promise<unknown> = Promise.resolve();

  constructor(@InjectDataSource() private readonly database: DataSource) {}

  /**
   * Runs the work in a transaction of its own, after everything that was asked for before, and what follows from it
   * once it is on disk and before anything else has its turn.
   */
  transaction<T>(work: (manager: EntityManager) => Promise<T>, committed?: (result: T) => void): Promise<T> {
    return this.inTurn(async () => {
      const result = await this.database.transaction(work);
      committed?.(result);
      return result;
    });
  }

  /** Runs reads in their turn, so that they see only whole changes. */
  read<T>(work: (manager: EntityManager) => Promise<T>): Promise<T> {
    return this.inTurn(() => work(this.database.manager));
  }

  private inTurn<T>(work: () => Promise<T>): Promise<T> {
    const turn = this.last.then(work, work);
    this.last = turn.catch(() => undefined);
    return turn;
  }
}
