import {
  routes,
  type ImportPreview,
  type ImportRequest,
  type ImportResult,
  type Item,
  type ItemInput,
  type ItemPage,
  type ItemStatus,
  type ItemUpdate,
  type Log,
  type Shelf,
  type ShelfQuery,
} from '@bright-keeper/contract';
import { useInfiniteQuery, useMutation, useQuery } from '@tanstack/react-query';
import { gearChanged } from '../../api/client';
import { http, queryString } from '../../api/http';
import { keys } from '../../api/keys';
import { wholeShelf } from '../../api/wholeShelf';

export type ShelfFilters = Partial<Omit<ShelfQuery, 'cursor' | 'limit'>>;

export const useShelf = (filters: ShelfFilters) =>
  useInfiniteQuery({
    queryKey: keys.shelfBy(filters),
    queryFn: ({ pageParam }) => http.get<Shelf>(routes.gear + queryString({ ...filters, cursor: pageParam })),
    initialPageParam: null as string | null,
    getNextPageParam: (last) => last.nextCursor,
    placeholderData: (previous) => previous,
  });

/** Every thing on the shelf by name, for choosing among all of them. */
export const useWholeShelf = () => useQuery({ queryKey: keys.wholeShelf, queryFn: wholeShelf });

/** `id` is not known until what names the thing has come. */
export const useItem = (id: string | undefined) =>
  useQuery({ queryKey: keys.item(id ?? ''), queryFn: () => http.get<ItemPage>(routes.item(id!)), enabled: id !== undefined });

export const useLog = (id: string) =>
  useInfiniteQuery({
    queryKey: keys.log(id),
    queryFn: ({ pageParam }) => http.get<Log>(routes.itemLog(id) + queryString({ limit: 20, cursor: pageParam })),
    initialPageParam: null as string | null,
    getNextPageParam: (last) => last.nextCursor,
  });

export const useAddItem = () =>
  useMutation({ mutationFn: (input: ItemInput) => http.post<Item>(routes.gear, input), onSuccess: (item) => gearChanged(item.id) });

export const useUpdateItem = (id: string) =>
  useMutation({ mutationFn: (change: ItemUpdate) => http.put<Item>(routes.item(id), change), onSuccess: () => gearChanged(id) });

export const useSetStatus = (id: string) =>
  useMutation({
    mutationFn: (change: { version: number; status: ItemStatus }) => http.put<Item>(routes.itemStatus(id), change),
    onSettled: () => gearChanged(id),
  });

export const useSetArchived = (id: string) =>
  useMutation({
    mutationFn: ({ version, archived }: { version: number; archived: boolean }) =>
      http.post<Item>(archived ? routes.itemArchive(id) : routes.itemRestore(id), { version }),
    onSettled: () => gearChanged(id),
  });

export const usePreview = () =>
  useMutation({ mutationFn: (request: ImportRequest) => http.post<ImportPreview>(routes.importPreview, request) });
export const useImport = () =>
  useMutation({
    mutationFn: (request: ImportRequest) => http.post<ImportResult>(routes.importConfirm, request),
    onSuccess: () => gearChanged(),
  });
