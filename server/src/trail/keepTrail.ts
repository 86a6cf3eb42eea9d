import { uuidText } from '@bright-keeper/contract';
import { Injectable, type CallHandler, type ExecutionContext, type NestInterceptor } from '@nestjs/common';
import type { Request } from 'express';
import { mergeMap, Observable } from 'rxjs';
import { askerOf, handOf } from '../access/index.js';
import { deedOf, type Handler } from '../http/index.js';
import { inHandOf } from '../platform/index.js';
import { TrailService } from './trail.service.js';

/** What these say of an id, if anything: the thing it was done to before the document it was written in. */
function subjectOf(...told: unknown[]): string | null {
  const objects = told.filter((one): one is Record<string, unknown> => typeof one === 'object' && one !== null);
  const named = objects.map((one) => one.itemId).concat(objects.map((one) => one.id));
  return named.find((id): id is string => typeof id === 'string' && uuidText.test(id)) ?? null;
}

type Asked = Pick<Request, 'params'> & { body: unknown };

/** Notes each change that a keeper made, before it is acknowledged: what was answered is in the trail, and each entry says whose it is. */
@Injectable()
export class KeepTrail implements NestInterceptor {
  constructor(private readonly trail: TrailService) {}

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const request = context.switchToHttp().getRequest<Request>();
    const deed = deedOf(context.getHandler() as Handler);
    if (!deed) return next.handle();
    const keeper = handOf(askerOf(request));
    const { params, body } = request as Asked;
    const done = new Observable<unknown>((heard) => inHandOf(keeper, () => next.handle().subscribe(heard)));
    return done.pipe(
      mergeMap(async (answer: unknown) => {
        await this.trail.byKeeper(deed, keeper, subjectOf(answer, body, params));
        return answer;
      }),
    );
  }
}
