import {
  type ArchiveItem,
  type GroupQuery,
  type Inventory,
  type ShelfGroups as ShelfGroupsAnswer,
  type CorrectLook,
  type PutTogether,
  type Looked,
  type LookedAtMany,
  type SendManyAway,
  type SentAway,
  type TakenBack,
  type DoneToMany,
  type FitPage,
  type Vocabulary,
  routes,
  type ImportPreview,
  type ImportRequest,
  type ImportResult,
  type Item,
  type ItemFile,
  type ItemFileUpdate,
  type ItemInput,
  type ItemPage,
  type ItemStatus,
  type ItemUpdate,
  type Log,
  type Moved,
  type MoveItems,
  type MovesTakenBack,
  type Shelf,
  type ShelfQuery,
  type SplitItem,
  type TagThings,
  type TakeMovesBack,
} from '@bright-keeper/contract';
import { keepPreviousData, useInfiniteQuery, useMutation, useQuery } from '@tanstack/react-query';
import { gearChanged, queryClient } from '../../api/client';
import { http, queryString } from '../../api/http';
import { keys } from '../../api/keys';
import { storageChanged } from '../storage';
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

/** Everything as it is printed. */
/** As it stands, or as it stood on a day. */
export const useInventory = (on: string | null) =>
  useQuery({
    queryKey: keys.inventory(on),
    queryFn: () => http.get<Inventory>(on === null ? routes.gearInventory : routes.gearInventoryOn(on)),
    placeholderData: keepPreviousData,
  });
/** The same shelf in groups, with counts and worth. */
export const useGroups = (asked: Partial<GroupQuery> & Pick<GroupQuery, 'by'>) =>
  useQuery({
    queryKey: keys.shelfGroups(asked),
    queryFn: () => http.get<ShelfGroupsAnswer>(routes.gearGroups + queryString(asked)),
    placeholderData: (previous) => previous,
  });

/** Every thing on the shelf by name, for choosing among all of them. */
export const useWholeShelf = () => useQuery({ queryKey: keys.wholeShelf, queryFn: wholeShelf });

/** `id` is not known until what names the thing has come. */
export const useItem = (id: string | undefined) =>
  useQuery({ queryKey: keys.item(id ?? ''), queryFn: () => http.get<ItemPage>(routes.item(id!)), enabled: id !== undefined });

/** The words the shelf uses already. */
export const useVocabulary = () => useQuery({ queryKey: keys.vocabulary, queryFn: () => http.get<Vocabulary>(routes.gearVocabulary) });
/** What fits what over the whole shelf. */
export const useFit = () => useQuery({ queryKey: keys.fit, queryFn: () => http.get<FitPage>(routes.gearFit) });

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

export const useArchive = (id: string) =>
  useMutation({ mutationFn: (how: ArchiveItem) => http.post<Item>(routes.itemArchive(id), how), onSettled: () => gearChanged(id) });
export const useRestore = (id: string) =>
  useMutation({ mutationFn: (version: number) => http.post<Item>(routes.itemRestore(id), { version }), onSettled: () => gearChanged(id) });

/** Makes some of several a line of their own. */
export const useSplit = (id: string) =>
  useMutation({ mutationFn: (how: SplitItem) => http.post<Item>(routes.itemSplit(id), how), onSettled: () => gearChanged(id) });

export const useAddFile = (id: string) =>
  useMutation({
    mutationFn: (file: File) => http.postFile<ItemFile>(routes.itemFiles(id) + queryString({ name: file.name }), file, file.type),
    onSettled: () => gearChanged(id),
  });
export const useUpdateFile = (id: string) =>
  useMutation({
    mutationFn: ({ id: fileId, change }: { id: string; change: ItemFileUpdate }) => http.put<ItemFile>(routes.itemFile(id, fileId), change),
    onSettled: () => gearChanged(id),
  });
export const useRemoveFile = (id: string) =>
  useMutation({ mutationFn: (fileId: string) => http.delete(routes.itemFile(id, fileId)), onSettled: () => gearChanged(id) });

/** Every id that the filters leave, over all pages. */
export const useMatching = () =>
  useMutation({
    mutationFn: async (filters: ShelfFilters): Promise<string[]> => {
      const ids: string[] = [];
      for (let cursor: string | null = null; ;) {
        const page: Shelf = await http.get<Shelf>(routes.gear + queryString({ ...filters, limit: 200, cursor }));
        ids.push(...page.items.map((i) => i.id));
        cursor = page.nextCursor;
        if (cursor === null) return ids;
      }
    },
  });

/** What many things share: the shelf, what is due of it, and each page of theirs. */
function manyChanged(): void {
  gearChanged();
  storageChanged();
  void queryClient.invalidateQueries({ queryKey: ['gear'] });
}
export const useMoveMany = () =>
  useMutation({ mutationFn: (move: MoveItems) => http.post<Moved>(routes.moves, move), onSettled: manyChanged });
export const useTakeMovesBack = () =>
  useMutation({ mutationFn: (moves: TakeMovesBack) => http.post<MovesTakenBack>(routes.movesTakenBack, moves), onSettled: manyChanged });
export const useTagMany = () =>
  useMutation({ mutationFn: (tagging: TagThings) => http.post<DoneToMany>(routes.gearTags, tagging), onSettled: manyChanged });
/** Has things belong to another one, or to nothing any more. */
export const usePutTogether = () =>
  useMutation({ mutationFn: (belonging: PutTogether) => http.post<DoneToMany>(routes.gearTogether, belonging), onSettled: manyChanged });
export const useSendManyAway = () =>
  useMutation({ mutationFn: (away: SendManyAway) => http.post<SentAway>(routes.awayMany, away), onSettled: manyChanged });
export const useLookedAtMany = () =>
  useMutation({ mutationFn: (looked: LookedAtMany) => http.post<Looked>(routes.looksMany, looked), onSettled: manyChanged });
/** Takes entries of the log back; what stands is named with its reason. */
export const useTakeBack = () =>
  useMutation({ mutationFn: (entryIds: string[]) => http.post<TakenBack>(routes.takeBack, { entryIds }), onSettled: manyChanged });
export const useCorrectLook = (id: string) =>
  useMutation({
    mutationFn: (corrected: CorrectLook) => http.put<ItemPage>(routes.lookCorrection(id), corrected),
    onSuccess: () => {
      manyChanged();
      void queryClient.invalidateQueries({ queryKey: keys.look(id) });
    },
  });
export const useArchiveMany = () =>
  useMutation({
    mutationFn: ({ itemIds, archived }: { itemIds: string[]; archived: boolean }) =>
      http.post<DoneToMany>(archived ? routes.gearArchive : routes.gearRestore, { itemIds }),
    onSettled: manyChanged,
  });

export const usePreview = () =>
  useMutation({ mutationFn: (request: ImportRequest) => http.post<ImportPreview>(routes.importPreview, request) });
export const useImport = () =>
  useMutation({
    mutationFn: (request: ImportRequest) => http.post<ImportResult>(routes.importConfirm, request),
    onSuccess: () => gearChanged(),
  });
