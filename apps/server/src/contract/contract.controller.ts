import { printOpenApi, ROUTES } from '@aftersquall/core/contract';
import { Controller } from '@nestjs/common';
import { Answers } from './answers.ts';

/** Whether the server is there, and what it can be asked. */
@Controller()
export class ContractController {
  private readonly description = printOpenApi();

  @Answers(ROUTES.health)
  health() {
    return { ok: true };
  }

  @Answers(ROUTES.describeApi)
  describe() {
    return this.description;
  }
}
