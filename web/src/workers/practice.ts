import { type care, practice } from '@bright-keeper/core';

export type PracticeNow = { state: practice.PracticeState; next: practice.NextCase | null };

/** The practice, apart from the page: all cases of the book are planned for it. */
export const practiceApi = {
  /** @param nowMs an instant: the worker has no clock. */
  now(runs: readonly practice.PracticeRun[], of: practice.Practice, schools: care.Schools, nowMs: number): PracticeNow {
    const cases = practice.practiceCases(schools);
    const now = new Date(nowMs);
    return { state: practice.practiceState(cases, runs, of, now), next: practice.nextCase(cases, runs, of, now) };
  },
};
export type PracticeWorker = typeof practiceApi;
