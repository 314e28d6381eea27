import { ROUTES } from '@aftersquall/core/contract';
import { Controller } from '@nestjs/common';
import { Answers, Input, type InputFor } from '../contract/answers.ts';
import { PosesService } from './poses.service.ts';

/** Poses that some screen has solved, for the others. */
@Controller()
export class PosesController {
  constructor(private readonly poses: PosesService) {}

  @Answers(ROUTES.findPoses)
  async find(@Input() { body }: InputFor<'findPoses'>) {
    return { poses: await this.poses.find(body.keys) };
  }

  @Answers(ROUTES.keepPoses)
  async keep(@Input() { body }: InputFor<'keepPoses'>) {
    await this.poses.keep(body.poses);
    return { kept: Object.keys(body.poses).length };
  }
}
