import { RefusedError } from '@aftersquall/core';
import { type ArgumentsHost, Catch, type ExceptionFilter } from '@nestjs/common';
import type { Response } from 'express';

/** What the core refuses is the sender's to mend: 400, with every path. */
@Catch(RefusedError)
export class RefusedFilter implements ExceptionFilter<RefusedError> {
  catch(error: RefusedError, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    response.status(400).json({ statusCode: 400, message: 'This change was refused.', issues: error.issues });
  }
}
