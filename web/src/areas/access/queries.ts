import {
  routes,
  type Access,
  type CodeFor,
  type KeeperUpdate,
  type NetworkState,
  type NetworkUpdate,
  type NewKeeper,
  type NewPassphrase,
  type Outsider,
  type Pairing,
  type PairingCode,
  type Proof,
  type SignIn,
  type UnencryptedKey,
} from '@bright-keeper/contract';
import { useMutation, useQuery } from '@tanstack/react-query';
import { queryClient } from '../../api/client';
import { http } from '../../api/http';
import { keys } from '../../api/keys';
import { letIn } from '../../api/letIn';

/** Another device shows as soon as it has come in, and when each was last seen. */
const SEEN_MS = 20_000;
const ACCESS = { queryKey: keys.access, queryFn: () => http.get<Access | Outsider>(routes.access) };

export const useAccess = () => useQuery({ ...ACCESS, refetchInterval: SEEN_MS });

/** An address of this household, and whom it is for. */
export type Reached = { by: string; origin: string };

/**
 * Where this household is reached with a key: from other devices of its network where it is open to it, and from the
 * machine itself where this page is on it.
 *
 * @param id whose key it is: unencrypted where it may come so.
 */
export function useReach(id: string): { at: Reached[]; network: NetworkState | null; isUnencrypted: boolean } {
  const { data } = useQuery(ACCESS);
  const access = data?.isIn ? data : null;
  const network = access && access.network.addresses.length > 0 ? access.network : null;
  const isUnencrypted = network !== null && access!.unencrypted.includes(id);
  const away = isUnencrypted ? network.unencryptedAt[0] : network?.addresses[0];
  return {
    at: [
      ...(away ? [{ by: 'On your network', origin: away }] : []),
      ...(access?.from === 'network' ? [] : [{ by: 'On this machine', origin: window.location.origin }]),
    ],
    network,
    isUnencrypted,
  };
}

const keep = (access: Access) => void queryClient.setQueryData(keys.access, access);
export const useSetPassphrase = () =>
  useMutation({ mutationFn: (chosen: NewPassphrase) => http.put<Access>(routes.accessPassphrase, chosen), onSuccess: keep });
export const useSetNetwork = () =>
  useMutation({ mutationFn: (update: NetworkUpdate) => http.put<Access>(routes.accessNetwork, update), onSuccess: keep });
export const useUnencrypted = () =>
  useMutation({ mutationFn: (key: UnencryptedKey) => http.put<Access>(routes.accessUnencrypted, key), onSuccess: keep });
export const useProve = () => useMutation({ mutationFn: (proof: Proof) => http.post<Access>(routes.accessProof, proof), onSuccess: keep });
export const useNewCode = () =>
  useMutation({
    mutationFn: (whose: CodeFor) => http.post<PairingCode>(routes.accessCode, whose),
    onSuccess: ({ endsAt }) =>
      void queryClient.setQueryData<Access | Outsider>(keys.access, (known) => (known?.isIn ? { ...known, codeUntil: endsAt } : known)),
  });

export const useLetGo = () =>
  useMutation({
    mutationFn: ({ id, isThis }: { id: string; isThis: boolean; from: Access['from'] }) =>
      isThis ? http.post<void>(routes.accessSignOut, {}) : http.delete(routes.accessDevice(id)),
    onSuccess: (_, { isThis, from }) => {
      // At the machine itself one is in without it.
      if (isThis && from === 'network') letIn.shut();
      void queryClient.invalidateQueries(from === 'machine' && isThis ? {} : { queryKey: keys.access });
    },
  });

export const useAddKeeper = () =>
  useMutation({ mutationFn: (keeper: NewKeeper) => http.post<Access>(routes.accessKeepers, keeper), onSuccess: keep });
export const useUpdateKeeper = () =>
  useMutation({
    mutationFn: ({ id, ...update }: KeeperUpdate & { id: string }) => http.put<Access>(routes.accessKeeper(id), update),
    onSuccess: keep,
  });
export const useResetKeeper = () =>
  useMutation({ mutationFn: (id: string) => http.post<Access>(routes.accessKeeperReset(id), {}), onSuccess: keep });
export const useRemoveKeeper = () =>
  useMutation({
    mutationFn: (id: string) => http.delete(routes.accessKeeper(id)),
    onSuccess: () => void queryClient.invalidateQueries({ queryKey: keys.access }),
  });

/** What was refused to a stranger is asked for anew. */
const cameIn = () => {
  letIn.opened();
  void queryClient.invalidateQueries();
};
export const usePair = () => useMutation({ mutationFn: (pairing: Pairing) => http.post(routes.accessPair, pairing), onSuccess: cameIn });
export const useSignIn = () => useMutation({ mutationFn: (given: SignIn) => http.post(routes.accessSignIn, given), onSuccess: cameIn });
