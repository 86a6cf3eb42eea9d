import type { PracticeRun } from '@bright-keeper/contract';
import type { care, practice } from '@bright-keeper/core';
import { useEffect, useState } from 'react';
import { outside } from '../../outside';
import { useWorker } from '../../workers/useWorker';
import type { PracticeNow } from '../../workers/practice';

/** How the practice stands and what comes next, by the runs there are; null until that is worked out. */
export function usePracticeNow(
  runs: readonly PracticeRun[] | undefined,
  of: practice.Practice,
  schools: care.Schools | undefined,
): { now: PracticeNow | null; error: unknown } {
  const worker = useWorker('practice');
  const [now, setNow] = useState<PracticeNow | null>(null);
  const [error, setError] = useState<unknown>(null);
  useEffect(() => {
    if (!runs || !schools) return;
    let asked = true;
    worker()
      .now([...runs], of, schools, outside.now().getTime())
      .then(
        (found) => asked && setNow(found),
        (failure: unknown) => asked && setError(failure),
      );
    return () => void (asked = false);
  }, [worker, runs, of, schools]);
  return { now, error };
}

/** A run that is going on: which question, what was chosen of it, and how many were right. */
export type Run = { one: practice.PracticeCase; at: number; chosen: number | null; right: number };
export const beginRun = (one: practice.PracticeCase): Run => ({ one, at: 0, chosen: null, right: 0 });

export const questionOf = ({ one, at }: Run): practice.PracticeQuestion | null => one.questions[at] ?? null;

/** What is chosen stands: nobody learns by choosing again. */
export function chosenIn(run: Run, choice: number): Run {
  const picked = questionOf(run)?.choices[choice];
  if (!picked || run.chosen !== null) return run;
  return { ...run, chosen: choice, right: run.right + (picked.right ? 1 : 0) };
}

/** On to the next question, once this one was answered. */
export const onIn = (run: Run): Run => (run.chosen === null ? run : { ...run, at: run.at + 1, chosen: null });

/**
 * By keys: a number chooses, Enter goes on wherever the focus is: it lies on whatever was tapped last.
 *
 * @param isAnswered until then Enter is whatever has the focus’ own.
 */
export function usePracticeKeys(onChoose: (choice: number) => void, onNext: () => void, isAnswered: boolean): void {
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.target instanceof HTMLElement && ['INPUT', 'TEXTAREA', 'SELECT', 'A'].includes(event.target.tagName)) return;
      if (/^[1-9]$/.test(event.key)) onChoose(Number(event.key) - 1);
      if (event.key !== 'Enter' || !isAnswered) return;
      event.preventDefault();
      onNext();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [onChoose, onNext, isAnswered]);
}
