import {
  routes,
  type CausesTold,
  type Item,
  type KeptOffer,
  type KeptOffers,
  type OfferInput,
  type OfferUpdate,
  type PracticeRun,
  type PracticeRunInput,
  type PracticeRuns,
  type ReportKeyTold,
} from '@bright-keeper/contract';
import type { record } from '@bright-keeper/core';
import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { queryClient } from '../../api/client';
import { http } from '../../api/http';
import { keys } from '../../api/keys';

/** What stood there while another part is chosen stays until the new one has come. */
export const useReport = (query: string) =>
  useQuery({
    queryKey: keys.report(query),
    queryFn: () => http.get<record.SignedReport>(routes.report(query)),
    placeholderData: keepPreviousData,
  });
export const useReportKey = () => useQuery({ queryKey: keys.reportKey, queryFn: () => http.get<ReportKeyTold>(routes.reportKey) });

const offersChanged = () => void queryClient.invalidateQueries({ queryKey: keys.offers });
/** What was bought stands on the shelf, and asks for what its first look found. */
const bought = () => {
  offersChanged();
  for (const queryKey of [['gear'], keys.today, keys.schedule]) void queryClient.invalidateQueries({ queryKey });
};
export const useOffers = () => useQuery({ queryKey: keys.offers, queryFn: () => http.get<KeptOffers>(routes.offers) });
export const useAddOffer = () =>
  useMutation({ mutationFn: (input: OfferInput) => http.post<KeptOffer>(routes.offers, input), onSettled: offersChanged });
export const useUpdateOffer = () =>
  useMutation({
    mutationFn: ({ id, ...change }: OfferUpdate & { id: string }) => http.put<KeptOffer>(routes.offer(id), change),
    onSettled: offersChanged,
  });
type Seen = Pick<KeptOffer, 'id' | 'version'>;
export const useBuy = () =>
  useMutation({ mutationFn: ({ id, version }: Seen) => http.post<Item>(routes.offerBought(id), { version }), onSettled: bought });
export const useDecline = () =>
  useMutation({
    mutationFn: ({ id, version }: Seen) => http.post<KeptOffer>(routes.offerDeclined(id), { version }),
    onSettled: offersChanged,
  });
export const useRemoveOffer = () => useMutation({ mutationFn: (id: string) => http.delete(routes.offer(id)), onSettled: offersChanged });

export const usePracticeRuns = () => useQuery({ queryKey: keys.practice, queryFn: () => http.get<PracticeRuns>(routes.practiceRuns) });
export const useAddRun = () =>
  useMutation({
    mutationFn: (run: PracticeRunInput) => http.post<PracticeRun>(routes.practiceRuns, run),
    onSettled: () => void queryClient.invalidateQueries({ queryKey: keys.practice }),
  });

export const useCauses = () => useQuery({ queryKey: keys.causes, queryFn: () => http.get<CausesTold>(routes.causes) });
