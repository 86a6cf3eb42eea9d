/** What a device says of itself: how full its battery is, %; whether it calls it low; how strong its radio is heard, dBm. */
export type Vitals = { batteryPct?: number; isBatteryLow?: boolean; signalDbm?: number };
export type Vital = keyof Vitals;

/** As devices call them (common practice). A bare “battery” may hold volts or a share; one that says percent does not. */
const BATTERY = /^(?:batt?|battery)(?:[_-]?(level|pct|percent|percentage|remaining))?$/i;
const BATTERY_LOW = /^(?:(?:batt?|battery)[_-]?low|low[_-]?(?:batt?|battery))$/i;
const SIGNAL = /^(?:rssi|signal)(?:[_-]?(?:dbm|strength|level))?$/i;

/** What a radio is heard at; 0 is what those say that do not know, and a quality in percent is above it. */
const SIGNAL_DBM = { min: -150, max: -1 };
/** A cell has fewer volts than this, and a share is below it: what is no less is a percentage. */
const SURELY_PERCENT_FROM = 5;

/** At this level a cell is near its end (our choice; a lithium cell’s voltage falls only in its last tenth, common practice). */
const LOW_BATTERY_PCT = 15;

const inside = (value: number, { min, max }: { min: number; max: number }): boolean => value >= min && value <= max;

export const batteryVital = (pct: number): Vitals => (inside(pct, { min: 0, max: 100 }) ? { batteryPct: pct } : {});
export const signalVital = (dbm: number): Vitals => (inside(dbm, SIGNAL_DBM) ? { signalDbm: dbm } : {});

/** What a field of this name and value tells of the device; nothing where its name is none of these, or its value cannot be. */
export function vitalsIn(name: string, value: number | boolean | null): Vitals {
  if (value === null) return {};
  if (BATTERY_LOW.test(name)) return typeof value === 'boolean' || value === 0 || value === 1 ? { isBatteryLow: Boolean(value) } : {};
  if (typeof value === 'boolean') return {};
  const battery = BATTERY.exec(name);
  if (battery) return battery[1] || value === 0 || value >= SURELY_PERCENT_FROM ? batteryVital(value) : {};
  return SIGNAL.test(name) ? signalVital(value) : {};
}

/** Whether its battery has to be changed soon: by its level, or because it says so itself. */
export const isBatteryLow = ({
  batteryPct,
  isBatteryLow: saysSo,
}: {
  batteryPct?: number | null;
  isBatteryLow?: boolean | null;
}): boolean => saysSo === true || (batteryPct !== undefined && batteryPct !== null && batteryPct <= LOW_BATTERY_PCT);
