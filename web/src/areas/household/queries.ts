import {
  routes,
  type BackupFile,
  type BackupFolder,
  type Backups,
  type Health,
  type MergePreview,
  type TakenIn,
  type Trail,
  type TrailQuery,
} from '@bright-keeper/contract';
import { useInfiniteQuery, useMutation, useQuery } from '@tanstack/react-query';
import { queryClient } from '../../api/client';
import { http, queryString } from '../../api/http';
import { keys } from '../../api/keys';

const A_MINUTE_MS = 60_000;
/** Whoever waits for room, or for the database, is told soon after. */
const SOON_MS = 5000;
const isWell = (health: Health | undefined): boolean =>
  !health || (health.database.answers && health.database.ours && (health.disk?.enough ?? true));
const ZIP = 'application/zip';

/** How the server is: asked again each minute, since a disk fills while one works, and more often while it does not go on. */
export const useHealth = () =>
  useQuery(
    {
      queryKey: keys.health,
      queryFn: () => http.get<Health>(routes.health),
      refetchInterval: ({ state }) => (isWell(state.data) ? A_MINUTE_MS : SOON_MS),
      staleTime: A_MINUTE_MS / 2,
    },
    queryClient,
  );

export const useBackups = () => useQuery({ queryKey: keys.backups, queryFn: () => http.get<Backups>(routes.backups) });

export const useTrail = (who: TrailQuery['who']) =>
  useInfiniteQuery({
    queryKey: keys.trail(who),
    queryFn: ({ pageParam }) => http.get<Trail>(routes.trail + queryString({ who, cursor: pageParam })),
    initialPageParam: null as string | null,
    getNextPageParam: (last) => last.nextCursor,
  });

const refetchSafety = () => Promise.all([keys.backups, keys.health].map((queryKey) => queryClient.invalidateQueries({ queryKey })));

export const useMakeBackup = () => useMutation({ mutationFn: () => http.post<BackupFile>(routes.backups, {}), onSettled: refetchSafety });

export const usePutInto = () =>
  useMutation({ mutationFn: (to: BackupFolder) => http.put<Backups>(routes.backupFolder, to), onSuccess: refetchSafety });

export const useTakeInPreview = () =>
  useMutation({ mutationFn: (file: File) => http.postFile<MergePreview>(routes.takeInPreview, file, ZIP) });

/** Everything may be another thing now, so nothing that was fetched is kept. */
const forgetAll = () => queryClient.invalidateQueries();

export const useTakeIn = () =>
  useMutation({ mutationFn: (file: File) => http.postFile<TakenIn>(routes.takeIn, file, ZIP), onSuccess: forgetAll });

export const useRestore = () =>
  useMutation({ mutationFn: (file: File) => http.postFile<TakenIn>(routes.restore, file, ZIP), onSuccess: forgetAll });
