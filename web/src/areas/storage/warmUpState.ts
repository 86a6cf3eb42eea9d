import type { Latest, StorageOverview } from '@bright-keeper/contract';
import { storage } from '@bright-keeper/core';
import { entryOf, type Entry } from '../../ui/numberEntry';

export const THING_IDS = Object.keys(storage.TYPICAL_THINGS) as storage.TypicalThing[];
export const WRAPPING_IDS = Object.keys(storage.WRAPPINGS) as storage.Wrapping[];

export const FIELDS = {
  startC: { label: 'How cold is it, °C', min: -40, max: 50, usual: -2 },
  roomC: { label: 'The room, °C', min: -10, max: 45, usual: 21 },
  roomHumidityPct: { label: 'The room, % RH', min: 5, max: 100, usual: 50 },
} as const;
export type FieldId = keyof typeof FIELDS;
export const FIELD_IDS = Object.keys(FIELDS) as FieldId[];

/** What the household’s own instruments say now: the cold from the station, the room from an open place. */
export function measuredIn(overview: StorageOverview | undefined, nowMs: number): Partial<Record<FieldId, number>> {
  const isNow = (latest: Latest | null | undefined): latest is Latest => latest != null && storage.isOfNow(latest, nowMs);
  const station = overview?.outdoors?.latest;
  const outdoors = isNow(station) ? station : null;
  const indoors = overview?.places.find((p) => isNow(p.latest) && storage.placeFacts(p.kind).airChangesPerDay === null)?.latest;
  return {
    ...(outdoors ? { startC: Math.round(outdoors.temperatureC) } : {}),
    ...(indoors ? { roomC: Math.round(indoors.temperatureC), roomHumidityPct: Math.round(indoors.humidityPct) } : {}),
  };
}

export type WarmUpView = {
  entries: Record<FieldId, Entry>;
  thing: storage.TypicalThing;
  wrapping: storage.Wrapping;
  /** Null while a field cannot be read. */
  result: storage.WarmUp | null;
  /** How long to leave it shut, whole minutes. */
  waitMin: number;
};

/** Everything the page shows, from the address and what was measured. */
export function warmUpFrom(params: URLSearchParams, measured: Partial<Record<FieldId, number>>): WarmUpView {
  const entries = Object.fromEntries(FIELD_IDS.map((f) => [f, entryOf(params.get(f), measured[f], FIELDS[f])])) as Record<FieldId, Entry>;
  const thing = THING_IDS.find((t) => t === params.get('thing')) ?? 'mid-lens';
  const wrapping = WRAPPING_IDS.find((w) => w === params.get('wrapping')) ?? 'plastic-bag';
  const { name: _, ...size } = storage.TYPICAL_THINGS[thing];
  const [startC, roomC, roomHumidityPct] = [entries.startC.value, entries.roomC.value, entries.roomHumidityPct.value];
  const result =
    startC === null || roomC === null || roomHumidityPct === null
      ? null
      : storage.warmUpMinutes({ startC, roomC, roomHumidityPct, ...size, wrapping });
  return { entries, thing, wrapping, result, waitMin: result ? Math.ceil(result.allowanceMinutes) : 0 };
}

export type Verdict = 'stays-clear' | 'fogs-for-good' | 'fogs';
export const verdictOf = ({ willFog, minutes }: storage.WarmUp): Verdict =>
  !willFog ? 'stays-clear' : minutes === Infinity ? 'fogs-for-good' : 'fogs';
