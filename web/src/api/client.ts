import { QueryClient, useIsMutating, type UseQueryResult } from '@tanstack/react-query';
import { keys } from './keys';
import { ApiError } from './http';

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 5_000,
      // A refusal will not change by asking again; silence may.
      retry: (count, error) => error instanceof ApiError && error.isOffline && count < 2,
      networkMode: 'always',
    },
    mutations: { networkMode: 'always' },
  },
});

/** Anything written about a thing may change what the shelf, its page and Today say. */
export function gearChanged(itemId?: string): void {
  void queryClient.invalidateQueries({ queryKey: keys.today });
  void queryClient.invalidateQueries({ queryKey: keys.schedule });
  void queryClient.invalidateQueries({ queryKey: keys.shelf });
  void queryClient.invalidateQueries({ queryKey: keys.cleanings });
  if (itemId) {
    void queryClient.invalidateQueries({ queryKey: keys.item(itemId) });
    void queryClient.invalidateQueries({ queryKey: keys.log(itemId) });
  }
}

/** Whether what was asked for can be shown no more: it never came, or is gone. A server that is silent or failing for a while takes nothing away. */
export const failsAll = ({ isError, data, error }: Pick<UseQueryResult, 'isError' | 'data' | 'error'>): boolean =>
  isError && (data === undefined || (error instanceof ApiError && error.problem.status === 404));

/** Whether it is being ended on this very screen, which goes on from there by itself. */
export const useIsEnding = (id: string): boolean => useIsMutating({ mutationKey: keys.ending(id) }) > 0;
