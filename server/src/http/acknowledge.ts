import type { CallHandler, ExecutionContext, NestInterceptor } from '@nestjs/common';
import { mergeMap, Observable } from 'rxjs';
import { asOneRequest, type Database } from '../db/index.js';

/** No answer leaves before all that it may tell of is on disk. */
export class Acknowledge implements NestInterceptor {
  constructor(private readonly database: Database) {}

  intercept(_: ExecutionContext, next: CallHandler): Observable<unknown> {
    const kept = this.database.promise();
    const handled = new Observable((heard) => asOneRequest(() => next.handle().subscribe(heard)));
    return handled.pipe(
      mergeMap(async (answer: unknown) => {
        await kept();
        return answer;
      }),
    );
  }
}
