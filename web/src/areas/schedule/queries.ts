import {
  routes,
  type BenchDayPage,
  type BenchDays,
  type BenchTimes,
  type BusyCalendar,
  type BusyFile,
  type BusyAddress,
  type CapMissing,
  type DutyDone,
  type DutyRef,
  type Feed,
  type FeedInput,
  type KeptRhythm,
  type NewFeed,
  type PlanDuty,
  type RhythmInput,
  type RhythmPreview,
  type RhythmOfMany,
  type RhythmsBack,
  type RhythmsSet,
  type SaveRhythm,
  type SayBack,
  type SendAway,
  type SkipDuty,
  type SnoozeDuty,
  type Written,
} from '@bright-keeper/contract';
import type { schedule } from '@bright-keeper/core';
import { useMutation, useQuery } from '@tanstack/react-query';
import { gearChanged, queryClient } from '../../api/client';
import { http } from '../../api/http';
import { keys } from '../../api/keys';

/** What a duty's day or doing changes: the agenda, Today, and the page of the thing it is about. */
function agendaChanged(subject?: schedule.SubjectRef): void {
  gearChanged(subject?.kind === 'thing' ? subject.id : undefined);
}

export const useAgenda = () => useQuery({ queryKey: keys.agenda, queryFn: () => http.get<schedule.Agenda>(routes.agenda) });
export const useBenchDays = () => useQuery({ queryKey: keys.benchDays, queryFn: () => http.get<BenchDays>(routes.benchDays) });
export const useBenchDay = (day: string) =>
  useQuery({ queryKey: keys.benchDay(day), queryFn: () => http.get<BenchDayPage>(routes.benchDay(day)) });
export const useRhythms = () => useQuery({ queryKey: keys.rhythms, queryFn: () => http.get<KeptRhythm[]>(routes.rhythms) });
/** What a rhythm would make of the next year; asked anew whenever it changes, the last answer shown until then. */
export const useRhythmPreview = (input: RhythmInput) =>
  useQuery({
    queryKey: keys.rhythmPreview(input),
    queryFn: () => http.post<RhythmPreview>(routes.rhythmPreview, input),
    placeholderData: (previous) => previous,
  });

const writes = <T extends DutyRef>(path: string) =>
  ({
    mutationFn: (input: T) => http.post<Written>(path, input),
    onSettled: (_data: unknown, _error: unknown, { subject }: T) => agendaChanged(subject),
  }) as const;
export const useDutyDone = () => useMutation(writes<DutyDone>(routes.dutyDone));
export const useSkipDuty = () => useMutation(writes<SkipDuty>(routes.dutySkip));
export const useSnoozeDuty = () => useMutation(writes<SnoozeDuty>(routes.dutySnooze));
export const usePlanDuty = () => useMutation(writes<PlanDuty>(routes.dutyPlan));
export const useUndo = () =>
  useMutation({
    mutationFn: ({ entryId }: { entryId: string; subject: schedule.SubjectRef }) => http.post<Written>(routes.journalUndo(entryId), {}),
    onSettled: (_data, _error, { subject }) => agendaChanged(subject),
  });
export const useSendAway = () =>
  useMutation({
    mutationFn: (away: SendAway) => http.post<Written>(routes.away, away),
    onSettled: (_data, _error, { itemId }) => gearChanged(itemId),
  });
export const useCapMissing = () =>
  useMutation({
    mutationFn: (cap: CapMissing) => http.post<Written>(routes.capMissing, cap),
    onSettled: (_data, _error, { itemId }) => gearChanged(itemId),
  });
export const useBack = () =>
  useMutation({
    mutationFn: (back: SayBack) => http.post<Written>(routes.back, back),
    onSettled: (_data, _error, { itemId }) => gearChanged(itemId),
  });

export const useSaveRhythm = () =>
  useMutation({ mutationFn: (rhythm: SaveRhythm) => http.put<KeptRhythm>(routes.rhythms, rhythm), onSettled: () => agendaChanged() });
/** A rhythm for many things at once, and what held of each before put back. */
export const useRhythmOfMany = () =>
  useMutation({ mutationFn: (rhythm: RhythmOfMany) => http.put<RhythmsSet>(routes.rhythmsMany, rhythm), onSettled: () => gearChanged() });
export const useRhythmsBack = () =>
  useMutation({ mutationFn: (before: RhythmsBack) => http.put<null>(routes.rhythmsBack, before), onSettled: () => gearChanged() });
export const useRemoveRhythm = () =>
  useMutation({ mutationFn: (id: string) => http.delete(routes.rhythm(id)), onSettled: () => agendaChanged() });
export const useSaveBenchTimes = () =>
  useMutation({ mutationFn: (times: BenchTimes) => http.put<BenchTimes>(routes.benchTimes, times), onSettled: () => agendaChanged() });

const feedsChanged = () => void queryClient.invalidateQueries({ queryKey: keys.feeds });
export const useFeeds = () => useQuery({ queryKey: keys.feeds, queryFn: () => http.get<Feed[]>(routes.feeds) });
export const useAddFeed = () =>
  useMutation({ mutationFn: (feed: FeedInput) => http.post<NewFeed>(routes.feeds, feed), onSettled: feedsChanged });
export const useRevokeFeed = () => useMutation({ mutationFn: (id: string) => http.delete(routes.feed(id)), onSettled: feedsChanged });

export const useBusy = () => useQuery({ queryKey: keys.busy, queryFn: () => http.get<BusyCalendar[]>(routes.busy) });
export const useBusyFile = () =>
  useMutation({ mutationFn: (file: BusyFile) => http.post<BusyCalendar>(routes.busyFile, file), onSettled: () => agendaChanged() });
export const useBusyAddress = () =>
  useMutation({
    mutationFn: (address: BusyAddress) => http.post<BusyCalendar>(routes.busyAddress, address),
    onSettled: () => agendaChanged(),
  });
export const useRefreshBusy = () =>
  useMutation({ mutationFn: (id: string) => http.post<BusyCalendar>(routes.busyCalendar(id), {}), onSettled: () => agendaChanged() });
export const useRemoveBusy = () =>
  useMutation({ mutationFn: (id: string) => http.delete(routes.busyCalendar(id)), onSettled: () => agendaChanged() });
