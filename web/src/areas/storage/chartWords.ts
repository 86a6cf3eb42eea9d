import type { ChartPoint } from '@bright-keeper/contract';
import { warningWords } from '@bright-keeper/words';

/** What a stretch of a chart is in words: when, the air, and what the models make of it. */
export function stretchWords({ at, humidityPct, temperatureC, dewPointC, index, ...warning }: ChartPoint): string {
  const when = new Date(at).toLocaleString('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
  });
  const { min, mean, max } = humidityPct;
  return `${when}: ${mean.toFixed(0)} % (${min.toFixed(0)}–${max.toFixed(0)}), ${temperatureC.mean.toFixed(1)} °C, dew point ${dewPointC.toFixed(1)} °C; mould index ${index.toFixed(1)}; early warning ${warningWords(warning)}`;
}
