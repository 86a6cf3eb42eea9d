import {
  routes,
  type FromPictures,
  type Outing,
  type OutingInput,
  type OutingUpdate,
  type TakenFromPictures,
} from '@bright-keeper/contract';
import type { schedule } from '@bright-keeper/core';
import { useMutation, useQuery } from '@tanstack/react-query';
import { gearChanged } from '../../api/client';
import { http } from '../../api/http';
import { keys } from '../../api/keys';

/** Outings are counted by rhythms: the agenda, and what is due of every thing, moves with them. */
const onSettled = () => gearChanged();

export const useOutings = () => useQuery({ queryKey: keys.outings, queryFn: () => http.get<Outing[]>(routes.outings) });
/** What an outing asks for, before, under way and at home. */
export const useOutingAsks = (id: string) =>
  useQuery({ queryKey: keys.outingAsks(id), queryFn: () => http.get<schedule.Duty[]>(routes.outingAsks(id)) });
export const useAddOuting = () => useMutation({ mutationFn: (input: OutingInput) => http.post<Outing>(routes.outings, input), onSettled });
export const useUpdateOuting = () =>
  useMutation({ mutationFn: ({ id, ...change }: OutingUpdate & { id: string }) => http.put<Outing>(routes.outing(id), change), onSettled });
export const useRemoveOuting = () => useMutation({ mutationFn: (id: string) => http.delete(routes.outing(id)), onSettled });
export const useTakeInPictures = () =>
  useMutation({ mutationFn: (told: FromPictures) => http.post<TakenFromPictures>(routes.outingsFromPictures, told), onSettled });
