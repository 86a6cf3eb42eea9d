import { schedule } from '@bright-keeper/core';

/** What the one action of a duty does: it leads somewhere, or it is done right there. */
export type Deed = { leads: string } | { does: 'look' | 'mark' | 'timer' | 'wash' | 'back' };

/** Where what is found in the air is answered. */
function airRoute(facts: Extract<schedule.DutyFacts, { says: 'air' }>): string {
  switch (facts.cause) {
    case 'fungus':
      return facts.threat === 'thin-log' ? '/hygrometers' : `/storage/${facts.placeId}/what-if`;
    case 'damp':
    case 'leaves-band':
      return `/storage/${facts.placeId}/what-if`;
    case 'too-dry':
    case 'gel-spent':
      return `/storage/${facts.placeId}`;
    case 'too-closed':
      return `/gear/${facts.itemId}`;
    case 'apart':
      return '/hygrometers';
    case 'silent':
      return `/hygrometers?device=${facts.deviceId}`;
    default:
      return facts satisfies never;
  }
}

const WORK: Record<Extract<schedule.DutyFacts, { says: 'open-work' }>['work'], string> = {
  look: 'look',
  cleaning: 'bench',
  teardown: 'teardown',
};

/** The page of what a duty is about. */
export function subjectRoute({ kind, id }: schedule.SubjectRef): string | null {
  switch (kind) {
    case 'thing':
      return `/gear/${id}`;
    case 'place':
      return `/storage/${id}`;
    case 'hygrometer':
      return `/hygrometers?device=${id}`;
    case 'supply':
      return '/supplies';
    case 'outing':
      return `/outings/${id}`;
    case 'household':
      return null;
    default:
      return kind satisfies never;
  }
}

export function deedOf({ code, facts, subject }: Pick<schedule.Duty, 'code' | 'facts' | 'subject'>): Deed {
  if (facts.says === 'air') return { leads: airRoute(facts) };
  if (facts.says === 'open-work') return { leads: `/${WORK[facts.work]}/${facts.id}` };
  const { doneBy } = schedule.dutyFacts(code);
  switch (doneBy) {
    case 'look':
    case 'mark':
    case 'timer':
    case 'wash':
    case 'back':
      return { does: doneBy };
    case 'warm-up':
      return { leads: `/warm-up?outing=${subject.id}` };
    case 'frame':
      return { leads: `/gear/${subject.id}/frames` };
    case 'plan':
      return { leads: `/gear/${subject.id}/plan` };
    default:
      return { leads: subjectRoute(subject) ?? '/' };
  }
}
