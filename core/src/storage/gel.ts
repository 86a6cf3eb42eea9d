import { type AirLog, columnsOf, emptyLog, firstFrom, type Log, part } from '../air/index.js';
import { boxAlong, type Box } from './box.js';
import { desiccantUptake, loadingAtIndicator, type DesiccantKind, type IndicatorColour } from './desiccants.js';
import { spellsPast, tooDamp } from './alerts.js';
import { asLastYear, SEASON_DAYS, thinned } from './yearAhead.js';
import { MS_PER_HOUR } from '../units.js';

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
  room: Log;
  /** The air in it over the last day, where a hygrometer lies in it. */
  inside: Log;
  now: string;
};
export type GelReckoning = {
  kind: DesiccantKind;
  massG: number;
  loadingGPerG: number;
  /** Share of what it can take up before the target is reached that is still free, 0 to 1. */
  left: number;
  /** The day it is spent: the mean of the day in it is above the band. Null when not within a year. */
  spentOn: string | null;
  /** The room is taken to go on as in the year before; as in the last month where that was not read. */
  roomAs: 'last-year' | 'last-month';
  knownFrom: 'measured' | 'reckoned' | 'indicator';
  since: string;
};

/** What is left in it after an hour or two in the oven, g/g (our choice). */
export const DRIED_LOADING: Record<DesiccantKind, number> = { 'silica-gel': 0.02, rice: 0.08 };

const AHEAD_DAYS = SEASON_DAYS;
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

const mean = (column: Float64Array): number => column.reduce((sum, value) => sum + value, 0) / column.length;

/** How full desiccant is by the air that stood beside it: the two are in balance within a day, g/g. */
export const loadingByAir = (kind: DesiccantKind, { temperatureC, humidityPct }: AirLog): number =>
  desiccantUptake(kind, mean(temperatureC), mean(humidityPct));

/** The room of the year ahead: as in the year behind where that was read, else as in the last month again and again. */
export function yearOf(room: AirLog, nowMs: number): { ahead: AirLog; roomAs: GelReckoning['roomAs'] } {
  const lastYear = asLastYear(room, nowMs);
  return lastYear
    ? { ahead: thinned(lastYear, AHEAD_STEP_H), roomAs: 'last-year' }
    : { ahead: roomAhead(room, nowMs), roomAs: 'last-month' };
}

/** The room's last month again and again, from now on for a year. */
function roomAhead(room: AirLog, nowMs: number): AirLog {
  // A room that was not read lately is taken to be as it was read last.
  const from = Math.min(firstFrom(room.ms, nowMs - PATTERN_DAYS * 24 * MS_PER_HOUR + 1), room.length - 1);
  if (from < 0) return emptyLog(0);
  const pattern = part(room, from, room.length);
  const ahead = emptyLog((AHEAD_DAYS * 24) / AHEAD_STEP_H + 1);
  for (let i = 0; i < ahead.length; i++) {
    const like = (i * AHEAD_STEP_H) % pattern.length;
    ahead.ms[i] = nowMs + i * AHEAD_STEP_H * MS_PER_HOUR;
    ahead.temperatureC[i] = pattern.temperatureC[like]!;
    ahead.humidityPct[i] = pattern.humidityPct[like]!;
  }
  return ahead;
}

/** The first instant, and its place, at which a course of air is too damp; null where it never is. */
export function dampFrom(air: AirLog, highPct: number): number | null {
  const [first] = spellsPast(air, tooDamp(highPct));
  return first ? Date.parse(first.from) : null;
}

/** The loading now: what the air inside tells, else reckoned from when it was last known. */
function loadingNow(
  { kind, massG, at, loading, from }: Known,
  box: GelQuestion['box'],
  room: AirLog,
  inside: AirLog,
): { loading: number; from: GelReckoning['knownFrom'] } {
  if (inside.length > 0) return { loading: loadingByAir(kind, inside), from: 'measured' };
  const since = part(room, firstFrom(room.ms, Date.parse(at)), room.length);
  if (since.length < 2) return { loading, from };
  return { loading: boxAlong({ ...box, desiccant: { kind, massG, loadingGPerG: loading } }, since).loadingGPerG.at(-1)!, from };
}

/**
 * How much of its strength the desiccant of a place has left, and the day it is spent. An indicator that was read
 * corrects the reckoning; a hygrometer inside overrules both, since gel and air are in balance. Null when there
 * is none in it.
 */
export function reckonGel(question: GelQuestion): GelReckoning | null {
  const known = question.events.reduce(learn, null);
  if (!known) return null;
  const { box, now } = question;
  const room = columnsOf(question.room);
  const { loading, from } = loadingNow(known, box, room, columnsOf(question.inside));
  const nowMs = Date.parse(now);
  const { ahead, roomAs } = yearOf(room, nowMs);
  const filled = { ...box, desiccant: { kind: known.kind, massG: known.massG, loadingGPerG: loading } };
  const spentMs = ahead.length > 0 ? dampFrom(boxAlong(filled, ahead).air, box.targetPct) : null;
  const temperatureC = room.length > 0 ? mean(room.temperatureC.slice(-24)) : 20;
  const full = desiccantUptake(known.kind, temperatureC, box.targetPct);
  const dry = DRIED_LOADING[known.kind];
  return {
    kind: known.kind,
    massG: known.massG,
    loadingGPerG: loading,
    left: Math.min(1, Math.max(0, (full - loading) / (full - dry))),
    spentOn: spentMs === null ? null : new Date(spentMs).toISOString(),
    roomAs,
    knownFrom: from,
    since: known.at,
  };
}
