import type { care, schedule } from '@bright-keeper/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { dutyWords } from '@bright-keeper/words';
import { useStartLook } from '../inspection';
import { useRemoveTimer } from '../storage';
import { useWashById } from '../supplies';
import { deedOf } from './dutyRoute';
import { useBack, useDutyDone, useSkipDuty, useSnoozeDuty, useUndo } from './queries';

/** What was just said of a duty, for as long as it can be taken back. */
export type JustDone = { entryId: string; subject: schedule.SubjectRef; words: string };

/** Where a look for this duty begins: the first of the surfaces it asks for that was not seen yet. */
const asksFirst = ({ facts }: schedule.Duty): care.Surface | undefined =>
  facts.says === 'rhythm' ? facts.sight?.asked.find((s) => !facts.sight!.seen.includes(s)) : undefined;

/** What can be done about a duty where it stands, and taking the last of it back. */
export function useDeeds() {
  const navigate = useNavigate();
  const [just, setJust] = useState<JustDone | null>(null);
  const startLook = useStartLook();
  const removeTimer = useRemoveTimer();
  const wash = useWashById();
  const [done, skip, snooze, undo, back] = [useDutyDone(), useSkipDuty(), useSnoozeDuty(), useUndo(), useBack()];
  const all = [startLook, removeTimer, wash, done, skip, snooze, undo, back];

  const keep =
    (duty: schedule.Duty, what: string) =>
    ({ entryId }: { entryId: string }) =>
      setJust({ entryId, subject: duty.subject, words: `${duty.subject.name}: ${dutyWords(duty).title} – ${what}.` });
  const refOf = ({ code, subject: { kind, id } }: schedule.Duty) => ({ code, subject: { kind, id } });

  return {
    just,
    error: all.find((m) => m.error)?.error ?? null,
    busy: all.some((m) => m.isPending),
    act: (duty: schedule.Duty) => {
      const deed = deedOf(duty);
      if ('leads' in deed) return void navigate(deed.leads);
      switch (deed.does) {
        case 'look':
          return startLook.mutate(
            { itemId: duty.subject.id, at: asksFirst(duty) },
            { onSuccess: (doc) => void navigate(`/look/${doc.id}`) },
          );
        case 'mark':
          return done.mutate({ ...refOf(duty), at: null }, { onSuccess: keep(duty, 'done') });
        case 'wash':
          return wash.mutate({ id: duty.subject.id, at: null });
        case 'back':
          return back.mutate({ itemId: duty.subject.id, at: null }, { onSuccess: keep(duty, 'it is back') });
        case 'timer':
          return duty.facts.says === 'warming' ? removeTimer.mutate(duty.facts.timerId) : undefined;
        default:
          return deed.does satisfies never;
      }
    },
    /** It was done, at an earlier moment. */
    doneAt: (duty: schedule.Duty, at: string) =>
      duty.code === 'cloth-wash'
        ? wash.mutate({ id: duty.subject.id, at })
        : done.mutate({ ...refOf(duty), at }, { onSuccess: keep(duty, 'done then') }),
    putOff: (duty: schedule.Duty, until: schedule.Day) => snooze.mutate({ ...refOf(duty), until }, { onSuccess: keep(duty, 'put off') }),
    passOver: (duty: schedule.Duty, reason: schedule.SkipReason, note = '') =>
      skip.mutate(
        { ...refOf(duty), reason, note },
        { onSuccess: keep(duty, reason === 'lived-with' ? 'you live with it until it changes' : 'passed over this time') },
      ),
    takeBack: () => just && undo.mutate({ entryId: just.entryId, subject: just.subject }, { onSuccess: () => setJust(null) }),
  };
}
export type Deeds = ReturnType<typeof useDeeds>;
