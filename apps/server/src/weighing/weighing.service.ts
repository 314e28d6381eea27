import { fileURLToPath } from 'node:url';
import type { WeighingSheet } from '@aftersquall/core/formats';
import type { GuardMap, WhatIf } from '@aftersquall/core/model';
import type { Weighing } from '@aftersquall/core/weigh';
import { Injectable, type OnApplicationShutdown, UnprocessableEntityException } from '@nestjs/common';
import { Piscina } from 'piscina';
import { DocumentsService } from '../documents/documents.service.ts';
import type { WeighJob, WeighResult } from './weigh.worker.ts';

/** Unbuilt, as the unit tests run it, the thread needs a loader for its types. */
const BUILT = !import.meta.url.endsWith('.ts');
const WORKER = fileURLToPath(new URL(`./weigh.worker.${BUILT ? 'js' : 'ts'}`, import.meta.url));
/** A thread that nobody asked anything for so long ends. */
const IDLE_MS = 60_000;

/** Weighs maps in a thread of its own: it takes seconds, and saves must not wait for it. Nothing is kept. */
@Injectable()
export class WeighingService implements OnApplicationShutdown {
  private pool: Piscina<WeighJob, WeighResult> | undefined;

  constructor(private readonly documents: DocumentsService) {}

  async weigh(id: string, whatIf: WhatIf): Promise<Weighing> {
    const result = await this.run({ map: await this.map(id), whatIf });
    return (result as { weighing: Weighing }).weighing;
  }

  async sheet(id: string, sheet: WeighingSheet, whatIf: WhatIf): Promise<string> {
    const result = await this.run({ map: await this.map(id), whatIf, sheet });
    return (result as { table: string }).table;
  }

  async onApplicationShutdown(): Promise<void> {
    await this.pool?.destroy();
  }

  /** @throws 422 with the sentence that says why a map cannot be weighed. */
  private async run(job: WeighJob): Promise<WeighResult> {
    this.pool ??= new Piscina<WeighJob, WeighResult>({
      filename: WORKER,
      maxThreads: 1,
      idleTimeout: IDLE_MS,
      execArgv: BUILT ? [] : ['--import', 'tsx'],
    });
    const result = await this.pool.run(job);
    if ('trouble' in result)
      throw new UnprocessableEntityException({
        message: `The program cannot weigh this map: ${result.trouble}.`,
      });
    return result;
  }

  private async map(id: string): Promise<GuardMap> {
    return (await this.documents.get({ kind: 'map', id })).document as GuardMap;
  }
}
