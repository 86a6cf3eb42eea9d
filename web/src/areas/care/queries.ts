import {
  routes,
  type Cleaning,
  type Cleanings,
  type FinishCleaning,
  type ItemPage,
  type RungsAtTheBench,
  type SaveEvents,
  type HappenedOutdoors,
  type SaveTeardown,
  type StartCleaning,
  type StartTeardown,
  type Teardown,
  type ToldLater,
  type WaitForHome,
} from '@bright-keeper/contract';
import type { care } from '@bright-keeper/core';
import { useMutation, useQuery } from '@tanstack/react-query';
import { gearChanged, queryClient } from '../../api/client';
import { http } from '../../api/http';
import { keys } from '../../api/keys';
import { v4 as newId } from 'uuid';
import { orKept, remembered } from '../../api/orKept';
import { RECENT_CLEANINGS } from '../../kept/addresses';

/** `request`: what the plan on the page was made from; where the household is out of reach it is begun by that. */
export const useStartCleaning = () =>
  useMutation({
    mutationFn: ({ request, ...start }: StartCleaning & { request: care.PlanRequest }) =>
      orKept(
        () => http.post<Cleaning>(routes.cleanings, start),
        (kept) => kept.cleanings.begin(start, request),
      ),
    onSuccess: (cleaning) => {
      queryClient.setQueryData(keys.cleaning(cleaning.id), cleaning);
      gearChanged(cleaning.itemId);
    },
  });

/** What came of each rung at this bench; a plan stands without it. */
export const useRungs = () => useQuery({ queryKey: keys.rungs, queryFn: () => http.get<RungsAtTheBench>(routes.rungsAtTheBench) });

/** A cleaning is loaded once; from then on the bench is ahead of the server. */
export const useCleaning = (id: string) =>
  useQuery({ queryKey: keys.cleaning(id), queryFn: () => http.get<Cleaning>(routes.cleaning(id)), staleTime: Infinity });

export const useRecentCleanings = () => useQuery({ queryKey: keys.cleanings, queryFn: () => http.get<Cleanings>(RECENT_CLEANINGS) });

export const saveCleaning =
  (id: string) =>
  (version: number, { events }: Pick<SaveEvents, 'events'>) =>
    orKept(
      () => http.put<Cleaning>(routes.cleaning(id), { version, events }).then(remembered(routes.cleaning(id))),
      (kept) => kept.cleanings.save(id, events),
      id,
    );
export const cacheCleaning = (cleaning: Cleaning): void => void queryClient.setQueryData(keys.cleaning(cleaning.id), cleaning);

export const useFinishCleaning = (id: string) =>
  useMutation({
    mutationKey: keys.ending(id),
    mutationFn: (finish: FinishCleaning) =>
      orKept(
        () => http.post<ItemPage>(routes.cleaningFinish(id), finish),
        (kept) => kept.cleanings.finish(id, finish.at),
        id,
      ),
    onSuccess: (item) => {
      queryClient.removeQueries({ queryKey: keys.cleaning(id) });
      void queryClient.invalidateQueries({ queryKey: keys.rungs });
      void queryClient.invalidateQueries({ queryKey: keys.benchUses });
      void queryClient.invalidateQueries({ queryKey: keys.drawer });
      gearChanged(item.id);
    },
  });

/** The plan made anew from the drawer and schools of now, keeping what was done. */
export const useRemakePlan = (id: string) =>
  useMutation({
    mutationFn: (version: number) => http.post<Cleaning>(routes.cleaningRemake(id), { version }),
    onSuccess: cacheCleaning,
  });

export const useDropCleaning = (cleaning: Cleaning) =>
  useMutation({
    mutationKey: keys.ending(cleaning.id),
    mutationFn: () =>
      orKept(
        () => http.delete(routes.cleaning(cleaning.id)),
        (kept) => kept.cleanings.drop(cleaning.id),
        cleaning.id,
      ),
    onSuccess: () => {
      queryClient.removeQueries({ queryKey: keys.cleaning(cleaning.id) });
      gearChanged(cleaning.itemId);
    },
  });

export const useStartTeardown = () =>
  useMutation({
    mutationFn: (start: StartTeardown) => http.post<Teardown>(routes.teardowns, start),
    onSuccess: (teardown) => {
      queryClient.setQueryData(keys.teardown(teardown.id), teardown);
      gearChanged(teardown.itemId);
    },
  });

export const useTeardown = (id: string) =>
  useQuery({ queryKey: keys.teardown(id), queryFn: () => http.get<Teardown>(routes.teardown(id)), staleTime: Infinity });

export const saveTeardown = (id: string) => (version: number, draft: Omit<SaveTeardown, 'version'>) =>
  http.put<Teardown>(routes.teardown(id), { version, ...draft });
export const cacheTeardown = (teardown: Teardown): void => void queryClient.setQueryData(keys.teardown(teardown.id), teardown);

export const useSavePhoto = (id: string) =>
  useMutation({
    mutationFn: ({ stageId, file }: { stageId: string; file: File }) =>
      http.putFile(routes.teardownPhoto(id, stageId), file, file.type || 'image/jpeg'),
  });

/** Ends the record, or drops it. */
export const useEndTeardown = (teardown: Teardown) =>
  useMutation({
    mutationKey: keys.ending(teardown.id),
    mutationFn: async (how: { version: number } | 'drop') => {
      if (how === 'drop') await http.delete(routes.teardown(teardown.id));
      else await http.post<Teardown>(routes.teardownFinish(teardown.id), how);
    },
    onSuccess: () => {
      queryClient.removeQueries({ queryKey: keys.teardown(teardown.id) });
      gearChanged(teardown.itemId);
    },
  });

/** Known by this id when it is told once more because no answer came. */
const toldNow = (): ToldLater => ({ id: newId(), agoS: 0 });

export const useHappened = () =>
  useMutation({
    mutationFn: (happened: HappenedOutdoors) => {
      const told = { ...happened, later: toldNow() };
      return orKept(
        () => http.post<void>(routes.happenings, told),
        (kept) => kept.notes.happened(told),
      );
    },
    onSuccess: (_, { itemIds }) => itemIds.forEach((id) => gearChanged(id)),
  });

export const useKeepForHome = (what: WaitForHome) =>
  useMutation({
    mutationFn: () => {
      const told = { ...what, later: toldNow() };
      return orKept(
        () => http.post<void>(routes.waitForHome, told),
        (kept) => kept.notes.waitForHome(told),
      );
    },
    onSuccess: () => gearChanged(what.itemId),
  });
