import { type AirLog, atOf, columnsOf, firstFrom, type Log, part } from '../air/index.js';
import { assess, type AssessOptions, type Exposure, type RiskLevel } from '../fungus/index.js';
import { boxAlong, type Box } from './box.js';
import { DRIED_LOADING } from './gel.js';

/** A box as it might be. `setPointPct` is a dry cabinet's; `powerCut` is when it has no current. */
export type Scenario = {
  box: Box;
  /** Its desiccant has only just been put in. */
  freshDesiccant?: boolean;
  setPointPct?: number | null;
  powerCut?: { from: string; to: string } | null;
};

type Band = { lowPct: number; highPct: number };

/** What a course of air comes to: its mean, the shares of the time below, in and above the band, and the risk at its end. */
export type Figures = {
  meanPct: number;
  below: number;
  within: number;
  above: number;
  level: RiskLevel;
  /** Where both models stand at the end. */
  end: Exposure;
};
export type ScenarioResult = Figures & { air: AirLog; exhaustedAt: string | null };

const capped = ({ humidityPct, ...rest }: AirLog, mostPct: number): AirLog => ({
  ...rest,
  humidityPct: humidityPct.map((pct) => Math.min(mostPct, pct)),
});

/** With current, a dry cabinet holds its set-point where the room is damper; without, it is a box with a fair seal. */
function run({ box, freshDesiccant = false, setPointPct, powerCut }: Scenario, room: AirLog): Pick<ScenarioResult, 'air' | 'exhaustedAt'> {
  if (setPointPct == null) {
    const { air, exhaustedFrom } = boxAlong(box, room, { freshDesiccant });
    return { air, exhaustedAt: exhaustedFrom < air.length ? atOf(air, exhaustedFrom) : null };
  }
  const air = capped(room, setPointPct);
  if (powerCut) {
    const from = firstFrom(room.ms, Date.parse(powerCut.from));
    const to = firstFrom(room.ms, Date.parse(powerCut.to));
    const startHumidityPct = Math.max(1, air.humidityPct[from - 1] ?? setPointPct);
    air.humidityPct.set(boxAlong(box, part(room, from, to), { startHumidityPct }).air.humidityPct, from);
  }
  return { air, exhaustedAt: null };
}

/** The figures of any course of air, measured or reckoned: one way to come by them, whoever asks. */
export function figuresOf(readings: Log, { lowPct, highPct }: Band, options: AssessOptions): Figures {
  const log = columnsOf(readings);
  const count = Math.max(1, log.length);
  let [sum, below, above] = [0, 0, 0];
  for (const pct of log.humidityPct) {
    sum += pct;
    if (pct < lowPct) below += 1;
    else if (pct > highPct) above += 1;
  }
  const { level, now } = assess(log, options);
  return {
    meanPct: sum / count,
    below: below / count,
    within: (log.length - below - above) / count,
    above: above / count,
    level,
    end: now,
  };
}

/** What would become of the air in it, of the band and of the risk, beginning where `options.start` stood. */
export function tryScenario(scenario: Scenario, room: Log, band: Band, options: AssessOptions): ScenarioResult {
  const result = run(scenario, columnsOf(room));
  return { ...result, ...figuresOf(result.air, band, options) };
}

/** Another climate: how much warmer, K, and how much damper, % RH, the room is than its log. */
export type Climate = { warmerC: number; damperPct: number };

/** No air of a room is damper, or drier, than this. */
const DAMPEST_PCT = 99;
const DRIEST_PCT = 2;

/** The room in another climate: the same course, warmer or damper. */
export const roomInClimate = ({ temperatureC, humidityPct, ...rest }: AirLog, { warmerC, damperPct }: Climate): AirLog => ({
  ...rest,
  temperatureC: temperatureC.map((t) => t + warmerC),
  humidityPct: humidityPct.map((pct) => Math.min(DAMPEST_PCT, Math.max(DRIEST_PCT, pct + damperPct))),
});

/** One thing that could be changed by itself. */
export const CHANGE_IDS = [
  'dry-gel',
  'fewer-openings',
  'lower-set-point',
  'better-seal',
  'more-gel',
  'other-room',
  'dry-room',
  'electric',
] as const;
export type ChangeId = (typeof CHANGE_IDS)[number];

/** What each costs in trouble: a habit 1, an evening 2, a move 2.5, money and current 4 (our choice). */
const EFFORT: Record<ChangeId, number> = {
  'dry-gel': 1,
  'fewer-openings': 1,
  'lower-set-point': 1,
  'better-seal': 2,
  'more-gel': 2,
  'other-room': 2.5,
  'dry-room': 4,
  electric: 4,
};

export type SingleChange = {
  id: ChangeId;
  /** The amount it is tried with: grams, per cent; null where there is none. */
  amount: number | null;
  /** Another of the keeper's places, whose air it would stand in. */
  placeName: string | null;
  scenario: Scenario;
  room: AirLog;
};

