import {
  routes,
  type Cleaning,
  type Cleanings,
  type FinishCleaning,
  type ItemPage,
  type SaveEvents,
  type StartCleaning,
} from '@bright-keeper/contract';
import { useMutation, useQuery } from '@tanstack/react-query';
import { gearChanged, queryClient } from '../../api/client';
import { http, queryString } from '../../api/http';
import { keys } from '../../api/keys';

export const useStartCleaning = () =>
  useMutation({
    mutationFn: (start: StartCleaning) => http.post<Cleaning>(routes.cleanings, start),
    onSuccess: (cleaning) => {
      queryClient.setQueryData(keys.cleaning(cleaning.id), cleaning);
      gearChanged(cleaning.itemId);
    },
  });

/** A cleaning is loaded once; from then on the bench is ahead of the server. */
export const useCleaning = (id: string) =>
  useQuery({ queryKey: keys.cleaning(id), queryFn: () => http.get<Cleaning>(routes.cleaning(id)), staleTime: Infinity });

export const useRecentCleanings = () =>
  useQuery({ queryKey: keys.cleanings, queryFn: () => http.get<Cleanings>(routes.cleanings + queryString({ open: false, limit: 12 })) });

export const saveCleaning =
  (id: string) =>
  (version: number, { events }: Pick<SaveEvents, 'events'>) =>
    http.put<Cleaning>(routes.cleaning(id), { version, events });
export const cacheCleaning = (cleaning: Cleaning): void => void queryClient.setQueryData(keys.cleaning(cleaning.id), cleaning);

export const useFinishCleaning = (id: string) =>
  useMutation({
    mutationFn: (finish: FinishCleaning) => http.post<ItemPage>(routes.cleaningFinish(id), finish),
    onSuccess: (item) => {
      queryClient.removeQueries({ queryKey: keys.cleaning(id) });
      void queryClient.invalidateQueries({ queryKey: keys.drawer });
      gearChanged(item.id);
    },
  });

export const useDropCleaning = (cleaning: Cleaning) =>
  useMutation({
    mutationFn: () => http.delete(routes.cleaning(cleaning.id)),
    onSuccess: () => {
      queryClient.removeQueries({ queryKey: keys.cleaning(cleaning.id) });
      gearChanged(cleaning.itemId);
    },
  });
