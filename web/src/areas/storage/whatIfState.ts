import type { WhatIfStart } from '@bright-keeper/contract';
import { MS_PER_DAY, storage } from '@bright-keeper/core';

/** What one plays with; what is left alone stays as it is today. */
export type WhatIf = {
  kind: 'silica-gel' | 'rice' | 'none';
  massG: number;
  /** Its leak: changes of air a day, openings apart. */
  airChangesPerDay: number;
  openingsPerWeek: number;
  /** How much warmer it is than the air around it. */
  ownWarmerC: number;
  /** How much warmer, and damper, the air around is than its log. */
  warmerC: number;
  damperPct: number;
  setPointPct: number | null;
  powerCutDays: number;
};

export const LIMITS = {
  massG: { min: 0, max: 1000, step: 10 },
  airChangesPerDay: { min: 0.05, max: 20, step: 0.05 },
  openingsPerWeek: { min: 0, max: 21, step: 1 },
  ownWarmerC: { min: -6, max: 6, step: 0.1 },
  warmerC: { min: -10, max: 10, step: 0.5 },
  damperPct: { min: -30, max: 30, step: 1 },
  setPointPct: { min: 25, max: 60, step: 1 },
  powerCutDays: { min: 0, max: 30, step: 1 },
} as const;

type Start = Pick<WhatIfStart, 'place'>;

export const asToday = ({ place }: Start): WhatIf => ({
  kind: place.desiccant?.kind ?? 'none',
  massG: place.desiccant?.massG ?? 0,
  airChangesPerDay: storage.leakOf(place),
  openingsPerWeek: place.openingsPerWeek,
  ownWarmerC: place.warmerC,
  warmerC: 0,
  damperPct: 0,
  setPointPct: place.setPointPct,
  powerCutDays: 0,
});

export type WhatIfKey = keyof typeof LIMITS;
const KINDS = ['silica-gel', 'rice', 'none'] as const;

/** What the address asks for, within the limits; what it leaves out, or what is no number, stays as it is today. */
export function whatIfFrom(params: URLSearchParams, start: Start): WhatIf {
  const today = asToday(start);
  const value = (key: WhatIfKey): number => {
    const text = params.get(key);
    const number = text === null ? NaN : Number(text);
    return Number.isFinite(number) ? Math.min(LIMITS[key].max, Math.max(LIMITS[key].min, number)) : (today[key] ?? 0);
  };
  const massG = value('massG');
  return {
    kind: KINDS.find((k) => k === params.get('kind')) ?? (today.kind === 'none' && massG > 0 ? 'silica-gel' : today.kind),
    massG,
    airChangesPerDay: value('airChangesPerDay'),
    openingsPerWeek: value('openingsPerWeek'),
    ownWarmerC: value('ownWarmerC'),
    warmerC: value('warmerC'),
    damperPct: value('damperPct'),
    setPointPct: today.setPointPct !== null ? value('setPointPct') : null,
    powerCutDays: value('powerCutDays'),
  };
}

const CABINET_ONLY: readonly WhatIfKey[] = ['setPointPct', 'powerCutDays'];
const BOX_ONLY: readonly WhatIfKey[] = ['massG', 'airChangesPerDay', 'openingsPerWeek'];
/** What may be played with in a box, in a dry cabinet, or on a shelf that is as open as the room. */
export function playableIn({ place, closed }: Start & Pick<WhatIfStart, 'closed'>): WhatIfKey[] {
  const isCabinet = place.setPointPct !== null;
  return (Object.keys(LIMITS) as WhatIfKey[]).filter(
    (key) => (isCabinet || !CABINET_ONLY.includes(key)) && ((closed && !isCabinet) || !BOX_ONLY.includes(key)),
  );
}

/** How many days of the air around it are played through. */
export const daysOf = ({ outside }: Pick<WhatIfStart, 'outside'>): number =>
  outside.length > 1 ? Math.round((Date.parse(outside.at(-1)!.at) - Date.parse(outside[0]!.at)) / MS_PER_DAY) : 0;

/** What is put in anew is dry; what lies there already is as full as it is. */
const desiccantOf = ({ kind, massG }: WhatIf): storage.FittedPlace['desiccant'] =>
  kind === 'none' || massG === 0 ? null : storage.driedDesiccant(kind, massG);

/** What of the place is changed: nothing at all while nothing is. */
export function changeOf(start: Start & Pick<WhatIfStart, 'outside'>, what: WhatIf): storage.PlaceChange {
  const today = asToday(start);
  const moved = (key: keyof WhatIf) => what[key] !== today[key];
  const middle = start.outside[Math.floor(start.outside.length / 2)]?.at;
  const powerCut =
    today.setPointPct !== null && what.powerCutDays > 0 && middle
      ? { from: middle, to: new Date(Date.parse(middle) + what.powerCutDays * MS_PER_DAY).toISOString() }
      : null;
  return {
    ...(moved('airChangesPerDay') ? { leakShare: what.airChangesPerDay / today.airChangesPerDay } : {}),
    ...(moved('openingsPerWeek') ? { openingsPerWeek: what.openingsPerWeek } : {}),
    ...(moved('kind') || moved('massG') ? { desiccant: desiccantOf(what) } : {}),
    ...(moved('ownWarmerC') ? { warmerC: what.ownWarmerC } : {}),
    ...(moved('setPointPct') ? { setPointPct: what.setPointPct } : {}),
    ...(powerCut ? { powerCut } : {}),
  };
}
