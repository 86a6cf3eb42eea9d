import type { ChartPoint } from '@bright-keeper/contract';
import { warningWords } from '@bright-keeper/words';
import { shortInstant } from '../../ui/dates';

/** What a stretch of a chart is in words: when by the household's clock, the air, and what the models make of it. */
export function stretchWords({ at, humidityPct, temperatureC, dewPointC, index, ...warning }: ChartPoint, timeZone: string): string {
  const when = shortInstant(at, timeZone);
  const { min, mean, max } = humidityPct;
  return `${when}: ${mean.toFixed(0)} % (${min.toFixed(0)}–${max.toFixed(0)}), ${temperatureC.mean.toFixed(1)} °C, dew point ${dewPointC.toFixed(1)} °C; mould index ${index.toFixed(1)}; early warning ${warningWords(warning)}`;
}
