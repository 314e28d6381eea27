import { ROUTES } from '@aftersquall/core/contract';
import { Controller } from '@nestjs/common';
import { Answers, Input, type InputFor } from '../contract/answers.ts';
import { WeighingService } from './weighing.service.ts';

/** A weighed map, to take along. */
@Controller()
export class WeighingController {
  constructor(private readonly weighing: WeighingService) {}

  @Answers(ROUTES.weighMap)
  all(@Input() { params, query }: InputFor<'weighMap'>) {
    return this.weighing.weigh(params.id, query.whatIf);
  }

  @Answers(ROUTES.getWeighingSheet)
  sheet(@Input() { params, query }: InputFor<'getWeighingSheet'>) {
    return this.weighing.sheet(params.id, params.sheet, query.whatIf);
  }
}
