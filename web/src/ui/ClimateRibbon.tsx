import type { ClimateEvent, RibbonDay } from '@bright-keeper/contract';
import { air, fungus, schedule } from '@bright-keeper/core';
import { warningWords } from '@bright-keeper/words';

/** Columns as high as it was damp, so that colour is never alone. */
const ZONE_FILLS: Record<air.ZoneId, string> = {
  'too-dry': 'fill-lamp-tint stroke-lamp',
  dry: 'fill-glass-tint',
  good: 'fill-glass-tint',
  fair: 'fill-glass-tint',
  watch: 'fill-lamp-tint',
  damp: 'fill-lamp opacity-60',
  danger: 'fill-act',
};

const W = 900;
const H = 64;
const EVENT_H = 16;
const y = (pct: number): number => H - (Math.min(100, Math.max(0, pct)) / 100) * H;

type Props = {
  days: readonly RibbonDay[];
  span: number;
  today: string;
  highPct: number;
  events?: readonly { at: string; mark: string; words: string }[];
};

/** Days of a place as a ribbon: humidity zones, the fungus line over them, events under them. */
export function ClimateRibbon({ days, span, today, highPct, events = [] }: Props) {
  const first = schedule.addDays(today, 1 - span);
  const width = W / span;
  const x = (day: string) => schedule.daysBetween(first, day) * width;
  const line = days
    .map((d, i) => `${i === 0 ? 'M' : 'L'}${(x(d.day) + width / 2).toFixed(1)} ${y(fungus.warningShare(d) * 100).toFixed(1)}`)
    .join('');
  const last = days.at(-1);
  const height = H + (events.length > 0 ? EVENT_H : 0);
  const label = last
    ? `${days.length} days of air; on the last one ${last.meanPct.toFixed(0)} % on average, early warning ${warningWords(last)}`
    : 'No readings';
  return (
    <svg viewBox={`0 0 ${W} ${height}`} className="block h-auto w-full" role="img" aria-label={label} preserveAspectRatio="none">
      <rect width={W} height={H} className="fill-well" />
      {days.map((d) => (
        <rect
          key={d.day}
          x={x(d.day)}
          y={y(d.meanPct)}
          width={Math.max(0.5, width - 1)}
          height={H - y(d.meanPct)}
          className={ZONE_FILLS[air.zoneOf(d.meanPct)]}
        >
          <title>{`${d.day}: ${d.minPct.toFixed(0)}–${d.maxPct.toFixed(0)} %, on average ${d.meanPct.toFixed(0)} %; early warning ${warningWords(d)}`}</title>
        </rect>
      ))}
      <path d={`M0 ${y(highPct)}H${W}`} className="stroke-soft" strokeDasharray="4 4" fill="none" vectorEffect="non-scaling-stroke" />
      <path d={line} className="stroke-ink" strokeWidth="2" fill="none" vectorEffect="non-scaling-stroke" />
      {events.map((e, i) => (
        <text key={i} x={x(e.at.slice(0, 10)) + width / 2} y={height - 3} textAnchor="middle" className="fill-soft" fontSize="12">
          {e.mark}
          <title>{e.words}</title>
        </text>
      ))}
    </svg>
  );
}

/** The events of a place as marks for its ribbon. */
export const ribbonEvents = (
  events: readonly ClimateEvent[],
  mark: (event: ClimateEvent) => string,
  words: (event: ClimateEvent) => string,
): NonNullable<Props['events']> => events.map((e) => ({ at: e.at, mark: mark(e), words: words(e) }));
