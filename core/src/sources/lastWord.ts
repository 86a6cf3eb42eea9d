import type { PushedReadings, SetAsideReason } from './joined.js';
import { isBatteryLow } from './vitals.js';

/** What a device said last beside its readings; null where it has not said one of them yet. */
export type LastWord = {
  /** When that came here, ISO 8601. */
  at: string;
  batteryPct: number | null;
  isBatteryLow: boolean | null;
  /** Since when its battery is low, by its level or its own word; null where it is not. */
  lowSince: string | null;
  signalDbm: number | null;
  /** By how much the time it told is ahead of ours, s; 0 where it tells none. What was kept back is behind, too. */
  clockOffS: number;
  /** Why something of it was set aside; null where all of it counts. */
  setAside: SetAsideReason | null;
};

/** The clock of a device, its way here, and ours are never nearer than this, s. */
const CLOCKS_AGREE_S = 60;

const newestMs = (readings: PushedReadings['readings']): number | null => {
  const last = readings.at(-1);
  return last ? Date.parse(last.at) : null;
};

/** How far the newest time in what came is from now, s; 0 within what clocks agree to. */
function clockOffS({ readings, aheadMs }: PushedReadings, now: Date): number {
  const ms = aheadMs === null ? newestMs(readings) : now.getTime() + aheadMs;
  const offS = ms === null ? 0 : Math.round((ms - now.getTime()) / 1000);
  return Math.abs(offS) < CLOCKS_AGREE_S ? 0 : offS;
}

/** What is known of a device after it said something: what it does not tell now stays as it was. Null while there is nothing to know. */
export function lastWordAfter(before: LastWord | null, came: PushedReadings, now: Date): LastWord | null {
  const at = now.toISOString();
  const told = came.vitals;
  const battery = {
    batteryPct: told.batteryPct ?? before?.batteryPct ?? null,
    isBatteryLow: told.isBatteryLow ?? before?.isBatteryLow ?? null,
  };
  const word: LastWord = {
    at,
    ...battery,
    lowSince: isBatteryLow(battery) ? (before?.lowSince ?? at) : null,
    signalDbm: told.signalDbm ?? before?.signalDbm ?? null,
    clockOffS: clockOffS(came, now),
    setAside: came.setAside[0]?.reason ?? null,
  };
  const { batteryPct: pct, isBatteryLow: low, signalDbm: dbm, clockOffS: off, setAside } = word;
  const isAnything = pct !== null || low !== null || dbm !== null || off !== 0 || setAside !== null;
  return before || isAnything ? word : null;
}
