import type { air } from '@bright-keeper/core';
import { correctedReading } from './deviceLog.js';

/** Readings as CSV, as read and as corrected. */
export async function* readingsCsv(
  days: AsyncIterable<air.Reading[]>,
  corrections: readonly air.DatedCorrection[],
): AsyncGenerator<string> {
  yield 'at,temperatureC,humidityPct,rawHumidityPct\n';
  for await (const day of days)
    yield day
      .map((raw) => `${raw.at},${raw.temperatureC},${correctedReading(raw, corrections).humidityPct.toFixed(2)},${raw.humidityPct}\n`)
      .join('');
}
