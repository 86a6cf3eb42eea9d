import { type AirLog, columnsOf, emptyLog, type Reading } from '../../air/index.js';
import { DRIED_LOADING } from '../gel.js';
import { MS_PER_HOUR } from '../../units.js';
import { changesByOpenings, type FittedPlace } from './fittedPlace.js';
import { driveOf, excessShare, ownHumidity, ownTemperature, type Stand, warmthOf } from './ownAir.js';

/** One thing, or several, that could be otherwise. What is left out stays as it is. */
export type PlaceChange = {
  /** Its leak, times this: 0.5 is a seal twice as tight. Openings come on top. */
  leakShare?: number;
  openingsPerWeek?: number;
  /** Other desiccant from the first hour on; null takes out what is there. */
  desiccant?: FittedPlace['desiccant'];
  /** Current that holds it there, % RH; null takes the current away. */
  setPointPct?: number | null;
  /** How much warmer than the air around it stands, K: 0 is away from a cold wall. Its heating moves along. */
  warmerC?: number;
  /** Between these instants a cabinet has no current. */
  powerCut?: { from: string; to: string } | null;
};

/** Nothing is so tight that it lets no air in at all: openings apart, so much of its changes always stay. */
const TIGHTEST_SHARE = 0.02;
/** What openings leave of the changes that were fitted is the leak. */
export const leakOf = ({ airChangesPerDay, openingsPerWeek }: Pick<FittedPlace, 'airChangesPerDay' | 'openingsPerWeek'>): number =>
  Math.max(TIGHTEST_SHARE * airChangesPerDay, airChangesPerDay - changesByOpenings(openingsPerWeek));

/** The place as it would be. */
export function changedPlace(place: FittedPlace, change: PlaceChange): FittedPlace {
  const { leakShare = 1, openingsPerWeek = place.openingsPerWeek, warmerC = place.warmerC } = change;
  const asItIs = leakShare === 1 && openingsPerWeek === place.openingsPerWeek;
  return {
    ...place,
    openingsPerWeek,
    airChangesPerDay: asItIs ? place.airChangesPerDay : leakShare * leakOf(place) + changesByOpenings(openingsPerWeek),
    warmerC,
    heatedToC: place.heatedToC === null ? null : place.heatedToC + warmerC - place.warmerC,
    setPointPct: change.setPointPct === undefined ? place.setPointPct : change.setPointPct,
    desiccant: change.desiccant === undefined ? place.desiccant : change.desiccant,
  };
}

/** The same air drives many trials: it is worked out once. */
const drives = new WeakMap<AirLog, ReturnType<typeof driveOf>>();
function drivenBy(outside: AirLog): ReturnType<typeof driveOf> {
  const known = drives.get(outside) ?? driveOf(outside);
  drives.set(outside, known);
  return known;
}

/** Where it stands when nothing inside was measured: in balance with the air around. */
const inBalance = (humidityPct: number): Stand => ({ air: humidityPct / 100, walls: humidityPct / 100 });

/**
 * The air in a place along the log of the air around it, at the same instants.
 * @param startPct what was measured in it at the beginning, % RH; left out: it begins in balance with the air around.
 */
export function placeAlong(
  place: FittedPlace,
  outside: AirLog,
  { startPct, powerCut }: { startPct?: number; powerCut?: PlaceChange['powerCut'] } = {},
): AirLog {
  const air = emptyLog(outside.length);
  if (outside.length === 0) return air;
  const { at, drive } = drivenBy(outside);
  const warmth = warmthOf(ownTemperature(place, drive));
  const excess = excessShare(place.excess, drive);
  const aroundPct = (100 * (drive.vapourGm3[0]! + excess[0]! * place.vapourExcessGm3)) / warmth.saturated[0]!;
  const pct = ownHumidity({
    place,
    drive,
    warmth,
    excess,
    start: inBalance(Math.min(100, Math.max(0, startPct ?? aroundPct))),
    powerCut: powerCut && { fromH: Date.parse(powerCut.from) / MS_PER_HOUR, toH: Date.parse(powerCut.to) / MS_PER_HOUR },
  });
  air.ms.set(outside.ms);
  for (let i = 0; i < outside.length; i++) {
    air.temperatureC[i] = warmth.temperatureC[at[i]!]!;
    air.humidityPct[i] = pct[at[i]!]!;
  }
  return air;
}

/** The air in a place along a log of the air around it, as it is or with something changed, told in readings. */
export function simulatePlace(place: FittedPlace, outside: readonly Reading[], change: PlaceChange = {}): { readings: Reading[] } {
  const air = placeAlong(changedPlace(place, change), columnsOf(outside), { powerCut: change.powerCut ?? null });
  return {
    readings: outside.map(({ at }, i) => ({ at, temperatureC: air.temperatureC[i]!, humidityPct: air.humidityPct[i]! })),
  };
}

/** Desiccant as it comes from the oven. */
export const driedDesiccant = (
  kind: NonNullable<FittedPlace['desiccant']>['kind'],
  massG: number,
): NonNullable<FittedPlace['desiccant']> => ({
  kind,
  massG,
  loadingGPerG: DRIED_LOADING[kind],
});
