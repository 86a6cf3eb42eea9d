import { routes, type Device, type DeviceInput, type Devices, type Place } from '@bright-keeper/contract';
import { http } from './http';

const A_WEEK_MIN = 10_080;

/** The dial of a place that is read by hand; made where none lies there yet. */
export async function dialIn({ id, name }: Pick<Place, 'id' | 'name'>): Promise<string> {
  const { devices } = await http.get<Devices>(routes.devices);
  const known = devices.find((d) => d.placeId === id && d.source === 'hand');
  if (known) return known.id;
  const input: DeviceInput = {
    name: `${name}, by hand`,
    source: 'hand',
    outdoor: false,
    placeId: id,
    everyMinutes: A_WEEK_MIN,
    note: '',
    intake: null,
  };
  return (await http.post<Device>(routes.devices, input)).id;
}
