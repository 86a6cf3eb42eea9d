import { schedule } from '@bright-keeper/core';
import { Failure } from '../../ui/parts';
import { DutyList, JustDone } from './DutyRow';
import { useAgenda } from './queries';
import { useDeeds } from './useDeeds';

/** Duties as they are given, with what can be done about each; on a subject's own page its name stands above already. */
export function Duties({ duties, pageOf }: { duties: readonly schedule.Duty[]; pageOf?: string }) {
  const deeds = useDeeds();
  return (
    <>
      {deeds.error && <Failure error={deeds.error} />}
      <JustDone deeds={deeds} />
      {duties.length > 0 && <DutyList duties={duties} deeds={deeds} {...(pageOf ? { pageOf } : {})} />}
    </>
  );
}

/** What is at hand of the agenda, as far as it concerns a page; undefined while it is fetched. */
export function useAtHand(concerns: (duty: schedule.Duty) => boolean): schedule.Duty[] | undefined {
  const agenda = useAgenda();
  return agenda.data?.duties.filter((d) => schedule.isAtHand(d) && concerns(d));
}

/** Does a duty concern a place: it is about it, or about something shut away in it. */
export const concernsPlace = (duty: schedule.Duty, placeId?: string): boolean => {
  const of = duty.subject.kind === 'place' ? duty.subject.id : duty.facts.says === 'air' ? duty.facts.placeId : null;
  return of !== null && (placeId === undefined || of === placeId);
};
