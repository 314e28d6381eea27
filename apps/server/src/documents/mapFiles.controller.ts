import { ROUTES } from '@aftersquall/core/contract';
import { printGraphml, printMapFile } from '@aftersquall/core/formats';
import { type GuardMap } from '@aftersquall/core/model';
import { Controller } from '@nestjs/common';
import { Answers, Input, type InputFor } from '../contract/answers.ts';
import { DocumentsService } from './documents.service.ts';

/** Maps as files. */
@Controller()
export class MapFilesController {
  constructor(private readonly documents: DocumentsService) {}

  @Answers(ROUTES.getMapFile)
  async file(@Input() { params }: InputFor<'getMapFile'>) {
    return printMapFile(await this.map(params.id));
  }

  @Answers(ROUTES.getGraphml)
  async graphml(@Input() { params }: InputFor<'getGraphml'>) {
    return printGraphml(await this.map(params.id));
  }

  private async map(id: string): Promise<GuardMap> {
    return (await this.documents.get({ kind: 'map', id })).document as GuardMap;
  }
}
