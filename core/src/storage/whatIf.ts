import { type AirLog, atOf, columnsOf, emptyLog, type Log } from '../air/index.js';
import { assess, type Assessment, type AssessOptions, type Exposure, type RiskLevel } from '../fungus/index.js';
import { placeStanding, type Standing } from './standing.js';
import { changedPlace, type FittedPlace, placeAlong, type PlaceChange } from './place/index.js';

export type Band = { lowPct: number; highPct: number };

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

/** The figures of any course of air, measured or reckoned: one way to come by them, whoever asks. */
export function figuresOf(readings: Log, band: Band, options: AssessOptions): Figures {
  const log = columnsOf(readings);
  return figuresBy(log, band, assess(log, options));
}

function figuresBy(log: AirLog, { lowPct, highPct }: Band, { level, now }: Pick<Assessment, 'level' | 'now'>): Figures {
  const count = Math.max(1, log.length);
  let [sum, below, above] = [0, 0, 0];
  for (const pct of log.humidityPct) {
    sum += pct;
    if (pct < lowPct) below += 1;
    else if (pct > highPct) above += 1;
  }
  return {
    meanPct: sum / count,
    below: below / count,
    within: (log.length - below - above) / count,
    above: above / count,
    level,
    end: now,
  };
}

/** What is tried on: a place, the air around it over some weeks, and what was measured in it over the same weeks. */
export type Trial = {
  place: FittedPlace;
  /** The same place at the ends of what is not sure; none where it was never fitted. */
  ends: readonly FittedPlace[];
  outside: AirLog;
  /** The air around is the weather: in the air of another place neither its heating nor what people add goes along. */
  weather?: boolean;
  /** It has no seal, as a shelf: neither gel nor a tighter fit does anything for it. */
  open?: boolean;
  /** Null where nothing was measured: then the model stands alone. */
  measured: AirLog | null;
};

export type Course = {
  air: AirLog;
  /** How far the change is sure, % RH to either side, reading by reading. */
  halfPct: Float64Array;
};

/** The values of a log at other instants: straight lines in between, held at its ends. */
function at(ms: Float64Array, log: AirLog, column: 'temperatureC' | 'humidityPct'): Float64Array {
  const values = new Float64Array(ms.length);
  let i = 0;
  for (let k = 0; k < ms.length; k++) {
    while (i + 1 < log.length && log.ms[i + 1]! <= ms[k]!) i += 1;
    const next = Math.min(i + 1, log.length - 1);
    const span = log.ms[next]! - log.ms[i]!;
    const share = span > 0 ? Math.min(1, Math.max(0, (ms[k]! - log.ms[i]!) / span)) : 0;
    values[k] = log[column][i]! + share * (log[column][next]! - log[column][i]!);
  }
  return values;
}

/** The same place in the air of another: what made a room of the weather stays behind. */
const sheltered = (place: FittedPlace): FittedPlace => ({ ...place, vapourExcessGm3: 0, warmerC: 0, heatedToC: null });

const within = (pct: number): number => Math.min(100, Math.max(0, pct));

/**
 * What would have become of the air in a place over these weeks with something changed: what was measured, plus what the
 * change makes of it by the model. So a change of nothing is exactly what was measured, and what the model cannot explain
 * stays as it was. A cabinet that is put in holds its set-point whatever went on.
 *
 * @param elsewhere the air it would stand in instead.
 */
