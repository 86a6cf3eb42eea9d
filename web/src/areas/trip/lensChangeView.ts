import { trip } from '@bright-keeper/core';

export const HAS = ['shelter', 'cover'] as const;
export const HAS_WORDS: Record<(typeof HAS)[number], string> = { shelter: 'A car or a room', cover: 'A rain cover or large bag' };

const known = <T extends string>(all: readonly T[], asked: string | null): T[] => all.filter((one) => (asked ?? '').split(',').includes(one)); // prettier-ignore
const numberOf = (asked: string | null): number | undefined => {
  const value = asked === null || asked.trim() === '' ? NaN : Number(asked.replace(',', '.'));
  return Number.isFinite(value) ? value : undefined;
};

/** What the address says of this hour; what it says wrongly is left out. */
export function hourFrom(params: URLSearchParams): trip.HourOutside {
  const has = known(HAS, params.get('has'));
  const within = (key: string, least: number, most: number) => {
    const value = numberOf(params.get(key));
    return value !== undefined && value >= least && value <= most ? value : undefined;
  };
  const [temperatureC, humidityPct, gearC] = [within('t', -60, 60), within('rh', 1, 100), within('gear', -60, 60)];
  return {
    wind: known(trip.WIND_SIGNS, params.get('wind'))[0] ?? 'still',
    inTheAir: known(trip.IN_THE_AIR, params.get('air')),
    ...(temperatureC !== undefined && { temperatureC }),
    ...(humidityPct !== undefined && { humidityPct }),
    ...(gearC !== undefined && { gearC }),
    shelter: has.includes('shelter'),
    cover: has.includes('cover'),
    film: params.get('film') === 'yes',
  };
}

/** What no forecast tells and the eye sees. */
const SEEN_ONLY: readonly trip.InTheAir[] = ['blowing-sand', 'spray'];

/** The same choices with what an hour foretold says; what it says nothing of stays. */
export function withHour(params: URLSearchParams, told: trip.HourTold): URLSearchParams {
  const next = new URLSearchParams(params);
  const seen = known(SEEN_ONLY, params.get('air'));
  const inTheAir = trip.IN_THE_AIR.filter((one) => seen.includes(one) || told.inTheAir.includes(one));
  if (inTheAir.length > 0) next.set('air', inTheAir.join(','));
  else next.delete('air');
  if (told.wind) next.set('wind', told.wind);
  next.set('t', String(told.temperatureC));
  next.set('rh', String(told.humidityPct));
  return next;
}

/** Focal lengths as they are typed, "24, 85 24": what is none is named. More than fifty are cut. */
export function lengthsFrom(text: string): { wanted: number[]; odd: string[] } {
  const words = text.split(/[^\d.\p{L}]+/u).filter(Boolean);
  const wanted = words.filter((w) => Number(w) >= 2 && Number(w) <= 5000).map(Number);
  return { wanted: wanted.slice(0, 50), odd: words.filter((w) => !(Number(w) >= 2 && Number(w) <= 5000)) };
}
