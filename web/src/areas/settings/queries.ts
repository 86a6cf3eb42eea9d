import { routes, type Settings } from '@bright-keeper/contract';
import { useMutation, useQuery } from '@tanstack/react-query';
import { queryClient } from '../../api/client';
import { http } from '../../api/http';
import { keys } from '../../api/keys';

const SETTINGS = { queryKey: keys.settings, queryFn: () => http.get<Settings>(routes.settings), staleTime: 60_000 };
export const useSettings = () => useQuery(SETTINGS);

/** The currency that sums are typed and told in; empty until it is known. */
export const useCurrency = (): string => useQuery(SETTINGS, queryClient).data?.currency ?? '';

/** What is asked for follows the schools, what is due the time zone: everything else is asked for anew. */
export const useSaveSettings = () =>
  useMutation({
    mutationFn: (settings: Settings) => http.put<Settings>(routes.settings, settings),
    onSuccess: (saved) => {
      queryClient.setQueryData(keys.settings, saved);
      void queryClient.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] !== keys.settings[0] });
    },
  });
