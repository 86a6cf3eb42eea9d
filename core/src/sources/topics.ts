import type { Reading } from '../air/index.js';
import { fieldOf, type TemperatureUnit } from './fieldNames.js';
import { parsedText, readPushed } from './formats.js';
import { bareHalf, type Half } from './halves.js';

/** A message as a broker hands it on. */
export type Message = { topic: string; text: string };

/** Where readings could be taken from: one topic that tells both, or one for each quantity; and what was read there. */
export type TopicOffer = { topic: string; humidityTopic: string | null; reading: Pick<Reading, 'temperatureC' | 'humidityPct'> };

/** What the last part of a topic says it holds, and what its parts before are. */
function nameOf(topic: string): { parent: string; quantity: Half['quantity'] | null; unit: TemperatureUnit } {
  const cut = topic.lastIndexOf('/');
  const field = fieldOf(topic.slice(cut + 1));
  const quantity = field?.quantity === 'temperatureC' || field?.quantity === 'humidityPct' ? field.quantity : null;
  return { parent: topic.slice(0, Math.max(0, cut)), quantity, unit: field?.unit ?? 'C' };
}

/** The unit that the name of a topic tells for the bare number in it. */
export const unitOfTopic = (topic: string): TemperatureUnit => nameOf(topic).unit;

const byTopic = (a: TopicOffer, b: TopicOffer): number => a.topic.localeCompare(b.topic);

/** From which of the topics that were heard readings can be taken, by what was said there last; in the order of their names. */
export function offersIn(messages: readonly Message[], now: Date): TopicOffer[] {
  const last = new Map(messages.map(({ topic, text }) => [topic, text]));
  const whole: TopicOffer[] = [];
  const halves = new Map<string, Partial<Record<Half['quantity'], Half & { topic: string }>>>();
  for (const [topic, text] of last) {
    const { parent, quantity, unit } = nameOf(topic);
    const half = quantity && bareHalf(text, quantity, now.getTime(), unit);
    if (half) {
      halves.set(parent, { ...halves.get(parent), [half.quantity]: { ...half, topic } });
      continue;
    }
    const parsed = parsedText(text);
    const reading = parsed && readPushed(parsed.format, parsed.body, now).readings.at(-1);
    if (reading) whole.push({ topic, humidityTopic: null, reading });
  }
  const pairs = [...halves.values()].flatMap(({ temperatureC: t, humidityPct: h }) =>
    t && h ? [{ topic: t.topic, humidityTopic: h.topic, reading: { temperatureC: t.value, humidityPct: h.value } }] : [],
  );
  return [...whole, ...pairs].sort(byTopic);
}
