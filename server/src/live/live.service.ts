import { liveErrors } from '@bright-keeper/contract';
import { Injectable, type BeforeApplicationShutdown } from '@nestjs/common';
import type { Response } from 'express';
import { randomUUID } from 'node:crypto';
import { Database } from '../db/index.js';
import { problem } from '../http/index.js';
import { LIMITS } from '../limits.js';
import { Listener } from './listener.js';
import { News } from './news.js';

/** Who is told again and again is told so often at most. */
const BREATH_MS = 250;

/** Tells every browser that listens what has moved, whoever moved it. */
@Injectable()
export class LiveService implements BeforeApplicationShutdown {
  private readonly news = new News(randomUUID());
  private readonly listeners = new Set<Listener>();
  private breath: NodeJS.Timeout | null = null;
  private toldAt = -Infinity;

  constructor(database: Database) {
    database.changes.hear((written) => {
      if (this.news.note(written)) this.tellSoon();
    });
  }

  /** @param since the place up to which it has heard already. @throws ProblemError 503 where too many listen. */
  listen(response: Response, since: string | null): void {
    if (this.listeners.size >= LIMITS.live.listeners) throw problem(liveErrors, 'too-many-listen');
    const listener = new Listener(response, this.news, since);
    this.listeners.add(listener);
    response.once('close', () => {
      listener.end();
      this.listeners.delete(listener);
    });
  }

  /** At once after a rest, so that a page hears of its own change before it is answered and asks for nothing twice. */
  private tellSoon(): void {
    this.breath ??= setTimeout(
      () => {
        this.breath = null;
        this.toldAt = performance.now();
        for (const listener of this.listeners) listener.tell();
      },
      Math.max(0, this.toldAt + BREATH_MS - performance.now()),
    ).unref();
  }

  /** Whoever listens would be waited for. */
  beforeApplicationShutdown(): void {
    if (this.breath) clearTimeout(this.breath);
    for (const listener of this.listeners) listener.end();
  }
}