/** The other places whose air it might stand in. */
export type OtherRoom = { name: string; readings: Log };

/** A room that is dried is held at this (common practice: a dehumidifier's usual setting). */
const DRIED_ROOM_PCT = 50;
/** As open as a shelf: neither seal nor gel does anything for it. */
const OPEN_FROM_PER_DAY = 50;

/** The single changes worth comparing (our choice of amounts: twice the gel, half the leak, half the openings). */
export function singleChanges(scenario: Scenario, room: AirLog, { lowPct, highPct }: Band, others: readonly OtherRoom[]): SingleChange[] {
  const { box, setPointPct } = scenario;
  const change = (
    id: ChangeId,
    amount: number | null,
    more: Partial<Pick<SingleChange, 'scenario' | 'room' | 'placeName'>>,
  ): SingleChange => ({
    id,
    amount,
    placeName: null,
    scenario,
    room,
    ...more,
  });
  const around = [
    ...others.map((o) => change('other-room', null, { room: columnsOf(o.readings), placeName: o.name })),
    change('dry-room', DRIED_ROOM_PCT, { room: capped(room, DRIED_ROOM_PCT) }),
  ];
  const middle = Math.round((lowPct + highPct) / 2);
  if (setPointPct != null) {
    const lower = Math.max(lowPct + 2, Math.min(middle, setPointPct) - 5);
    return lower < setPointPct ? [change('lower-set-point', lower, { scenario: { ...scenario, setPointPct: lower } }), ...around] : around;
  }
  if (box.airChangesPerDay >= OPEN_FROM_PER_DAY) return around;
  const massG = Math.max(100, 2 * (box.desiccant?.massG ?? 0));
  const gel = { ...box, desiccant: { kind: 'silica-gel', massG, loadingGPerG: 0.02 } as const };
  const { desiccant: own, ...bare } = box;
  const dried = own && { ...own, loadingGPerG: DRIED_LOADING[own.kind] };
  return [
    ...(dried
      ? [change('dry-gel', dried.massG, { scenario: { ...scenario, freshDesiccant: true, box: { ...box, desiccant: dried } } })]
      : []),
    ...(box.openingsPerWeek > 0
      ? [
          change('fewer-openings', box.openingsPerWeek / 2, {
            scenario: { ...scenario, box: { ...box, openingsPerWeek: box.openingsPerWeek / 2 } },
          }),
        ]
      : []),
    change('better-seal', null, { scenario: { ...scenario, box: { ...box, airChangesPerDay: box.airChangesPerDay / 2 } } }),
    change('more-gel', massG, { scenario: { ...scenario, freshDesiccant: true, box: gel } }),
    change('electric', middle, { scenario: { ...scenario, box: bare, setPointPct: middle } }),
    ...around,
  ];
}

/** How bad a result is: the time above the band, half of that below it, and what the early warning has come to. Lower is better. */
export const badness = ({ above, end, below }: Figures): number => above + 0.5 * below + Math.min(end.dose, 5) / 10;

/** In its band but for so much of the time, it needs nothing (our choice). */
const SELDOM = 0.1;
/** A change that leaves it above its band more often than this has not helped (our choice). */
const STILL_TOO_DAMP = 0.25;
/** It has to be this much better to be worth a word. */
const NOTABLE = 0.05;

export type TriedChange = { change: SingleChange; result: Figures; /** How much better, for its trouble. */ worth: number };
/**
 * What helps most. `nothing-needed`: it is where it should be. `helps`: what brings it there by itself, best for its
 * trouble first. `nothing-helps`: no single change does; the nearest is told, and that it is not enough.
 */
export type ChangeAdvice =
  { verdict: 'nothing-needed' } | { verdict: 'helps'; changes: TriedChange[] } | { verdict: 'nothing-helps'; nearest: TriedChange | null };

/** Ranks every single change by what it is worth for its trouble. `now` are the figures it is held against. */
export function adviseChange(
  now: Figures,
  scenario: Scenario,
  room: Log,
  band: Band,
  options: AssessOptions,
  others: readonly OtherRoom[] = [],
): ChangeAdvice {
  if (now.above <= SELDOM && now.level === 'safe') return { verdict: 'nothing-needed' };
  const tried = singleChanges(scenario, columnsOf(room), band, others).map((change): TriedChange => {
    const { air: _, exhaustedAt: __, ...result } = tryScenario(change.scenario, change.room, band, options);
    return { change, result, worth: (badness(now) - badness(result)) / EFFORT[change.id] };
  });
  const helping = tried.filter((t) => t.result.above <= STILL_TOO_DAMP && badness(now) - badness(t.result) >= NOTABLE);
  if (helping.length > 0) return { verdict: 'helps', changes: helping.sort((a, b) => b.worth - a.worth) };
  const nearest = tried.sort((a, b) => badness(a.result) - badness(b.result))[0] ?? null;
  return { verdict: 'nothing-helps', nearest: nearest && badness(now) - badness(nearest.result) >= NOTABLE ? nearest : null };
}
