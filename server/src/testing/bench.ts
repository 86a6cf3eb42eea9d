import { care } from '@bright-keeper/core';

/** What one would tap next at the bench: each step done as it comes, each question answered as told; null at the end. */
export function nextTap(
  plan: care.CleaningPlan,
  events: readonly care.BenchEvent[],
  answer: () => care.Answer,
  reading: care.Reading = 'unsure',
): care.BenchEvent | null {
  const { phase, step } = care.benchState(plan, events);
  if (phase === 'close') return null;
  if (phase === 'step' || phase === 'round') return { type: 'done', step: step!.id };
  if (phase === 'reading') return { type: 'reading', surface: step!.surface, reading };
  return { type: 'answer', step: step!.id, answer: answer() };
}

/** Everything tapped from the beginning to the end; the last answer is given again and again. */
export function workThrough(plan: care.CleaningPlan, answers: readonly care.Answer[], reading?: care.Reading): care.BenchEvent[] {
  const events: care.BenchEvent[] = [{ type: 'ready' }];
  let looks = 0;
  for (;;) {
    const tap = nextTap(plan, events, () => answers[looks++] ?? answers.at(-1)!, reading);
    if (!tap) return events;
    events.push(tap);
  }
}
