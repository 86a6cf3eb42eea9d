/* What other areas may use of this one. */
export { concernsPlace, Duties, useAtHand } from './DutiesOf';
export { DutyList, JustDone, SubjectLink } from './DutyRow';
export { useAgenda, useBack, useCapMissing, useRhythmOfMany, useRhythmsBack, useSendAway } from './queries';
export { RunBar } from './RunBar';
export { useDeeds, type Deeds } from './useDeeds';
