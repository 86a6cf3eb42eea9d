import { accessErrors } from '@bright-keeper/contract';
import { type CanActivate, type ExecutionContext, Injectable } from '@nestjs/common';
import express, { type NextFunction, type Request, type RequestHandler, type Response } from 'express';
import { type By, doorOf, type Handler, JSON_TYPES, mayCome, problem, sendProblem, type WhoMay } from '../http/index.js';
import { LIMITS } from '../limits.js';
import type { AccessService } from './access.service.js';
import { type Asker, askerOf, isIn, noteAsker } from './asker.js';
import { giveToShow, shownBy } from './cookie.js';

function whoAsks(access: AccessService, request: Request, response: Response): Asker {
  const { kind, sourceOf } = doorOf(request);
  const source = sourceOf(request) ?? '';
  if (kind === 'machine') return { from: 'machine', source, device: null, isOwner: true };
  const shown = kind === 'network' ? shownBy(request) : null;
  const came = shown === null ? null : access.came(shown, source);
  if (!came) return { from: 'network', source, device: null, isOwner: false };
  if (came.token !== null) giveToShow(response, came.token, access.sessionDays);
  access.answering(came.device.id, response);
  return { from: 'network', source, device: came.device.id, isOwner: access.isProved(came) };
}

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
    if (isIn(asker) || !request.path.toLowerCase().startsWith('/api')) return next();
    const by = whoMay(request.method, request.path);
    if (by === 'anyone') return ofAStranger(request, response, next);
    if (by === 'device' || by === 'calendar') return withAKey(request, response, next);
    sendProblem(response, problem(accessErrors, 'not-in'));
  };

const OPEN: readonly (By | 'let-in')[] = ['anyone', 'device', 'calendar'];

/** The same once more at each route itself, whatever address led to it. */
@Injectable()
export class Guarded implements CanActivate {
  canActivate(context: ExecutionContext): boolean {
    const asker = askerOf(context.switchToHttp().getRequest<Request>());
    const who = mayCome(context.getHandler() as Handler);
    if (OPEN.includes(who)) return true;
    if (!isIn(asker)) throw problem(accessErrors, 'not-in');
    if (who === 'owner' && !asker.isOwner) throw problem(accessErrors, 'owner-only');
    return true;
  }
}
