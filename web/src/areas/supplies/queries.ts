import {
  routes,
  type BenchUses,
  type Drawer,
  type Supply,
  type SupplyInput,
  type SupplyUpdate,
  type SupplyWashed,
  type WaitingCleans,
} from '@bright-keeper/contract';
import type { supplies } from '@bright-keeper/core';
import { useMutation, useQuery } from '@tanstack/react-query';
import { queryClient } from '../../api/client';
import { http } from '../../api/http';
import { keys } from '../../api/keys';

/** The drawer changed, and with it what of it wants a wash. */
export function drawerChanged(): void {
  void queryClient.invalidateQueries({ queryKey: keys.drawer });
  void queryClient.invalidateQueries({ queryKey: keys.today });
  void queryClient.invalidateQueries({ queryKey: keys.schedule });
}

export const useDrawer = () => useQuery({ queryKey: keys.drawer, queryFn: () => http.get<Drawer>(routes.supplies) });
/** What the benches took: how long things last is told by that. */
export const useBenchUses = () => useQuery({ queryKey: keys.benchUses, queryFn: () => http.get<BenchUses>(routes.benchUses) });
/** What the cleans that are asked for now will take. */
export const useWaitingCleans = () =>
  useQuery({ queryKey: keys.waitingCleans, queryFn: () => http.get<WaitingCleans>(routes.waitingCleans) });
export const useAddSupply = () =>
  useMutation({ mutationFn: (input: SupplyInput) => http.post<Supply>(routes.supplies, input), onSettled: drawerChanged });
export const useUpdateSupply = (id: string) =>
  useMutation({ mutationFn: (change: SupplyUpdate) => http.put<Supply>(routes.supply(id), change), onSettled: drawerChanged });

export const useStartDrawer = () =>
  useMutation({
    mutationFn: (starter: supplies.StarterId) => http.post<Drawer>(routes.startDrawer, { starter }),
    onSettled: drawerChanged,
  });
export const useDrawerIsAll = () =>
  useMutation({ mutationFn: (isAll: boolean) => http.put<Drawer>(routes.drawerIsAll, { isAll }), onSettled: drawerChanged });

type Act = { id: string; version: number };
export const useWash = () =>
  useMutation({
    mutationFn: ({ id, ...washed }: Act & SupplyWashed) => http.post<Supply>(routes.supplyWash(id), washed),
    onSettled: drawerChanged,
  });
export const useDemote = () =>
  useMutation({ mutationFn: ({ id, version }: Act) => http.post<Supply>(routes.supplyDemote(id), { version }), onSettled: drawerChanged });
export const useRemoveSupply = () => useMutation({ mutationFn: (id: string) => http.delete(routes.supply(id)), onSettled: drawerChanged });
/** Washes a thing by its id alone, whatever version the drawer holds: whoever ticks it off elsewhere never saw the drawer. */
export const useWashById = () =>
  useMutation({
    mutationFn: async ({ id, at }: { id: string; at: string | null }) => {
      const { supplies } = await http.get<Drawer>(routes.supplies);
      const version = supplies.find((s) => s.id === id)?.version ?? 1;
      return http.post<Supply>(routes.supplyWash(id), { version, at });
    },
    onSettled: drawerChanged,
  });
