import { RefusedError } from '@aftersquall/core/documents';
import { type ArgumentsHost, Catch, type ExceptionFilter, HttpException, Logger } from '@nestjs/common';
import type { Response } from 'express';

/** The largest body that a request may have. */
export const MAX_BODY = '20 MB';

/**
 * Answers what went wrong in the one form of the contract. What the core refuses is the sender's to mend: 400, with
 * every path. Of what nobody foresaw only the server's log says more.
 */
@Catch()
export class Refusals implements ExceptionFilter<unknown> {
  private readonly logger = new Logger('Aftersquall');

  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    const { status, body } = this.refusal(error);
    if (!response.headersSent) response.status(status).json({ statusCode: status, ...body });
  }

  private refusal(error: unknown): { status: number; body: object } {
    if (error instanceof RefusedError)
      return {
        status: 400,
        body: { message: 'The server refused this change. Nothing was changed.', issues: error.issues },
      };
    if (error instanceof HttpException) {
      const body = error.getResponse();
      const {
        message = error.message,
        issues,
        revision,
        overlaps,
      } = (typeof body === 'string' ? { message: body } : body) as Record<string, unknown>;
      return { status: error.getStatus(), body: { message, issues, revision, overlaps } };
    }
    const { status, type } = (error ?? {}) as { status?: number; type?: string };
    // What the body parser refuses: no JSON, or far too much of it.
    if (type === 'entity.too.large')
      return {
        status: 413,
        body: {
          message: `This is too large: the server takes at most ${MAX_BODY} at once. Send it in parts.`,
        },
      };
    if (status !== undefined && status >= 400 && status < 500)
      return { status, body: { message: 'The server could not read this. Send JSON.' } };
    this.logger.error(error instanceof Error ? (error.stack ?? error.message) : String(error));
    return {
      status: 500,
      body: { message: 'Something went wrong on the server. Nothing was changed. Try again.' },
    };
  }
}
