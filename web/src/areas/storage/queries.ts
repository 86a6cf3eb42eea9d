import {
  routes,
  type Chart,
  type DutyDone,
  type HomesPage,
  type LongOwned,
  type Moved,
  type MoveItem,
  type MoveItems,
  type MovesTakenBack,
  type Place,
  type PlaceEventInput,
  type PlaceInput,
  type PlaceExplanation,
  type PlacePage,
  type Places,
  type PlaceUpdate,
  type Stay,
  type StorageOverview,
  type Timer,
  type TimerInput,
  type WhatIfStart,
} from '@bright-keeper/contract';
import { storage } from '@bright-keeper/core';
import { useMutation, useQuery } from '@tanstack/react-query';
import { gearChanged, queryClient } from '../../api/client';
import { http, queryString } from '../../api/http';
import { keys } from '../../api/keys';
import { orKept } from '../../api/orKept';

/** Hygrometers push by themselves: what they say is fetched again now and then. */
const LIVE_MS = 20_000;

export function storageChanged(): void {
  void queryClient.invalidateQueries({ queryKey: keys.storage });
  void queryClient.invalidateQueries({ queryKey: keys.today });
  void queryClient.invalidateQueries({ queryKey: keys.schedule });
}

function idsBySince(things: LongOwned['things'], since: string): Map<string, string[]> {
  const by = new Map<string, string[]>();
  for (const { id, acquiredOn } of things) {
    const each = storage.sinceForOne(since, acquiredOn);
    by.set(each, [...(by.get(each) ?? []), id]);
  }
  return by;
}
function lainChanged(): void {
  storageChanged();
  void queryClient.invalidateQueries({ queryKey: ['gear'] });
}

export const usePlaces = () => useQuery({ queryKey: keys.places, queryFn: () => http.get<Places>(routes.places) });
export const useHomes = () => useQuery({ queryKey: keys.homes, queryFn: () => http.get<HomesPage>(routes.homes) });
export const useOverview = () =>
  useQuery({ queryKey: keys.overview, queryFn: () => http.get<StorageOverview>(routes.storage), refetchInterval: LIVE_MS });
export const usePlace = (id: string) =>
  useQuery({ queryKey: keys.place(id), queryFn: () => http.get<PlacePage>(routes.placePage(id)), refetchInterval: LIVE_MS });
/** In as many points as are told apart on this screen. */
export const useChart = (id: string, from: string, to: string, points: number) =>
  useQuery({
    queryKey: keys.chart(id, from, to, points),
    queryFn: () => http.get<Chart>(routes.placeChart(id) + queryString({ from, to, points })),
    placeholderData: (previous) => previous,
  });
/** What its past says of a place: worked out once a day, and anew when something is done in it. */
export const useExplanation = (id: string) =>
  useQuery({
    queryKey: keys.explanation(id),
    queryFn: () => http.get<PlaceExplanation>(routes.placeExplanation(id)),
    staleTime: 600_000,
  });
/** `roomId`: as if it stood in that place. */
export const useWhatIf = (id: string, roomId: string | null) =>
  useQuery({
    queryKey: keys.whatIf(id, roomId),
    queryFn: () => http.get<WhatIfStart>(routes.placeWhatIf(id) + queryString({ roomId })),
    staleTime: 600_000,
  });

export const useAddPlace = () =>
  useMutation({ mutationFn: (input: PlaceInput) => http.post<Place>(routes.places, input), onSettled: storageChanged });
export const useUpdatePlace = (id: string) =>
  useMutation({ mutationFn: (change: PlaceUpdate) => http.put<Place>(routes.place(id), change), onSettled: storageChanged });
export const useArchivePlace = (id: string) =>
  useMutation({ mutationFn: (version: number) => http.post<Place>(routes.placeArchive(id), { version }), onSettled: storageChanged });
export const usePlaceEvent = (id: string) =>
  useMutation({
    mutationFn: (event: PlaceEventInput) => http.post<PlacePage>(routes.placeEvents(id), event),
    onSuccess: (page) => {
      queryClient.setQueryData(keys.place(id), page);
      storageChanged();
    },
  });

export const useMoveItem = (itemId: string) =>
  useMutation({
    mutationFn: (move: MoveItem) => http.put<Stay[]>(routes.itemPlace(itemId), move),
    onSettled: () => {
      gearChanged(itemId);
      storageChanged();
    },
  });

/** Several things, one after another: what was moved stays moved where the next one is refused. */
export const useMoveItems = () =>
  useMutation({
    mutationFn: async (moves: readonly { itemId: string; placeId: string | null }[]) => {
      for (const { itemId, placeId } of moves)
        await http.put<Stay[]>(routes.itemPlace(itemId), { placeId, since: null } satisfies MoveItem);
    },
    onSettled: () => {
      void queryClient.invalidateQueries({ queryKey: ['gear'] });
      storageChanged();
    },
  });

export const useAddTimer = () =>
  useMutation({
    mutationFn: (input: TimerInput) =>
      orKept(
        () => http.post<Timer>(routes.timers, input),
        (kept) => kept.notes.timer(input),
      ),
    onSettled: storageChanged,
  });
/** That what an outing asks for on coming in from the cold is seen to. */
export const useCameIn = () =>
  useMutation({
    mutationFn: (outingId: string) =>
      http.post(routes.dutyDone, { code: 'comes-in-cold', subject: { kind: 'outing', id: outingId }, at: null } satisfies DutyDone),
    onSettled: storageChanged,
  });
/** Tells for many since when they lie where they lie, each not before it was bought. */
export const useLainSince = () =>
  useMutation({
    mutationFn: async ({ longOwned, since }: { longOwned: readonly LongOwned[]; since: string }) => {
      const told = { entryIds: [] as string[], refused: 0 };
      for (const { place, things } of longOwned)
        for (const [each, itemIds] of idsBySince(things, since)) {
          const { entryIds, refused } = await http.post<Moved>(routes.moves, {
            itemIds,
            placeId: place.id,
            since: each,
            alone: true,
          } satisfies MoveItems);
          told.entryIds.push(...entryIds);
          told.refused += refused.length;
        }
      return told;
    },
    onSettled: lainChanged,
  });
export const useTakeLainBack = () =>
  useMutation({
    mutationFn: (entryIds: string[]) => http.post<MovesTakenBack>(routes.movesTakenBack, { entryIds }),
    onSettled: lainChanged,
  });

export const useRemoveTimer = () => useMutation({ mutationFn: (id: string) => http.delete(routes.timer(id)), onSettled: storageChanged });