export function courseOf(trial: Trial, change: PlaceChange, elsewhere: AirLog = trial.outside): Course {
  const { place, ends, outside, weather, measured } = trial;
  const same = elsewhere === outside && Object.keys(change).length === 0;
  if (measured && (same || outside.length === 0 || elsewhere.length === 0))
    return { air: measured, halfPct: new Float64Array(measured.length) };
  const moved = (of: FittedPlace) => (weather && elsewhere !== outside ? sheltered(of) : of);
  const run = (of: FittedPlace) =>
    placeAlong(changedPlace(moved(of), change), elsewhere, { ...beginsAt(measured), powerCut: change.powerCut ?? null });
  const then = run(place);
  if (!measured) return { air: then, halfPct: new Float64Array(elsewhere.length) };
  const { ms } = measured;
  const base = baseOf(trial, measured);
  const byC = at(ms, then, 'temperatureC').map((t, i) => t - base.temperatureC[i]!);
  const by = at(ms, then, 'humidityPct').map((pct, i) => pct - base.humidityPct[i]!);
  const square = new Float64Array(measured.length);
  for (const [k, end] of ends.entries()) {
    const pct = at(ms, run(end), 'humidityPct');
    for (let i = 0; i < square.length; i++) square[i]! += (pct[i]! - base.ends[k]![i]! - by[i]!) ** 2;
  }
  const air = { ...emptyLog(measured.length), ms };
  const holds = change.powerCut ? null : (change.setPointPct ?? null);
  for (let i = 0; i < ms.length; i++) {
    air.temperatureC[i] = measured.temperatureC[i]! + byC[i]!;
    air.humidityPct[i] = Math.min(holds ?? 100, within(measured.humidityPct[i]! + by[i]!));
  }
  return { air, halfPct: square.map(Math.sqrt) };
}

const beginsAt = (measured: AirLog | null): { startPct?: number } =>
  measured && measured.length > 0 ? { startPct: measured.humidityPct[0]! } : {};

/** What the model makes of a place as it is, at the instants of what was measured. */
type Base = { temperatureC: Float64Array; humidityPct: Float64Array; ends: Float64Array[] };
/** While one plays with a place only the change is new: the place as it is, is walked once. */
const bases = new WeakMap<Trial, Base>();
function baseOf(trial: Trial, measured: AirLog): Base {
  const known = bases.get(trial);
  if (known) return known;
  const run = (of: FittedPlace) => placeAlong(of, trial.outside, beginsAt(measured));
  const own = run(trial.place);
  const base: Base = {
    temperatureC: at(measured.ms, own, 'temperatureC'),
    humidityPct: at(measured.ms, own, 'humidityPct'),
    ends: trial.ends.map((end) => at(measured.ms, run(end), 'humidityPct')),
  };
  bases.set(trial, base);
  return base;
}

export type TrialResult = Figures & Course & { exhaustedAt: string | null; /** How the place would stand now. */ standing: Standing };

/** From which place on the air is above a limit for good; their number when it is below at the end. */
function aboveForGood({ length, humidityPct }: AirLog, limitPct: number): number {
  let from = length;
  while (from > 0 && humidityPct[from - 1]! > limitPct) from -= 1;
  return from;
}

/** `nowMs`: when it stands so; with its last reading where that is left out. */
export type TrialOptions = AssessOptions & { nowMs?: number };

/** What would become of the air in it, of the band and of the risk, beginning where `options.start` stood. */
export function tryChange(trial: Trial, change: PlaceChange, band: Band, options: TrialOptions, elsewhere?: AirLog): TrialResult {
  const course = courseOf(trial, change, elsewhere);
  const { air } = course;
  const models = assess(air, options);
  const nowMs = options.nowMs ?? air.ms[air.length - 1] ?? 0;
  const spent = changedPlace(trial.place, change).desiccant ? aboveForGood(air, band.highPct) : air.length;
  return {
    ...course,
    ...figuresBy(air, band, models),
    standing: placeStanding({ log: air, ...band, models, school: options.humiditySchool, nowMs }),
    exhaustedAt: spent < air.length ? atOf(air, spent) : null,
  };
}

/** Another climate: how much warmer, K, and how much damper, % RH, the air around is than its log. */
export type Climate = { warmerC: number; damperPct: number };

/** No air of a room is damper, or drier, than this. */
const DAMPEST_PCT = 99;
const DRIEST_PCT = 2;

/** The air around in another climate: the same course, warmer or damper. */
export const roomInClimate = ({ temperatureC, humidityPct, ...rest }: AirLog, { warmerC, damperPct }: Climate): AirLog => ({
  ...rest,
  temperatureC: temperatureC.map((t) => t + warmerC),
  humidityPct: humidityPct.map((pct) => Math.min(DAMPEST_PCT, Math.max(DRIEST_PCT, pct + damperPct))),
});
