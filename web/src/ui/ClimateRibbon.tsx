import type { RibbonDay } from '@bright-keeper/contract';
import { air, fungus, schedule } from '@bright-keeper/core';
import { warningWords } from '@bright-keeper/words';
import type { PointerEvent } from 'react';
import { useCursor } from './cursor';
import { shortWeekday } from './dates';
import { ticksOf } from './ribbonAxis';
import { useZone } from './zone';

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
const y = (pct: number): number => H - (Math.min(100, Math.max(0, pct)) / 100) * H;

type Props = {
  days: readonly RibbonDay[];
  span: number;
  today: string;
  highPct: number;
  events?: readonly { at: string; mark: string; words: string }[];
};

/** What a day of a ribbon is in words. An unfinished one says so. */
export function ribbonWords({ day, minPct, maxPct, meanPct, ...warning }: RibbonDay, today: string): string {
  const when = day === today ? `${shortWeekday(day)}, so far` : shortWeekday(day);
  return `${when}: ${minPct.toFixed(0)}–${maxPct.toFixed(0)} %, on average ${meanPct.toFixed(0)} %; early warning ${warningWords(warning)}`;
}

function Columns({ days, x, width, today }: { days: readonly RibbonDay[]; x: (day: string) => number; width: number; today: string }) {
  return days.map((d) => (
    <rect
      key={d.day}
      x={x(d.day)}
      y={y(d.meanPct)}
      width={Math.max(0.5, width - 1)}
      height={H - y(d.meanPct)}
      // A day that is not over is drawn as an outline: it may still change.
      className={d.day === today ? 'fill-transparent stroke-soft' : ZONE_FILLS[air.zoneOf(d.meanPct)]}
      strokeDasharray={d.day === today ? '3 2' : undefined}
      vectorEffect="non-scaling-stroke"
    />
  ));
}

/** Dates under the ribbon; a mark of what happened stands under its day. */
const Foot = ({ span, first, zone, events }: { span: number; first: string; zone: string; events: NonNullable<Props['events']> }) => (
  <>
    {events.length > 0 && (
      <ul className="relative h-5 text-sm text-soft" aria-label="What happened">
        {events.map((e, i) => (
          <li
            key={i}
            title={e.words}
            className="absolute -translate-x-1/2"
            style={{ left: `${((schedule.daysBetween(first, schedule.localDay(e.at, zone)) + 0.5) / span) * 100}%` }}
          >
            {e.mark}
            <span className="sr-only">{e.words}</span>
          </li>
        ))}
      </ul>
    )}
    <ol className="relative h-5 text-sm text-soft" aria-label="Dates">
      {ticksOf(first, span).map((t) => (
        <li
          key={t.day}
          className={`absolute whitespace-nowrap ${t.share > 0.9 ? '-translate-x-full' : t.share < 0.05 ? '' : '-translate-x-1/2'}`}
          style={{ left: `${t.share > 0.9 ? 100 : t.share < 0.05 ? 0 : t.share * 100}%` }}
        >
          {t.words}
        </li>
      ))}
    </ol>
  </>
);

/** Days of a place as a ribbon: humidity zones, the fungus line over them, dates and events under them. */
export function ClimateRibbon({ days, span, today, highPct, events = [] }: Props) {
  const first = schedule.addDays(today, 1 - span);
  const width = W / span;
  const x = (day: string) => schedule.daysBetween(first, day) * width;
  const middle = (day: string) => x(day) + width / 2;
  const label = days.length > 0 ? `${days.length} days of air` : 'No readings';
  const cursor = useCursor(days.length, label, (at) => ribbonWords(days[at]!, today));
  const line = days
    .map((d, i) => `${i === 0 ? 'M' : 'L'}${middle(d.day).toFixed(1)} ${y(fungus.warningShare(d) * 100).toFixed(1)}`)
    .join('');
  const point = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const day = schedule.addDays(first, Math.floor(((event.clientX - box.left) / box.width) * span));
    const at = days.findIndex((d) => d.day === day);
    cursor.setAt(at < 0 ? null : at);
  };
  const shown = cursor.at === null ? null : days[cursor.at]!;
  return (
    <div>
      <svg
        viewBox={`0 0 ${W} ${H}`}
        className="block h-16 w-full"
        preserveAspectRatio="none"
        {...cursor.slider}
        onPointerMove={point}
        onPointerLeave={() => cursor.setAt(null)}
      >
        <rect width={W} height={H} className="fill-well" />
        <Columns days={days} x={x} width={width} today={today} />
        <path d={`M0 ${y(highPct)}H${W}`} className="stroke-soft" strokeDasharray="4 4" fill="none" vectorEffect="non-scaling-stroke" />
        <path d={line} className="stroke-ink" strokeWidth="2" fill="none" vectorEffect="non-scaling-stroke" />
        {shown && <path d={`M${middle(shown.day)} 0V${H}`} className="stroke-lamp" strokeWidth="2" vectorEffect="non-scaling-stroke" />}
      </svg>
      <Foot span={span} first={first} zone={useZone()} events={events} />
      {shown && <p className="text-sm">{ribbonWords(shown, today)}</p>}
    </div>
  );
}

/** What column, line and dashes of the ribbons mean: once for all that stand together. */
export const RibbonLegend = () => (
  <ul className="flex flex-wrap gap-x-5 gap-y-1 text-sm text-soft" aria-label="Legend">
    <li>
      <span aria-hidden="true" className="mr-1.5 inline-block h-3 w-2 bg-glass-tint align-middle outline outline-soft" />a column is a day,
      as high as it was damp
    </li>
    <li>
      <span aria-hidden="true" className="mr-1.5 inline-block h-3 w-2 align-middle outline outline-dashed outline-soft" />
      today, not over yet
    </li>
    <li>
      <span aria-hidden="true" className="mr-1.5 inline-block w-5 border-t-2 border-ink align-middle" />
      early warning, at the top growth is to be expected
    </li>
    <li>
      <span aria-hidden="true" className="mr-1.5 inline-block w-5 border-t border-dashed border-soft align-middle" />
      the upper end of its band
    </li>
  </ul>
);
