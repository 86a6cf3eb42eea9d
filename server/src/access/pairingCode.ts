import { CODE_DIGITS, CODE_MINUTES, type PairingCode } from '@bright-keeper/contract';
import { MS_PER_MINUTE } from '@bright-keeper/core';
import { randomInt, timingSafeEqual } from 'node:crypto';

const HOLDS_MS = CODE_MINUTES * MS_PER_MINUTE;
/** With a hundred million codes, as many tries as one code bears find it once in ten million. */
const MOST_WRONG = 10;

const same = (a: string, b: string): boolean => a.length === b.length && timingSafeEqual(Buffer.from(a), Buffer.from(b));

/** The one code that lets one device in. It lives in memory only: a new start of the program ends it. */
export class PairingCodes {
  private now: { code: string; keeperId: string; endsAtMs: number; wrong: number } | null = null;

  /** Makes a new one for a device of this keeper; the one before opens nothing any more. */
  make(keeperId: string, nowMs: number): PairingCode {
    const code = String(randomInt(10 ** CODE_DIGITS)).padStart(CODE_DIGITS, '0');
    this.now = { code, keeperId, endsAtMs: nowMs + HOLDS_MS, wrong: 0 };
    return { code, endsAt: new Date(this.now.endsAtMs).toISOString() };
  }

  /** Until when the present one holds, if there is one. */
  until(nowMs: number): string | null {
    return this.now && nowMs < this.now.endsAtMs ? new Date(this.now.endsAtMs).toISOString() : null;
  }

  /** Whose device comes in by it, if it is the code; it is used up by that. */
  takes(code: string, nowMs: number): string | null {
    if (this.now && nowMs >= this.now.endsAtMs) this.now = null;
    if (!this.now) return null;
    if (same(this.now.code, code)) {
      const { keeperId } = this.now;
      this.now = null;
      return keeperId;
    }
    this.now.wrong += 1;
    if (this.now.wrong >= MOST_WRONG) this.now = null;
    return null;
  }
}
