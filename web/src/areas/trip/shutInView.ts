import { storage } from '@bright-keeper/core';
import { chosenOf } from '../../ui/choices';
import { type Wind, WINDS } from '../../ui/winds';
import { entryOf, type Entry } from '../../ui/numberEntry';

export const PORT_FIELDS = {
  volumeL: { label: 'Air in the housing, L', min: 0.1, max: 100, usual: 3 },
  closedC: { label: 'The air it is closed in, °C', min: 0, max: 50, usual: 26 },
  closedPct: { label: 'That air, % RH', min: 5, max: 100, usual: 65 },
  waterC: { label: 'The water, °C', min: -2, max: 40, usual: 14 },
} as const;
export const BAG_FIELDS = {
  airC: { label: 'The air in the shade, °C', min: -20, max: 55, usual: 28 },
  startC: { label: 'What is in the bag now, °C', min: -20, max: 60, usual: 24 },
} as const;
type PortField = keyof typeof PORT_FIELDS;
type BagField = keyof typeof BAG_FIELDS;

/** After how many hours it is told. */
export const HOURS = [1, 2, 4] as const;

export type ShutInView = {
  port: { entries: Record<PortField, Entry>; result: storage.PortFog | null };
  bag: {
    entries: Record<BagField, Entry>;
    shelter: storage.Shelter;
    sun: storage.Sun;
    breeze: Wind;
    thing: storage.TypicalThing;
    /** Null while a field cannot be read. */
    result: { bagC: number; carC: number; after: { hours: number; thingC: number }[] } | null;
  };
};

const entriesOf = <T extends string>(
  params: URLSearchParams,
  fields: Record<T, { label: string; min: number; max: number; usual: number }>,
): Record<T, Entry> =>
  Object.fromEntries((Object.keys(fields) as T[]).map((id) => [id, entryOf(params.get(id), undefined, fields[id])])) as Record<T, Entry>;

/** Everything the page shows, from the address. */
export function shutInFrom(params: URLSearchParams): ShutInView {
  const port = entriesOf<PortField>(params, PORT_FIELDS);
  const [volumeL, closedC, closedPct, waterC] = [port.volumeL.value, port.closedC.value, port.closedPct.value, port.waterC.value];
  const bag = entriesOf<BagField>(params, BAG_FIELDS);
  const ways = {
    shelter: chosenOf<storage.Shelter>(storage.SHELTERS, params.get('shelter'), 'black-bag'),
    sun: chosenOf<storage.Sun>(storage.SUNS, params.get('sun'), 'clear'),
    breeze: chosenOf<Wind>(WINDS, params.get('breeze'), 'calm'),
    thing: chosenOf<storage.TypicalThing>(storage.TYPICAL_THINGS, params.get('thing'), 'mid-lens'),
  };
  const [airC, startC] = [bag.airC.value, bag.startC.value];
  const bagC = airC === null ? null : storage.bagInSunC(airC, ways.shelter, ways.sun, WINDS[ways.breeze][1]);
  return {
    port: {
      entries: port,
      result:
        volumeL === null || closedC === null || closedPct === null || waterC === null
          ? null
          : storage.portFog({ volumeL, closedC, closedPct, waterC }),
    },
    bag: {
      entries: bag,
      ...ways,
      result:
        bagC === null || airC === null || startC === null
          ? null
          : {
              bagC,
              carC: airC + storage.CAR_ABOVE_K[ways.sun],
              after: HOURS.map((hours) => ({ hours, thingC: storage.afterHoursC(startC, bagC, hours, ways.thing) })),
            },
    },
  };
}

/** What gives way at this temperature. */
export const givesWayAt = (hottestC: number) => storage.GIVES_WAY.filter(({ fromC }) => hottestC >= fromC);

/** "about 0.3 g", "less than a gram": as one weighs a sachet. */
export const gramsWords = (grams: number): string =>
  grams >= 10 ? `${Math.ceil(grams)} g` : `${(Math.ceil(grams * 10) / 10).toFixed(1)} g`;
