import { benchState, waitingFor, type Answer, type BenchEvent, type BenchState, type Reading, type Waiting } from './bench.js';
import type { CleaningPlan, Effort, Step } from './types.js';

/** Long enough for any sensor; whoever only walks through a plan is never late. */
const EXPOSURE = { at: '2000-01-01T00:00:00.000Z', seconds: 30 };
/** How a ring turns that wanted oil, and after each answer to a drop. */
const BEFORE_OIL: Effort = 'hard';
const AFTER_OIL: Record<Answer, Effort> = { 'clean-enough': 'free', better: 'firm', 'no-change': 'hard' };

/** What a step asks for before it is done. */
const SEEN_TO: Record<Waiting, (step: Step) => BenchEvent> = {
  'dry-run': ({ id }) => ({ type: 'rehearsed', step: id }),
  power: ({ id, sensor }) => ({ type: 'power-checked', step: id, heldOpen: sensor!.heldOpen }),
  exposure: ({ id }) => ({ type: 'exposure', step: id, ...EXPOSURE }),
  turning: ({ id }) => ({ type: 'turning', step: id, effort: BEFORE_OIL }),
};

const answered = ({ id, look }: Step, answer: Answer): BenchEvent =>
  look?.asks === 'turning' ? { type: 'turning', step: id, effort: AFTER_OIL[answer] } : { type: 'answer', step: id, answer };

function tapAt(state: BenchState, step: Step, answer: () => Answer, reading: Reading): BenchEvent {
  const waiting = state.phase === 'step' ? waitingFor(state) : null;
  if (waiting) return SEEN_TO[waiting](step);
  if (state.phase === 'step' || state.phase === 'round') return { type: 'done', step: step.id };
  if (state.phase === 'reading') return { type: 'reading', surface: step.surface, reading };
  return answered(step, answer());
}

/** What one would tap next at the bench: each step done as it comes, each question answered as told; null at the end. */
export function nextTap(
  plan: CleaningPlan,
  events: readonly BenchEvent[],
  answer: () => Answer,
  reading: Reading = 'unsure',
): BenchEvent | null {
  const state = benchState(plan, events);
  if (state.phase === 'prepare') return { type: 'ready' };
  return state.phase === 'close' ? null : tapAt(state, state.step!, answer, reading);
}

/** Everything tapped from the beginning to the end; the last answer is given again and again. */
export function workThrough(plan: CleaningPlan, answers: readonly Answer[], reading?: Reading): BenchEvent[] {
  const events: BenchEvent[] = [];
  let looks = 0;
  for (;;) {
    const tap = nextTap(plan, events, () => answers[looks++] ?? answers.at(-1)!, reading);
    if (!tap) return events;
    events.push(tap);
  }
}
