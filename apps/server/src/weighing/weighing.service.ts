import {
  choosePlan,
  describeWeighing,
  type GuardMap,
  playMap,
  printWeighingSheet,
  resolveHoles,
  SHIPPED_PROFILES,
  scenarioOptions,
  solveForTrusts,
  type Weighing,
  type WeighingSheet,
  type WhatIf,
} from '@aftersquall/core';
import { Injectable, UnprocessableEntityException } from '@nestjs/common';
import { DocumentsService } from '../documents/documents.service.ts';

/** Weighs maps with the functions that the screen uses; nothing is kept. */
@Injectable()
export class WeighingService {
  constructor(private readonly documents: DocumentsService) {}

  async weigh(id: string, whatIf: WhatIf): Promise<Weighing> {
    return weighed(await this.map(id), whatIf);
  }

  async sheet(id: string, sheet: WeighingSheet, whatIf: WhatIf): Promise<string> {
    const map = await this.map(id);
    return printWeighingSheet(map, weighed(map, whatIf), sheet);
  }

  private async map(id: string): Promise<GuardMap> {
    return (await this.documents.get({ kind: 'map', id })).document as GuardMap;
  }
}

/** A map that cannot be weighed is refused with the sentence that says why. */
function weighed(map: GuardMap, whatIf: WhatIf): Weighing {
  try {
    const options = scenarioOptions(map, whatIf, SHIPPED_PROFILES);
    const up = solveForTrusts(map, options);
    const solution = choosePlan(up, options.trust);
    const play = playMap(solution, options.level);
    return { ...describeWeighing(map, up, solution, play), holes: resolveHoles(solution, play) };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    throw new UnprocessableEntityException({ message: `The map cannot be weighed: ${error.message}.` });
  }
}
