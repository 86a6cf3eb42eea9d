import type { LiveNews } from '@bright-keeper/contract';
import type { Response } from 'express';
import type { News } from './news.js';

/** A proxy on the way gives up a line on which nothing comes for long. */
const PULSE_MS = 15_000;
/** How soon a browser asks again when its line broke. */
const AGAIN_MS = 1_000;

/**
 * One line to a browser (server-sent events, WHATWG HTML 9.2). What moves while it cannot take any more is told in one
 * piece when it can, so that nobody is waited for and nothing piles up.
 */
export class Listener {
  private readonly pulse: NodeJS.Timeout;
  private told: string;

  /** @param since up to where it has heard; null where it has only just begun, and asked for all by itself. */
  constructor(
    private readonly response: Response,
    private readonly news: News,
    since: string | null,
  ) {
    response.status(200).set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store, no-transform', 'X-Accel-Buffering': 'no' });
    response.flushHeaders();
    response.write(`retry: ${AGAIN_MS}\n`);
    this.pulse = setInterval(() => void (response.writableNeedDrain || response.write(':\n\n')), PULSE_MS).unref();
    response.on('drain', () => this.tell());
    this.told = since ?? news.place;
    // Where one begins is told at once, so that a break before the first news loses none.
    this.say();
  }

  tell(): void {
    if (!this.response.writableNeedDrain && this.told !== this.news.place) this.say();
  }

  private say(): void {
    const moved = this.news.since(this.told);
    this.told = this.news.place;
    this.response.write(`id: ${this.told}\ndata: ${JSON.stringify({ moved } satisfies LiveNews)}\n\n`);
  }

  end(): void {
    clearInterval(this.pulse);
    this.response.end();
  }
}
