import type { LookAnswer } from '@bright-keeper/contract';
import type { inspection, schedule } from '@bright-keeper/core';

type LookData = Extract<schedule.JournalData, { kind: 'look' }>;

/** What the log keeps of a look: what was found, what was noted, and which surfaces were looked at. @param states what it made known */
export function lookData(lookId: string, answers: readonly LookAnswer[], states: readonly inspection.Known[], photos: number): LookData {
  const seen = answers.filter((a) => states.some(({ surface }) => surface === a.surface));
  return {
    kind: 'look',
    lookId,
    looked: seen.length,
    seen: seen.map((a) => a.surface),
    ...(photos > 0 ? { photos } : {}),
    verdicts: states.filter((s) => s.findings.length > 0).map(({ surface, verdict, findings }) => ({ surface, verdict, findings })),
    notes: seen.filter((a) => a.note !== '').map(({ surface, note }) => ({ surface, note })),
  };
}
