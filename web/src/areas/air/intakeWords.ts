import type { IntakeFault } from '@bright-keeper/contract';
import { sources } from '@bright-keeper/core';

export const SOURCE_WORDS: Record<sources.WayId, string> = {
  hand: 'read by hand',
  csv: 'log imported from a file',
  folder: 'logs read from a folder',
  push: 'pushes by itself',
  mqtt: 'heard at the broker',
  poll: 'asked at its address',
};

/** Why nothing comes in, and what to do. */
export const INTAKE_WORDS: Record<IntakeFault, string> = {
  'no-broker': 'No broker is named: say below at which address it answers.',
  'not-nearby': 'Its address is not on this network, and no other is asked.',
  unreachable: 'It does not answer. Is it on, and is the address still the same?',
  refused: 'The broker does not let us in, or hear this topic: check name and password.',
  certificate: 'Its certificate is not one that can be believed: name whoever vouches for it.',
  'too-large': 'More came than a hygrometer says; what was too much is left out.',
  'not-understood': 'What came is no reading that can be understood.',
  'says-off': 'It says itself that it is off.',
  'old-word': 'The broker holds only what was said at some earlier time; the next word counts.',
  'no-folder': 'The folder for logs cannot be watched: is it there, and may we read it?',
  'from-elsewhere':
    'Its address came with a household from elsewhere, and nobody here has said that it may be asked: see that it is right, and save it.',
  'unreadable-file': 'A file in the folder is not written like the one that was imported; nothing of it counts.',
};

const OF_THE_BROKER: Partial<Record<IntakeFault, string>> = {
  unreachable: 'The broker does not answer. Does it run, and is its address still the same?',
  'too-large': 'More came from the broker than hygrometers say; what was too much is left out.',
};
/** The same of the broker, and of whatever is heard there. */
export const brokerFaultWords = (fault: IntakeFault): string => OF_THE_BROKER[fault] ?? INTAKE_WORDS[fault];

const SET_ASIDE_WORDS: Record<sources.SetAsideReason, string> = {
  'no-time': 'its time is none',
  'out-of-range': 'no air is like that',
  'unknown-unit': 'its unit is not known',
  'half-a-reading': 'a temperature or a humidity is missing',
  'in-the-future': 'it lies in the future',
  'wrong-version': 'it is of a version that is not known',
  'must-be-understood': 'it holds what must be understood, and is not',
  unreadable: 'it cannot be read',
  'nothing-of-ours': 'neither a temperature nor a humidity is in it',
};
export const setAsideWords = (reason: sources.SetAsideReason): string =>
  `Of its last message something was set aside: ${SET_ASIDE_WORDS[reason]}.`;

const MINUTE_S = 60;
const HOUR_S = 3600;
const span = (s: number): string => {
  if (s < 2 * HOUR_S) return `${Math.round(s / MINUTE_S)} min`;
  return s < 48 * HOUR_S ? `${Math.round(s / HOUR_S)} h` : `${Math.round(s / (24 * HOUR_S))} days`;
};

/** What a clock that is off means; null where it is not. */
export function clockWords(offS: number): string | null {
  if (offS === 0) return null;
  return offS > 0
    ? `Its clock is ${span(offS)} ahead${offS > 600 ? ': what it tells counts for nothing until that is right' : ''}.`
    : `What it said last was of ${span(-offS)} before: kept back, or its clock is slow.`;
}

type OwnWord = { [V in keyof sources.Vitals]: sources.Vitals[V] | null };

/** How it is by its own word, in a few parts. */
export function vitalsWords({ batteryPct = null, isBatteryLow = null, signalDbm = null }: OwnWord): string[] {
  return [
    ...(batteryPct === null ? [] : [`battery ${Math.round(batteryPct)} %`]),
    ...(batteryPct === null && isBatteryLow !== null ? [isBatteryLow ? 'battery low' : 'battery good'] : []),
    ...(signalDbm === null ? [] : [`signal ${String(Math.round(signalDbm)).replace('-', '−')} dBm`]),
  ];
}

/** A reading that was seen, in one line. */
export const seenWords = ({ temperatureC, humidityPct }: { temperatureC: number; humidityPct: number }): string =>
  `${temperatureC.toFixed(1)} °C, ${humidityPct.toFixed(1)} %`;
