import { schedule } from '@bright-keeper/core';

/** A duty as the server tells it: a lens looked at long ago, unless something else is said. */
export function dutyOf(code: schedule.DutyCode, more: Partial<schedule.Duty> = {}): schedule.Duty {
  const { gravity, setUp, minutes } = schedule.dutyFacts(code);
  const subject = more.subject ?? { kind: 'thing', id: '1', name: 'Lens 1', itemKind: 'lens' };
  return {
    id: `${code}/${subject.kind}/${subject.id}`,
    code,
    subject,
    window: { earliest: '2026-03-01', due: '2026-03-10', latest: '2026-03-20' },
    minutes,
    gravity,
    setUp,
    urgency: 'due',
    facts: { says: 'rhythm', because: [{ because: 'last-look' }] },
    ahead: 0,
    estimate: null,
    snoozedUntil: null,
    plannedOn: null,
    ...more,
  };
}

export const lensOf = (id: string): schedule.NamedSubject => ({ kind: 'thing', id, name: `Lens ${id}`, itemKind: 'lens' });
export const agendaOf = (...duties: schedule.Duty[]): schedule.Agenda => ({ today: '2026-03-10', duties });
