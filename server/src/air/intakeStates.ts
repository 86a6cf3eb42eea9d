import type { IntakeFault, IntakeState } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { Clock } from '../platform/index.js';

/** How it stands with what is taken in by itself, while this program runs: of each device, and of the broker. */
@Injectable()
export class IntakeStates {
  private readonly states = new Map<string, IntakeState>();

  constructor(private readonly clock: Clock) {}

  of(id: string): IntakeState | null {
    return this.states.get(id) ?? null;
  }

  /** What stays as it was has been so since then. */
  set(id: string, fault: IntakeFault | null): void {
    if (this.states.has(id) && this.states.get(id)!.fault === fault) return;
    this.states.set(id, { fault, since: this.clock.now().toISOString() });
  }

  forget(id: string): void {
    this.states.delete(id);
  }
}
