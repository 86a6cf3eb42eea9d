import type { Intake, IntakeFault } from '@bright-keeper/contract';
import { sources } from '@bright-keeper/core';
import type { Heard } from './brokerLine.js';
import { readSaid } from './said.js';

type Listener = { id: string; intake: Extract<Intake, { by: 'mqtt' }>; waiting: sources.Half | null };
/** What a message says of a device: what came, if anything, and whether something is wrong with it. */
export type Said = { id: string; came: sources.PushedReadings | null; fault: IntakeFault | null };

const OFF = /^\s*"?(offline|off|false|0|disconnected|lost|dead)"?\s*$/i;
const STATE_FIELDS = ['state', 'status', 'online', 'connected'];

/** Whether a device, or the broker in its place (its last will), says that it is off: as a word, or in a field of JSON. */
export function saysOff(text: string): boolean {
  if (OFF.test(text)) return true;
  try {
    const said: unknown = JSON.parse(text);
    const fields = typeof said === 'object' && said !== null ? (said as Record<string, unknown>) : {};
    return STATE_FIELDS.some(
      (field) => ['string', 'number', 'boolean'].includes(typeof fields[field]) && OFF.test(JSON.stringify(fields[field])),
    );
  } catch {
    return false;
  }
}

const topicsOf = ({ topic, humidityTopic, stateTopic }: Listener['intake']): string[] =>
  [topic, humidityTopic, stateTopic].filter((t) => t !== null);

const of = (reading: sources.PushedReadings['readings'][number]): sources.PushedReadings => ({
  readings: [reading],
  setAside: [],
  vitals: {},
  aheadMs: null,
});

/** Which devices are listened to at which topics, and what their messages mean. */
export class Listening {
  private readonly at = new Map<string, Listener[]>();

  constructor(private readonly listeners: readonly Listener[]) {
    for (const listener of listeners)
      for (const topic of new Set(topicsOf(listener.intake))) this.at.set(topic, [...(this.at.get(topic) ?? []), listener]);
  }

  /** The same for the devices of now: what waits for its other half waits on. */
  of(wanted: readonly { id: string; intake: Intake | null }[]): Listening {
    const known = new Map(this.listeners.map((listener) => [listener.id, listener]));
    return new Listening(
      wanted.flatMap(({ id, intake }) => (intake?.by === 'mqtt' ? [{ id, intake, waiting: known.get(id)?.waiting ?? null }] : [])),
    );
  }

  get topics(): ReadonlySet<string> {
    return new Set(this.at.keys());
  }
  get ids(): string[] {
    return this.listeners.map(({ id }) => id);
  }
  idsAt = (topic: string): string[] => (this.at.get(topic) ?? []).map(({ id }) => id);

  hear(message: Heard, now: Date): Said[] {
    return (this.at.get(message.topic) ?? []).map((listener) => this.heardOf(listener, message, now));
  }

  private heardOf(listener: Listener, { topic, text, isRetained }: Heard, now: Date): Said {
    const { id, intake } = listener;
    if (topic === intake.stateTopic && topic !== intake.topic) return { id, came: null, fault: saysOff(text) ? 'says-off' : null };
    if (intake.humidityTopic !== null) return isRetained ? { id, came: null, fault: 'old-word' } : this.half(listener, topic, text, now);
    const came = readSaid(text, now, intake.options);
    // What the broker kept was said at a time nobody knows, unless it tells one.
    const readings = isRetained ? came.readings.filter(({ at }) => at !== now.toISOString()) : came.readings;
    if (isRetained && readings.length === 0) return { id, came: null, fault: came.readings.length > 0 ? 'old-word' : faultOf(came) };
    return { id, came: { ...came, readings }, fault: faultOf(came) };
  }

  private half(listener: Listener, topic: string, text: string, now: Date): Said {
    const { id, intake } = listener;
    const quantity = topic === intake.humidityTopic ? 'humidityPct' : 'temperatureC';
    const unit = intake.options.unit ?? sources.unitOfTopic(topic);
    const half = sources.bareHalf(text, quantity, now.getTime(), unit);
    if (!half) return { id, came: null, fault: 'not-understood' };
    const { reading, waiting } = sources.joinHalf(listener.waiting, half);
    listener.waiting = waiting;
    return { id, came: reading && of(reading), fault: null };
  }
}

/** What came of which no reading can be made is told, and nothing where the device only said how it is. */
export const faultOf = ({ readings, setAside }: sources.PushedReadings): IntakeFault | null =>
  readings.length === 0 && setAside.length > 0 ? 'not-understood' : null;
