import { ROUTES } from '@aftersquall/core/contract';
import { printTrials } from '@aftersquall/core/log';
import { Controller } from '@nestjs/common';
import { Answers, Input, type InputFor } from '../contract/answers.ts';
import { RecordsService } from './records.service.ts';

/** Facts of practice: kept once, summed up on request. */
@Controller()
export class RecordsController {
  constructor(private readonly records: RecordsService) {}

  @Answers(ROUTES.keepRecords)
  keep(@Input() { body }: InputFor<'keepRecords'>) {
    return this.records.keep(body.records);
  }

  @Answers(ROUTES.listRecords)
  async list(@Input() { query }: InputFor<'listRecords'>) {
    return { records: await this.records.ofSession(query.session) };
  }

  @Answers(ROUTES.sumPractice)
  sum(@Input() { query }: InputFor<'sumPractice'>) {
    return this.records.practice(query);
  }

  @Answers(ROUTES.getRecall)
  recall(@Input() { query }: InputFor<'getRecall'>) {
    return this.records.recall(query.map, query.alias);
  }

  @Answers(ROUTES.getTrialsCsv)
  async csv(@Input() { query }: InputFor<'getTrialsCsv'>) {
    return printTrials(await this.records.trials(query));
  }
}
