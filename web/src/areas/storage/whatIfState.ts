import type { WhatIfStart } from '@bright-keeper/contract';
import { storage } from '@bright-keeper/core';

/** What one plays with; what is left alone stays as it is today. */
export type WhatIf = {
  kind: 'silica-gel' | 'rice' | 'none';
  massG: number;
  airChangesPerDay: number;
  openingsPerWeek: number;
  /** How much warmer, and damper, the room is than its log. */
  warmerC: number;
  damperPct: number;
  setPointPct: number | null;
  powerCutDays: number;
};

export const LIMITS = {
  massG: { min: 0, max: 1000, step: 10 },
  airChangesPerDay: { min: 0.05, max: 20, step: 0.05 },
  openingsPerWeek: { min: 0, max: 21, step: 1 },
  warmerC: { min: -10, max: 10, step: 0.5 },
  damperPct: { min: -30, max: 30, step: 1 },
  setPointPct: { min: 25, max: 60, step: 1 },
  powerCutDays: { min: 0, max: 30, step: 1 },
} as const;

export const asToday = ({ box, setPointPct }: WhatIfStart): WhatIf => ({
  kind: box.desiccant?.kind ?? 'none',
  massG: box.desiccant?.massG ?? 0,
  airChangesPerDay: box.airChangesPerDay,
  openingsPerWeek: box.openingsPerWeek,
  warmerC: 0,
  damperPct: 0,
  setPointPct,
  powerCutDays: 0,
});

export type WhatIfKey = keyof typeof LIMITS;
const KINDS = ['silica-gel', 'rice', 'none'] as const;

/** What the address asks for, within the limits; what it leaves out, or what is no number, stays as it is today. */
export function whatIfFrom(params: URLSearchParams, start: WhatIfStart): WhatIf {
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
    warmerC: value('warmerC'),
    damperPct: value('damperPct'),
    setPointPct: start.setPointPct !== null ? value('setPointPct') : null,
    powerCutDays: value('powerCutDays'),
  };
}

const CABINET_ONLY: readonly WhatIfKey[] = ['setPointPct', 'powerCutDays'];
const BOX_ONLY: readonly WhatIfKey[] = ['massG', 'openingsPerWeek'];
/** What may be played with in a box, or in a dry cabinet. */
export const playableIn = ({ setPointPct }: Pick<WhatIfStart, 'setPointPct'>): WhatIfKey[] =>
  (Object.keys(LIMITS) as WhatIfKey[]).filter((key) => !(setPointPct !== null ? BOX_ONLY : CABINET_ONLY).includes(key));

/** How many days of the room around it are played through. */
export const daysOf = ({ room }: Pick<WhatIfStart, 'room'>): number =>
  room.length > 1 ? Math.round((Date.parse(room.at(-1)!.at) - Date.parse(room[0]!.at)) / 86_400_000) : 0;

/** The box as it is today. */
export const todayScenario = ({ box, setPointPct }: WhatIfStart): storage.Scenario => ({ box, setPointPct });

/** What is put in anew is dry; what lies there already is as full as it is. */
function desiccantOf({ box }: WhatIfStart, { kind, massG }: WhatIf): storage.Box['desiccant'] {
  if (kind === 'none' || massG === 0) return undefined;
  const same = box.desiccant?.kind === kind && box.desiccant.massG === massG;
  return same ? box.desiccant : { kind, massG, loadingGPerG: storage.DRIED_LOADING[kind] };
}

export function scenarioOf(start: WhatIfStart, what: WhatIf): storage.Scenario {
  const { desiccant: _, ...box } = start.box;
  const desiccant = desiccantOf(start, what);
  const middle = start.room[Math.floor(start.room.length / 2)]?.at;
  const to = middle && new Date(Date.parse(middle) + what.powerCutDays * 86_400_000).toISOString();
  return {
    box: { ...box, airChangesPerDay: what.airChangesPerDay, openingsPerWeek: what.openingsPerWeek, ...(desiccant ? { desiccant } : {}) },
    freshDesiccant: desiccant !== start.box.desiccant,
    setPointPct: what.setPointPct,
    powerCut: what.setPointPct !== null && what.powerCutDays > 0 && middle && to ? { from: middle, to } : null,
  };
}
