import { care } from '@bright-keeper/core';
import { outside } from '../../outside';
import type { BenchCommand } from './benchKeys';

/** What the bench remembers: the list of what was done. Everything else follows from it. */
export type BenchDraft = { events: care.BenchEvent[] };

export type BenchAction = { type: 'event'; event: care.BenchEvent } | { type: 'undo' };

export const benchReducer = (draft: BenchDraft, action: BenchAction): BenchDraft =>
  action.type === 'undo' ? { events: draft.events.slice(0, -1) } : { events: [...draft.events, action.event] };

/** Done with a step; where a shutter is held open by an exposure, when it was said decides whether it was in time. */
export const doneEvent = ({ exposure }: Pick<care.BenchState, 'exposure'>, step: care.Step, now: Date): care.BenchEvent => ({
  type: 'done',
  step: step.id,
  ...(exposure ? { at: now.toISOString() } : {}),
});

/** What a key means where one stands; null when it means nothing there. */
export function actionFor(command: BenchCommand, state: care.BenchState, now: () => Date = outside.now): BenchAction | null {
  const { phase, step } = state;
  if (command === 'back') return { type: 'undo' };
  if (phase === 'prepare') return command === 'forward' ? { type: 'event', event: { type: 'ready' } } : null;
  // A shutter, a power check or a feel of the ring is never skipped by a pedal.
  if (phase === 'step' && step && care.waitingFor(state)) return null;
  if (phase === 'round' && step) return command === 'forward' ? { type: 'event', event: { type: 'done', step: step.id } } : null;
  if (command === 'rest-clean')
    return phase === 'round-look' && step ? { type: 'event', event: { type: 'rest-clean', step: step.id } } : null;
  if (phase === 'step' && step) return command === 'forward' ? { type: 'event', event: doneEvent(state, step, now()) } : null;
  const asked = phase === 'round-look' || (phase === 'look' && step?.look?.asks !== 'turning');
  if (asked && step && command !== 'forward') return { type: 'event', event: { type: 'answer', step: step.id, answer: command } };
  return null;
}
