import {
  routes,
  type Dismissed,
  type DismissInput,
  type GlareInput,
  type GlareTest,
  type GlareTests,
  type LookDoc,
  type SensorFrame,
  type SensorFrameInput,
  type SensorFrames,
  type SensorFrameUpdate,
} from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useRef } from 'react';
import { gearChanged, queryClient } from '../../api/client';
import { http, queryString } from '../../api/http';
import { keys } from '../../api/keys';
import { outside } from '../../outside';

export const useFrames = (itemId: string) =>
  useQuery({ queryKey: keys.frames(itemId), queryFn: () => http.get<SensorFrames>(routes.sensorFrames + queryString({ itemId })) });

const changed = (itemId: string) => async (): Promise<void> => {
  await queryClient.invalidateQueries({ queryKey: keys.frames(itemId) });
  gearChanged(itemId);
};

/**
 * A frame and its picture; the file as it came where that is wanted. Where a picture fails on the way the frame is there
 * already: trying again sends only the pictures.
 */
export function useKeepFrame(itemId: string) {
  const kept = useRef(new WeakMap<Blob, SensorFrame>());
  return useMutation({
    mutationFn: async ({ input, preview, original }: { input: SensorFrameInput; preview: Blob; original: File | null }) => {
      const frame = kept.current.get(preview) ?? (await http.post<SensorFrame>(routes.sensorFrames, input));
      kept.current.set(preview, frame);
      await http.putFile(routes.framePicture(frame.id, 'preview'), preview, 'image/jpeg');
      if (original) await http.putFile(routes.framePicture(frame.id, 'original'), original, 'application/octet-stream');
      return frame;
    },
    onSettled: changed(itemId),
  });
}

export const useChangeFrame = (itemId: string) =>
  useMutation({
    mutationFn: ({ id, ...change }: SensorFrameUpdate & { id: string }) => http.put<SensorFrame>(routes.sensorFrame(id), change),
    onSettled: changed(itemId),
  });

export const useRemoveFrame = (itemId: string) =>
  useMutation({ mutationFn: (id: string) => http.delete(routes.sensorFrame(id)), onSettled: changed(itemId) });

export const useDismiss = (itemId: string) =>
  useMutation({ mutationFn: (input: DismissInput) => http.post<Dismissed>(routes.dismissedSpots, input), onSettled: changed(itemId) });

export const useTakeBack = (itemId: string) =>
  useMutation({ mutationFn: (id: string) => http.delete(routes.dismissedSpot(id)), onSettled: changed(itemId) });

/** Writes what the frame shows as a look at the sensor, so that the plan and the bench know of it. */
export const useTakeToBench = (itemId: string) =>
  useMutation({
    mutationFn: async (shows: number) => {
      const look = await http.post<LookDoc>(routes.looks, { itemId });
      const others = look.answers.filter((a) => a.surface !== 'sensor-cover');
      const answers = [
        ...others,
        { surface: 'sensor-cover' as const, findings: care.specksFound(shows).map(({ surface: _, ...seen }) => seen), note: '' },
      ];
      const saved = await http.put<LookDoc>(routes.look(look.id), { version: look.version, at: look.at, answers });
      await http.post(routes.lookFinish(look.id), { version: saved.version });
    },
    onSettled: changed(itemId),
  });

/** The picture of a frame, to be drawn on. */
export const useFramePicture = (hash: string | null) =>
  useQuery({
    queryKey: keys.picture(hash),
    enabled: hash !== null,
    staleTime: Infinity,
    queryFn: async () => (await outside.fetch(routes.blob(hash!))).blob(),
  });

export const useGlareTests = (itemId: string) =>
  useQuery({ queryKey: keys.glare(itemId), queryFn: () => http.get<GlareTests>(routes.glareTests + queryString({ itemId })) });

const glareChanged = (itemId: string) => () => queryClient.invalidateQueries({ queryKey: keys.glare(itemId) });

export const useAddGlare = (itemId: string) =>
  useMutation({ mutationFn: (input: GlareInput) => http.post<GlareTest>(routes.glareTests, input), onSettled: glareChanged(itemId) });

export const useRemoveGlare = (itemId: string) =>
  useMutation({ mutationFn: (id: string) => http.delete(routes.glareTest(id)), onSettled: glareChanged(itemId) });
