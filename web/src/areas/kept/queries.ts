import { useQuery } from '@tanstack/react-query';
import { keys } from '../../api/keys';
import { useKept } from '../../api/useKept';

/** What was brought along, and when. */
export function useBrought() {
  const kept = useKept();
  return useQuery({
    queryKey: keys.brought,
    enabled: !!kept,
    queryFn: () => kept!.brought(),
    refetchInterval: BROUGHT_MS,
  });
}
const BROUGHT_MS = 3000;

/** Whether the browser has promised to drop nothing of it by itself. */
export const useLasting = () =>
  useQuery({ queryKey: keys.lasting, queryFn: async () => (await navigator.storage?.persisted?.()) ?? false });
