import type { Reading } from '../air/index.js';
import { simulateBox, type Box } from './box.js';
import { desiccantUptake, loadingAtIndicator, type DesiccantKind, type IndicatorColour } from './desiccants.js';

/** What was done with, or read off, the desiccant of a place. */
export type GelAct =
  | { kind: 'gel-set'; desiccant: DesiccantKind; massG: number; loadingPct: number }
  | { kind: 'gel-dried' | 'gel-out' }
  | { kind: 'indicator'; colour: IndicatorColour };
export type GelEvent = { at: string } & GelAct;
export type GelQuestion = {
  /** Oldest first. */
  events: readonly GelEvent[];
  box: Omit<Box, 'desiccant'>;
  /** The air around the place, hour by hour, up to now. */
  room: readonly Reading[];
  /** The air in it over the last day, where a hygrometer lies in it. */
  inside: readonly Reading[];
  now: string;
};
export type GelReckoning = {
  kind: DesiccantKind;
  massG: number;
  loadingGPerG: number;
  /** Share of what it can take up before the target is reached that is still free, 0 to 1. */
  left: number;
  /** The day it is spent, if the room goes on as in the last month; null when not within a year. */
  spentOn: string | null;
  knownFrom: 'measured' | 'reckoned' | 'indicator';
  since: string;
};

/** What is left in it after an hour or two in the oven, g/g (our choice). */
export const DRIED_LOADING: Record<DesiccantKind, number> = { 'silica-gel': 0.02, rice: 0.08 };

const MS_PER_HOUR = 3_600_000;
const AHEAD_DAYS = 365;
const AHEAD_STEP_H = 6;
const PATTERN_DAYS = 30;

type Known = { kind: DesiccantKind; massG: number; loading: number; at: string; from: 'reckoned' | 'indicator' };

/** What one event tells about the loading. */
function learn(known: Known | null, event: GelEvent): Known | null {
  switch (event.kind) {
    case 'gel-set':
      return { kind: event.desiccant, massG: event.massG, loading: event.loadingPct / 100, at: event.at, from: 'reckoned' };
    case 'gel-out':
      return null;
    case 'gel-dried':
      return known && { ...known, loading: DRIED_LOADING[known.kind], at: event.at, from: 'reckoned' };
    case 'indicator':
      return known && { ...known, loading: loadingAtIndicator[event.colour], at: event.at, from: 'indicator' };
    default:
      return event satisfies never;
  }
}

const mean = (log: readonly Reading[], of: 'temperatureC' | 'humidityPct'): number => log.reduce((sum, r) => sum + r[of], 0) / log.length;

/** The room's last month again and again, from now on for a year. */
function roomAhead(room: readonly Reading[], now: string): Reading[] {
  const nowMs = Date.parse(now);
  const pattern = room.filter((r) => Date.parse(r.at) > nowMs - PATTERN_DAYS * 24 * MS_PER_HOUR);
  const base = pattern.length > 0 ? pattern : room.slice(-1);
  if (base.length === 0) return [];
  const hours = AHEAD_DAYS * 24;
  return Array.from({ length: hours / AHEAD_STEP_H + 1 }, (_, i) => {
    const sample = base[Math.floor((i * AHEAD_STEP_H) % base.length)]!;
    return { ...sample, at: new Date(nowMs + i * AHEAD_STEP_H * MS_PER_HOUR).toISOString() };
  });
}

/** The loading now: what the air inside tells, else reckoned from when it was last known. */
function loadingNow(known: Known, { box, room, inside }: GelQuestion): { loading: number; from: GelReckoning['knownFrom'] } {
  if (inside.length > 0)
    return { loading: desiccantUptake(known.kind, mean(inside, 'temperatureC'), mean(inside, 'humidityPct')), from: 'measured' };
  const since = room.filter((r) => r.at >= known.at);
  if (since.length < 2) return { loading: known.loading, from: known.from };
  const desiccant = { kind: known.kind, massG: known.massG, loadingGPerG: known.loading };
  return { loading: simulateBox({ ...box, desiccant }, since).loadingGPerG.at(-1)!, from: known.from };
}

/**
 * How much of its strength the desiccant of a place has left, and the day it is spent. An indicator that was read
 * corrects the reckoning; a hygrometer inside overrules both, since gel and air are in balance. Null when there
 * is none in it.
 */
export function reckonGel(question: GelQuestion): GelReckoning | null {
  const known = question.events.reduce(learn, null);
  if (!known) return null;
  const { box, room, now } = question;
  const { loading, from } = loadingNow(known, question);
  const ahead = roomAhead(room, now);
  const { exhaustedAt } = simulateBox({ ...box, desiccant: { kind: known.kind, massG: known.massG, loadingGPerG: loading } }, ahead);
  const temperatureC = room.length > 0 ? mean(room.slice(-24), 'temperatureC') : 20;
  const full = desiccantUptake(known.kind, temperatureC, box.targetPct);
  const dry = DRIED_LOADING[known.kind];
  return {
    kind: known.kind,
    massG: known.massG,
    loadingGPerG: loading,
    left: Math.min(1, Math.max(0, (full - loading) / (full - dry))),
    spentOn: exhaustedAt,
    knownFrom: from,
    since: known.at,
  };
}
