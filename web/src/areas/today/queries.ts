import { routes, type Today } from '@bright-keeper/contract';
import { useMutation, useQuery } from '@tanstack/react-query';
import { gearChanged } from '../../api/client';
import { http } from '../../api/http';
import { keys } from '../../api/keys';

export const useToday = () => useQuery({ queryKey: keys.today, queryFn: () => http.get<Today>(routes.today) });

export const useMarkDone = () =>
  useMutation({
    mutationFn: ({ dueId }: { dueId: string; itemId: string }) => http.post<void>(routes.dueDone(dueId), {}),
    onSettled: (_data, _error, { itemId }) => gearChanged(itemId),
  });
