import type { ClimateEventData, Latest } from '@bright-keeper/contract';
import { air, storage, type schedule } from '@bright-keeper/core';
import { clockJumpWords, dutyWords } from '@bright-keeper/words';

export const zoneName = (zone: air.ZoneId): string => air.ZONES.find((z) => z.id === zone)!.name;

/** Holds a unit to its number, and closer than a word. */
const THIN = '\u202f';

/** "19.4 °C, 47 %", with a thin space before each unit. */
export const airWords = ({ temperatureC, humidityPct }: Pick<Latest, 'temperatureC' | 'humidityPct'>): string =>
  `${temperatureC.toFixed(1)}${THIN}°C, ${pctWords(humidityPct)}`;

/** "47 %". */
export const pctWords = (pct: number): string => `${pct.toFixed(0)}${THIN}%`;

export const hoursWords = (hours: number): string =>
  hours < 1.5 ? `${Math.round(hours * 60)} min` : hours < 48 ? `${hours.toFixed(hours < 10 ? 1 : 0)} h` : `${(hours / 24).toFixed(1)} days`;

export const minutesWords = (minutes: number): string =>
  minutes === Infinity
    ? 'for ever'
    : minutes < 90
      ? `${Math.ceil(minutes)} min`
      : `${Math.floor(minutes / 60)} h ${Math.ceil(minutes % 60)} min`;

const COLOUR_WORDS: Record<storage.IndicatorColour, string> = { dry: 'dry', turning: 'turning', spent: 'spent' };

export function eventWords(data: ClimateEventData): string {
  switch (data.kind) {
    case 'opened':
      return 'Opened';
    case 'gel-set':
      return `${data.massG} g of ${storage.DESICCANTS[data.desiccant].name} put in, ${data.loadingPct} % water`;
    case 'gel-dried':
      return 'Desiccant dried again';
    case 'gel-out':
      return 'Desiccant taken out';
    case 'indicator':
      return `Indicator read: ${COLOUR_WORDS[data.colour]}`;
    case 'note':
      return data.text;
    case 'clock-jump':
      return clockJumpWords(data.backMin);
    case 'item-in':
      return `${data.name} put in`;
    case 'item-out':
      return `${data.name} taken out`;
    default:
      return data satisfies never;
  }
}

const ALIKE: Record<ClimateEventData['kind'], (n: number) => string> = {
  opened: (n) => `Opened ${n} times`,
  'gel-set': (n) => `Desiccant put in ${n} times`,
  'gel-dried': (n) => `Desiccant dried again ${n} times`,
  'gel-out': (n) => `Desiccant taken out ${n} times`,
  indicator: (n) => `Indicator read ${n} times`,
  note: (n) => `${n} notes`,
  'clock-jump': (n) => `The clock of a hygrometer was wrong ${n} times`,
  'item-in': (n) => `${n} things put in`,
  'item-out': (n) => `${n} things taken out`,
};
/** Several of a kind on one day. */
export const eventsWords = (kind: ClimateEventData['kind'], count: number): string => ALIKE[kind](count);

/** How each kind of event is marked under a ribbon: one letter, so that shape and colour need not tell. */
export const EVENT_MARKS: Record<ClimateEventData['kind'], string> = {
  opened: 'o',
  'gel-set': 'G',
  'gel-dried': 'D',
  'gel-out': 'x',
  indicator: 'i',
  note: 'n',
  'clock-jump': 'c',
  'item-in': '↓',
  'item-out': '↑',
};

/** What is wanted here, each said once: things that want the same are named together. */
export function wantsWords(wants: readonly schedule.Duty[]): string {
  const titles = [...new Set(wants.map((d) => dutyWords(d).title))];
  return titles
    .map((title) => {
      const things = wants.filter((d) => d.subject.kind === 'thing' && dutyWords(d).title === title).map((d) => d.subject.name);
      return things.length > 0 ? `${things.join(', ')}: ${title.charAt(0).toLowerCase()}${title.slice(1)}` : title;
    })
    .join('. ');
}
