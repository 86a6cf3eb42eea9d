import {
  type FinishLook,
  routes,
  type ItemPage,
  type LookDoc,
  type LookPhoto,
  type LookPhotoQuery,
  type LookPhotos,
  type SaveLook,
} from '@bright-keeper/contract';
import type { care } from '@bright-keeper/core';
import { useMutation, useQuery } from '@tanstack/react-query';
import { v4 as newId } from 'uuid';
import { gearChanged, queryClient } from '../../api/client';
import { http, queryString } from '../../api/http';
import { keys } from '../../api/keys';
import { orKept, remembered } from '../../api/orKept';

/** Begins a look, or goes on with the one that is open; standing at a surface where one is told. */
export const useStartLook = () =>
  useMutation({
    mutationFn: async ({ itemId, at }: { itemId: string; at?: care.Surface }) => {
      const look = await orKept(
        () => http.post<LookDoc>(routes.looks, { itemId }),
        (kept) => kept.looks.begin(itemId),
      );
      return at ? saveLook(look.id)(look.version, { at, answers: look.answers }) : look;
    },
    onSuccess: (look) => {
      queryClient.setQueryData(keys.look(look.id), look);
      gearChanged(look.itemId);
    },
  });

/** A look is loaded once; from then on the screen is ahead of the server. */
export const useLook = (id: string) =>
  useQuery({ queryKey: keys.look(id), queryFn: () => http.get<LookDoc>(routes.look(id)), staleTime: Infinity });

export const saveLook = (id: string) => (version: number, draft: Omit<SaveLook, 'version'>) =>
  orKept(
    () => http.put<LookDoc>(routes.look(id), { version, ...draft }).then(remembered(routes.look(id))),
    (kept) => kept.looks.save(id, draft),
    id,
  );
export const cacheLook = (look: LookDoc): void => void queryClient.setQueryData(keys.look(look.id), look);

export const useFinishLook = (id: string) =>
  useMutation({
    mutationKey: keys.ending(id),
    mutationFn: (how: FinishLook) =>
      orKept(
        () => http.post<ItemPage>(routes.lookFinish(id), how),
        (kept) => kept.looks.finish(id, how.at),
        id,
      ),
    onSuccess: (item) => {
      queryClient.removeQueries({ queryKey: keys.look(id) });
      gearChanged(item.id);
    },
  });

export const useDropLook = (look: LookDoc) =>
  useMutation({
    mutationKey: keys.ending(look.id),
    mutationFn: () =>
      orKept(
        () => http.delete(routes.look(look.id)),
        (kept) => kept.looks.drop(look.id),
        look.id,
      ),
    onSuccess: () => {
      queryClient.removeQueries({ queryKey: keys.look(look.id) });
      gearChanged(look.itemId);
    },
  });

export const useLookPhotos = (lookId: string) =>
  useQuery({ queryKey: keys.lookPhotos(lookId), queryFn: () => http.get<LookPhotos>(routes.lookPhotos(lookId)) });

const photosChanged = (lookId: string) => () => queryClient.invalidateQueries({ queryKey: keys.lookPhotos(lookId) });

export const useAddPhoto = (lookId: string) =>
  useMutation({
    mutationFn: ({ file, ...seen }: LookPhotoQuery & { file: File }) => {
      // Known by its id when it is sent once more because no answer came.
      const query = { ...seen, id: newId() };
      return orKept(
        () => http.postFile<LookPhoto>(routes.lookPhotos(lookId) + queryString(query), file, file.type || 'image/jpeg'),
        (kept) => kept.looks.photograph(lookId, { file, ...query }),
        lookId,
      );
    },
    onSettled: photosChanged(lookId),
  });

export const useRemovePhoto = (lookId: string) =>
  useMutation({
    mutationFn: (photoId: string) =>
      orKept(
        () => http.delete(routes.lookPhoto(lookId, photoId)),
        (kept) => kept.looks.dropPhoto(photoId),
        photoId,
      ),
    onSettled: photosChanged(lookId),
  });
