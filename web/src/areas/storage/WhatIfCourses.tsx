import { schedule } from '@bright-keeper/core';
import { warningWords } from '@bright-keeper/words';
import { longDate } from '../../ui/dates';
import { COURSE_WIDTH } from '../../ui/thinned';
import { useZone } from '../../ui/zone';
import type { Course, Results } from './useWhatIfResults';
import { LEVEL_TONES, LEVEL_WORDS } from './words';

const W = COURSE_WIDTH;
const H = 200;

/** Both courses over the same weeks, the band between its lines. */
export function Courses({ results: { now, then }, band }: { results: Results; band: { lowPct: number; highPct: number } }) {
  const path = (line: readonly number[]) =>
    line
      .map((pct, i) => `${i === 0 ? 'M' : 'L'}${((i / Math.max(1, line.length - 1)) * W).toFixed(1)} ${(H - (pct / 100) * H).toFixed(1)}`)
      .join('');
  const y = (pct: number) => H - (pct / 100) * H;
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="w-full"
      role="img"
      aria-label={`Humidity today, on average ${now.meanPct.toFixed(0)} %, and what if, ${then.meanPct.toFixed(0)} %`}
    >
      <rect width={W} height={H} className="fill-well" />
      <rect y={y(band.highPct)} width={W} height={y(band.lowPct) - y(band.highPct)} className="fill-glass-tint" />
      <path d={path(now.line)} fill="none" className="stroke-soft" strokeWidth="1.5" strokeDasharray="4 3" />
      <path d={path(then.line)} fill="none" className="stroke-ink" strokeWidth="2" />
      {[20, 40, 60, 80].map((pct) => (
        <text key={pct} x="4" y={y(pct) + 4} fontSize="11" className="fill-soft">
          {pct} %
        </text>
      ))}
    </svg>
  );
}

export function Side({ title, result }: { title: string; result: Course }) {
  const zone = useZone();
  const rows: [string, string][] = [
    ['On average', `${result.meanPct.toFixed(0)} %`],
    ['Above its band', `${Math.round(result.above * 100)} % of the time`],
    ['Below its band', `${Math.round(result.below * 100)} % of the time`],
    ['Early warning', warningWords(result.end)],
    ['Mould index', `${result.end.index.toFixed(1)} of 6`],
  ];
  if (result.exhaustedAt !== undefined)
    rows.push([
      'Above its band for good',
      result.exhaustedAt ? `from ${longDate(schedule.localDay(result.exhaustedAt, zone))} on` : 'not in this time',
    ]);
  return (
    <section aria-label={title} className="sheet p-4">
      <h3 className="mb-2 flex items-center justify-between font-semibold">
        {title} <span className={`rounded px-2 py-0.5 text-sm ${LEVEL_TONES[result.level]}`}>{LEVEL_WORDS[result.level]}</span>
      </h3>
      <dl className="space-y-1 text-sm">
        {rows.map(([term, value]) => (
          <div key={term} className="flex justify-between gap-3">
            <dt className="text-soft">{term}</dt>
            <dd className="text-right">{value}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
