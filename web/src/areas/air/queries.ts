import {
  routes,
  type Accepted,
  type BrokerInput,
  type CalibrationInput,
  type Device,
  type DeviceInput,
  type Devices,
  type DeviceToken,
  type DeviceUpdate,
  type HandReading,
  type IntakePlaces,
  type LogFormat,
  type LogImportResult,
  type LogPreview,
  type LogPreviewRequest,
  type Place,
  type PollTried,
  type PollTry,
  type TopicsHeard,
} from '@bright-keeper/contract';
import { useMutation, useQuery } from '@tanstack/react-query';
import { http, queryString } from '../../api/http';
import { keys } from '../../api/keys';
import { orKept } from '../../api/orKept';
import { dialIn } from '../../api/dial';
import { storageChanged } from '../storage';

const LIVE_MS = 10_000;
export const useDevices = () =>
  useQuery({ queryKey: keys.devices, queryFn: () => http.get<Devices>(routes.devices), refetchInterval: LIVE_MS });

export const useAddDevice = () =>
  useMutation({ mutationFn: (input: DeviceInput) => http.post<Device>(routes.devices, input), onSettled: storageChanged });
export const useUpdateDevice = (id: string) =>
  useMutation({ mutationFn: (change: DeviceUpdate) => http.put<Device>(routes.device(id), change), onSettled: storageChanged });
export const useRevokeToken = (id: string) =>
  useMutation({ mutationFn: () => http.delete(routes.deviceToken(id)), onSettled: storageChanged });

export const useNewToken = (id: string) =>
  useMutation({ mutationFn: () => http.post<DeviceToken>(routes.deviceToken(id), {}), onSettled: storageChanged });
export const useCalibrate = (id: string) =>
  useMutation({
    mutationFn: (input: CalibrationInput) => http.post<Device>(routes.deviceCalibrations(id), input),
    onSettled: storageChanged,
  });
export const useHandReading = ({ id, name }: Pick<Device, 'id' | 'name'>) =>
  useMutation({
    mutationFn: (reading: HandReading) =>
      orKept(
        () => http.post<Accepted>(routes.deviceReadings(id), reading),
        (kept) => kept.notes.reading(reading, { deviceId: id, name }),
      ),
    onSettled: storageChanged,
  });

/** The first reading of a place: with it comes a hygrometer read by hand, made where none lies there yet. */
export function useFirstReading({ id, name }: Pick<Place, 'id' | 'name'>) {
  return useMutation({
    mutationFn: (reading: HandReading) =>
      orKept(
        async () => http.post<Accepted>(routes.deviceReadings(await dialIn({ id, name })), reading),
        (kept) => kept.notes.reading(reading, { place: { id, name } }),
      ),
    onSettled: storageChanged,
  });
}

export const useLogPreview = () =>
  useMutation({ mutationFn: (request: LogPreviewRequest) => http.post<LogPreview>(routes.logPreview, request) });
type LogImport = { file: File; format: LogFormat; check: boolean };
export const useLogImport = (id: string) =>
  useMutation({
    mutationFn: ({ file, format, check }: LogImport) =>
      http.postFile<LogImportResult>(routes.logImport(id) + queryString({ format: JSON.stringify(format), check }), file, 'text/csv'),
    onSettled: storageChanged,
  });

/** The broker and the folder for logs; how the broker stands is no change of the household, and is asked for again. */
export const useIntakePlaces = () =>
  useQuery({ queryKey: keys.intake, queryFn: () => http.get<IntakePlaces>(routes.intake), refetchInterval: LIVE_MS });
export const useSetBroker = () =>
  useMutation({ mutationFn: (broker: BrokerInput) => http.put<IntakePlaces>(routes.broker, broker), onSettled: storageChanged });
export const useTopics = () => useMutation({ mutationFn: () => http.post<TopicsHeard>(routes.brokerTopics, {}) });
export const usePollTry = () => useMutation({ mutationFn: (asked: PollTry) => http.post<PollTried>(routes.pollTry, asked) });
/** The key by which another program reads what the hygrometers say. */
export function useMetricsKey() {
  const make = useMutation({ mutationFn: () => http.post<DeviceToken>(routes.metricsKey, {}), onSettled: storageChanged });
  const revoke = useMutation({ mutationFn: () => http.delete(routes.metricsKey), onSettled: storageChanged });
  return { make, revoke };
}
