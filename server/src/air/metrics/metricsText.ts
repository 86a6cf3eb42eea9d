import type { Device } from '@bright-keeper/contract';
import { Gauge, Registry } from 'prom-client';

type Metric = { name: string; help: string; of: (device: Device) => number | null };

/** What was said long ago is not the air of now: a hygrometer that is silent tells no air. */
const airOf =
  (value: (latest: NonNullable<Device['latest']>) => number): Metric['of'] =>
  ({ latest, silent }) =>
    latest && !silent ? value(latest) : null;

/** Names and base units as Prometheus asks for them ("Metric and label naming"): degrees Celsius, ratios, seconds. */
const METRICS: readonly Metric[] = [
  { name: 'bright_keeper_temperature_celsius', help: 'What it says now.', of: airOf((l) => l.temperatureC) },
  {
    name: 'bright_keeper_relative_humidity_ratio',
    help: 'What it says now, corrected by its salt tests, 0 to 1.',
    of: airOf((l) => l.humidityPct / 100),
  },
  { name: 'bright_keeper_dew_point_celsius', help: 'By the corrected humidity.', of: airOf((l) => l.dewPointC) },
  {
    name: 'bright_keeper_last_reading_timestamp_seconds',
    help: 'Of which instant its last reading is, since 1970.',
    of: ({ latest }) => latest && Date.parse(latest.at) / 1000,
  },
  { name: 'bright_keeper_silent', help: '1 where it has not been heard for longer than it should.', of: ({ silent }) => Number(silent) },
  {
    name: 'bright_keeper_battery_ratio',
    help: 'By its own word, 0 to 1.',
    of: ({ lastWord }) => (lastWord?.batteryPct == null ? null : lastWord.batteryPct / 100),
  },
  {
    name: 'bright_keeper_signal_dbm',
    help: 'How strong its radio is heard, by its own word.',
    of: ({ lastWord }) => lastWord?.signalDbm ?? null,
  },
];

/** What the hygrometers say now, in the text format that Prometheus reads (0.0.4). */
export async function metricsText(devices: readonly Device[]): Promise<{ type: string; text: string }> {
  const registry = new Registry();
  for (const { name, help, of } of METRICS) {
    const gauge = new Gauge({ name, help, labelNames: ['id', 'hygrometer', 'place'], registers: [registry] });
    for (const device of devices) {
      const value = of(device);
      const place = device.outdoor ? 'outdoors' : (device.placeName ?? '');
      if (value !== null) gauge.set({ id: device.id, hygrometer: device.name, place }, value);
    }
  }
  return { type: registry.contentType, text: await registry.metrics() };
}
