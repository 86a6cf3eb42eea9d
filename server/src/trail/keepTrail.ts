import { uuidText } from '@bright-keeper/contract';
import { Injectable, type CallHandler, type ExecutionContext, type NestInterceptor } from '@nestjs/common';
import type { Request } from 'express';
import { mergeMap, type Observable } from 'rxjs';
import { deedOf, type Handler } from '../http/index.js';
import { TrailService } from './trail.service.js';

/** What these say of an id, if anything: the thing it was done to before the document it was written in. */
function subjectOf(...told: unknown[]): string | null {
  const objects = told.filter((one): one is Record<string, unknown> => typeof one === 'object' && one !== null);
  const named = objects.map((one) => one.itemId).concat(objects.map((one) => one.id));
  return named.find((id): id is string => typeof id === 'string' && uuidText.test(id)) ?? null;
}

type Asked = Pick<Request, 'params'> & { body: unknown };

/** Notes each change that the keeper made, before it is acknowledged: what was answered is in the trail. */
@Injectable()
export class KeepTrail implements NestInterceptor {
  constructor(private readonly trail: TrailService) {}

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const { params, body } = context.switchToHttp().getRequest<Asked>();
    const deed = deedOf(context.getHandler() as Handler);
    if (!deed) return next.handle();
    return next.handle().pipe(
      mergeMap(async (answer: unknown) => {
        await this.trail.byKeeper(deed, subjectOf(answer, body, params));
        return answer;
      }),
    );
  }
}
