import { routes, type Alarms, type AlarmsInput, type AlarmTried } from '@bright-keeper/contract';
import { useMutation, useQuery } from '@tanstack/react-query';
import { queryClient } from '../../api/client';
import { http } from '../../api/http';
import { keys } from '../../api/keys';

export const useAlarms = () => useQuery({ queryKey: keys.alarms, queryFn: () => http.get<Alarms>(routes.alarms) });
export const useSetAlarms = () =>
  useMutation({
    mutationFn: (input: AlarmsInput) => http.put<Alarms>(routes.alarms, input),
    onSuccess: (saved) => queryClient.setQueryData(keys.alarms, saved),
  });
export const useTryAlarms = () =>
  useMutation({
    mutationFn: () => http.post<AlarmTried>(routes.alarmsTry, {}),
    onSettled: () => void queryClient.invalidateQueries({ queryKey: keys.alarms }),
  });
