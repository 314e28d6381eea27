import { isText } from '@aftersquall/core/contract';
import type { CallHandler, ExecutionContext, NestInterceptor } from '@nestjs/common';
import { map, type Observable } from 'rxjs';
import { routeOf } from './answers.ts';

/** Holds every answer against the contract; in tests, so that no answer says more or less than was agreed. */
export class CheckAnswers implements NestInterceptor {
  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const route = routeOf(context);
    return next.handle().pipe(
      map((answer: unknown) => {
        const { response } = route ?? {};
        if (!response) return answer;
        if (isText(response)) {
          if (typeof answer !== 'string') throw new Error(`${route!.path} has to answer with text`);
          return answer;
        }
        // As it is sent: what is undefined is not there.
        response.parse(JSON.parse(JSON.stringify(answer)));
        return answer;
      }),
    );
  }
}
