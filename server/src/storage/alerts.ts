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

const days = (n: number): string => (n === 1 ? '1 day' : `${n} days`);

type Assessment = NonNullable<PlaceSummary['assessment']>;

/** Only what the log does not tell makes it a warning. */
const isOnlyUnknown = ({ level, best }: Assessment): boolean => level === 'watch' && best.level === 'safe';

/** Rising now, the mark that a damp season has left, or a log too thin to tell. */
function titleOf(assessment: Assessment): string {
  if (assessment.level === 'act') return 'Fungus is to be expected';
  if (isOnlyUnknown(assessment)) return 'Its log is too thin to call it safe';
  const { byIndex, byDose } = assessment.daysToGrowth;
  return [byIndex, byDose].some((days) => days !== null && days > 0) ? 'Fungus risk is rising' : 'It has been damp for long';
}

function fungusAlert({ place, assessment }: Known): Alert | null {
  if (!assessment || assessment.level === 'safe') return null;
  const unknown = isOnlyUnknown(assessment);
  const [byIndex, byDose] = assessment.reasons;
  return {
    id: `fungus/${place.id}`,
    cause: 'fungus',
    tone: assessment.level === 'act' ? 'act' : 'attention',
    placeId: place.id,
    placeName: place.name,
    title: titleOf(assessment),
    why: (unknown ? assessment.reasons.at(-1) : assessment.now.index >= 0.5 ? byIndex : byDose) ?? '',
    since: unknown ? null : assessment.since,
    action: unknown
      ? { label: 'Read it more often', to: '/hygrometers' }
      : { label: 'What would help?', to: `/storage/${place.id}/what-if` },
  };
}

function gelAlert({ place, gel, now }: Known): Alert | null {
  if (!gel?.spentOn) return null;
  const left = Math.floor((Date.parse(gel.spentOn) - now.getTime()) / MS_PER_DAY);
  if (left > GEL_WARNING_DAYS) return null;
  const name = storage.DESICCANTS[gel.kind].name;
  return {
    id: `gel-spent/${place.id}`,
    cause: 'gel-spent',
    tone: left <= 0 ? 'act' : 'attention',
    placeId: place.id,
    placeName: place.name,
    title: left <= 0 ? 'The desiccant is spent' : `The desiccant is spent in ${days(left)}`,
    why: `${gel.massG} g of ${name}, ${Math.round(gel.left * 100)} % of its strength left (${gel.knownFrom}).`,
    since: null,
    action: { label: 'Dry it again', to: `/storage/${place.id}` },
  };
}

/** The air itself, by the day's mean with hysteresis; what already alarms as fungus is not told twice. */
function airAlert({ place, hourly, assessment, gel, now }: Known): Alert | null {
  const damp = storage.passedSince(hourly, storage.tooDamp(place.highPct));
  const base = { placeId: place.id, placeName: place.name };
  // Spent gel is the cause of damp in its box; one cause, one alert.
  const gelIsSpent = gel?.spentOn != null && Date.parse(gel.spentOn) <= now.getTime() + MS_PER_DAY;
  if (damp && (assessment?.level ?? 'safe') === 'safe' && !gelIsSpent)
    return {
      ...base,
      id: `damp/${place.id}`,
      cause: 'damp',
      tone: 'attention',
      title: `Damper than ${place.highPct} %`,
      why: 'The mean of the day has been above its band.',
      since: damp,
      action: { label: 'What would help?', to: `/storage/${place.id}/what-if` },
    };
  const dry = storage.passedSince(hourly, storage.tooDry);
  if (dry && now.getTime() - Date.parse(dry) > storage.DRY_FOR_LONG_DAYS * MS_PER_DAY)
    return {
      ...base,
      id: `too-dry/${place.id}`,
      cause: 'too-dry',
      tone: 'attention',
      title: `Drier than ${storage.TOO_DRY_PCT} % for long`,
      why: 'Lubricants thicken, leather and cement dry out.',
      since: dry,
      action: { label: 'Open the place', to: `/storage/${place.id}` },
    };
  return null;
}

/** Things forgotten in a bag or case: trapped damp, and finishes that turn sticky. */
function closedAlert({ place, things, now }: Known): Alert | null {
  if (!storage.placeFacts(place.kind).forTravel) return null;
  const forgotten = things.filter((t) => now.getTime() - Date.parse(t.since) > storage.CLOSED_FOR_LONG_DAYS * MS_PER_DAY);
  const first = forgotten[0];
  if (!first) return null;
  const names = forgotten.map((t) => t.name);
  return {
    id: `too-closed/${place.id}`,
    cause: 'too-closed',
    tone: 'attention',
    placeId: place.id,
    placeName: place.name,
    title: names.length === 1 ? `${names[0]} wants air` : `${names.length} things want air`,
    why: `${names.join(', ')}: longer than ${storage.CLOSED_FOR_LONG_DAYS} days shut in. Trapped damp feeds fungus, and rubbery finishes turn sticky.`,
    since: first.since,
    action: { label: 'Take it out', to: `/gear/${first.itemId}` },
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
        tone: 'attention',
        placeId: device.placeId,
        placeName: device.placeName ?? device.name,
        title: `${device.name} is silent`,
        why: 'It has not been heard for longer than it should: look at its battery and its network.',
        since: device.latest?.at ?? null,
        action: { label: 'See the hygrometer', to: `/hygrometers?device=${device.id}` },
      }
    : null;
