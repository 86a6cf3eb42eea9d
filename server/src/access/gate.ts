import { accessErrors } from '@bright-keeper/contract';
import { type CanActivate, type ExecutionContext, Injectable } from '@nestjs/common';
import express, { type NextFunction, type Request, type RequestHandler, type Response } from 'express';
import { type By, deedOf, doorOf, type Handler, JSON_TYPES, mayCome, problem, sendProblem, type WhoMay } from '../http/index.js';
import { LIMITS } from '../limits.js';
import type { AccessService } from './access.service.js';
import { type Asker, askerOf, isIn, noteAsker, roleOf } from './asker.js';
import { giveToShow, shownBy } from './cookie.js';

function whoAsks(access: AccessService, request: Request, response: Response): Asker {
  const { kind, sourceOf } = doorOf(request);
  const source = sourceOf(request) ?? '';
  const shown = kind === 'unencrypted' ? null : shownBy(request);
  const came = shown === null ? null : access.came(shown, source);
  const keeper = came && access.keepers.find(came.device.keeperId);
  const from = kind === 'machine' ? 'machine' : 'network';
  if (!keeper) return { from, source, device: null, keeper: null, isProved: from === 'machine' };
  if (came.token !== null) giveToShow(response, came.token, access.sessionDays);
  access.answering(came.device.id, response);
  return { from, source, device: came.device.id, keeper, isProved: from === 'machine' || access.isProved(came) };
}

/** Said with every answer where there are several, so that each page knows whether anything can be changed on it. */
const ROLE_HEADER = 'Keeper-Role';

const ofAStranger = express.json({ limit: LIMITS.access.strangerBytes, type: 'application/json' });
const withAKey = express.Router();
withAKey.use(express.json({ limit: LIMITS.access.keyBytes, type: JSON_TYPES }), express.text({ limit: LIMITS.access.keyBytes }));

/**
 * Looks who asks, before anything of what they send is read. On the network everything below /api is for those who are
 * let in, whether there is such a route or not; what is open to others says so in its own record.
 */
export const gate =
  (access: AccessService, whoMay: WhoMay): RequestHandler =>
  (request: Request, response: Response, next: NextFunction) => {
    const asker = whoAsks(access, request, response);
    noteAsker(request, asker);
    if (access.keepers.areSeveral() && isIn(asker)) response.setHeader(ROLE_HEADER, roleOf(asker));
    if (isIn(asker) || !request.path.toLowerCase().startsWith('/api')) return next();
    const by = whoMay(request.method, request.path);
    if (by === 'anyone') return ofAStranger(request, response, next);
    if (by === 'device' || by === 'calendar') return withAKey(request, response, next);
    sendProblem(response, problem(accessErrors, 'not-in'));
  };

const OPEN: readonly (By | 'let-in')[] = ['anyone', 'device', 'calendar'];
/** What even a reader may do: all that is about themselves. */
const OF_ONESELF: By = 'oneself';

/** The same once more at each route itself, whatever address led to it. */
@Injectable()
export class Guarded implements CanActivate {
  canActivate(context: ExecutionContext): boolean {
    const asker = askerOf(context.switchToHttp().getRequest<Request>());
    const who = mayCome(context.getHandler() as Handler);
    if (OPEN.includes(who)) return true;
    if (!isIn(asker)) throw problem(accessErrors, 'not-in');
    if (who === OF_ONESELF) return true;
    const role = roleOf(asker);
    if (role === 'reader' && deedOf(context.getHandler() as Handler)) throw problem(accessErrors, 'readers-only-read');
    if (who !== 'owner') return true;
    if (role !== 'owner') throw problem(accessErrors, 'owners-only');
    if (!asker.isProved) throw problem(accessErrors, 'owner-only');
    return true;
  }
}
