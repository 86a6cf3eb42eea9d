import { commonErrors, routes } from '@bright-keeper/contract';
import type { NextFunction, Request, RequestHandler, Response } from 'express';
import { DataTaken, type Database } from '../db/index.js';
import type { Disk } from '../platform/index.js';
import { READS } from './origin.guard.js';
import { problem } from './problem.js';

/** Takes nothing new while the disk is nearly full, or the data is not where it was: what is there stays whole, and can be read. */
export const whileItCanBeKept =
  (disk: Disk, database: Database): RequestHandler =>
  (request: Request, _: Response, next: NextFunction) => {
    // What is read of it may be anybody's by now; how it stands is told all the same.
    if (request.path.startsWith('/api/') && request.path !== routes.health && !database.isOurs()) return next(new DataTaken());
    if (READS.has(request.method)) return next();
    disk.room().then((room) => next(room && !room.enough ? problem(commonErrors, 'disk-full') : undefined), next);
  };
