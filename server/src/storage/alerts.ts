import type { Alert, Device, Place, PlaceSummary, ThingInPlace } from '@bright-keeper/contract';
import { storage, type air } from '@bright-keeper/core';

const MS_PER_DAY = 86_400_000;
/** Gel is worth a word so many days before it is spent (our choice: time for an evening at the oven). */
const GEL_WARNING_DAYS = 14;

type Known = {
  place: Place;
  hourly: readonly air.Reading[];
  assessment: PlaceSummary['assessment'];
  gel: PlaceSummary['gel'];
  things: readonly Omit<ThingInPlace, 'better'>[];
  now: Date;
};

type Assessment = NonNullable<PlaceSummary['assessment']>;

/** Only what the log does not tell makes it a warning. */
const isOnlyUnknown = ({ level, best }: Assessment): boolean => level === 'watch' && best.level === 'safe';

/** Rising now, the mark that a damp season has left, or a log too thin to tell. */
function threatOf(assessment: Assessment): storage.FungusThreat {
  if (assessment.level === 'act') return 'expected';
  if (isOnlyUnknown(assessment)) return 'thin-log';
  const { byIndex, byDose } = assessment.daysToGrowth;
  return [byIndex, byDose].some((days) => days !== null && days > 0) ? 'rising' : 'long-damp';
}

/** From here the mould index itself is the graver word. */
const NOTABLE_INDEX = 0.5;

function fungusAlert({ place, assessment }: Known): Alert | null {
  if (!assessment || assessment.level === 'safe') return null;
  const threat = threatOf(assessment);
  const tells = threat === 'thin-log' ? 'gap' : assessment.now.index >= NOTABLE_INDEX ? 'mould-index' : 'early-warning';
  return {
    id: `fungus/${place.id}`,
    cause: 'fungus',
    threat,
    because: assessment.reasons.find((r) => r.says === tells) ?? null,
    tone: assessment.level === 'act' ? 'act' : 'attention',
    placeId: place.id,
    placeName: place.name,
    since: threat === 'thin-log' ? null : assessment.since,
  };
}

function gelAlert({ place, gel, now }: Known): Alert | null {
  if (!gel?.spentOn) return null;
  const daysLeft = Math.floor((Date.parse(gel.spentOn) - now.getTime()) / MS_PER_DAY);
  if (daysLeft > GEL_WARNING_DAYS) return null;
  const { kind, massG, left, knownFrom } = gel;
  return {
    id: `gel-spent/${place.id}`,
    cause: 'gel-spent',
    daysLeft,
    kind,
    massG,
    left,
    knownFrom,
    tone: daysLeft <= 0 ? 'act' : 'attention',
    placeId: place.id,
    placeName: place.name,
    since: null,
  };
}

/** The air itself, by the day's mean with hysteresis; what already alarms as fungus is not told twice. */
function airAlert({ place, hourly, assessment, gel, now }: Known): Alert | null {
  const damp = storage.passedSince(hourly, storage.tooDamp(place.highPct));
  const base = { placeId: place.id, placeName: place.name, tone: 'attention' } as const;
  // Spent gel is the cause of damp in its box; one cause, one alert.
  const gelIsSpent = gel?.spentOn != null && Date.parse(gel.spentOn) <= now.getTime() + MS_PER_DAY;
  if (damp && (assessment?.level ?? 'safe') === 'safe' && !gelIsSpent)
    return { ...base, id: `damp/${place.id}`, cause: 'damp', highPct: place.highPct, since: damp };
  const dry = storage.passedSince(hourly, storage.tooDry);
  if (dry && now.getTime() - Date.parse(dry) > storage.DRY_FOR_LONG_DAYS * MS_PER_DAY)
    return { ...base, id: `too-dry/${place.id}`, cause: 'too-dry', since: dry };
  return null;
}

/** Things forgotten in a bag or case: trapped damp, and finishes that turn sticky. */
function closedAlert({ place, things, now }: Known): Alert | null {
  if (!storage.placeFacts(place.kind).forTravel) return null;
  const forgotten = things.filter((t) => now.getTime() - Date.parse(t.since) > storage.CLOSED_FOR_LONG_DAYS * MS_PER_DAY);
  const first = forgotten[0];
  if (!first) return null;
  return {
    id: `too-closed/${place.id}`,
    cause: 'too-closed',
    itemId: first.itemId,
    names: forgotten.map((t) => t.name),
    tone: 'attention',
    placeId: place.id,
    placeName: place.name,
    since: first.since,
  };
}

/** Everything a place alarms about, one alert a cause. */
export const alertsOfPlace = (known: Known): Alert[] =>
  [fungusAlert, gelAlert, airAlert, closedAlert].flatMap((alert) => alert(known) ?? []);

/** A hygrometer that has fallen silent is an alert too. */
export const silentAlert = (device: Device): Alert | null =>
  device.silent
    ? {
        id: `silent/${device.id}`,
        cause: 'silent',
        deviceId: device.id,
        name: device.name,
        tone: 'attention',
        placeId: device.placeId,
        placeName: device.placeName ?? device.name,
        since: device.latest?.at ?? null,
      }
    : null;
