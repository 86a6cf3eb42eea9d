import type { WhatIfStart } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { hindcastWords, somethingElseWords, warningWords } from '@bright-keeper/words';
import { longDate } from '../../ui/dates';
import { COURSE_WIDTH } from '../../ui/thinned';
import { useZone } from '../../ui/zone';
import type { Course } from '../../workers/box';
import type { Results } from './useWhatIfResults';
import { LEVEL_TONES, LEVEL_WORDS } from './words';

const GUTTER = 44;
const W = COURSE_WIDTH;
const H = 200;
const FOOT = 22;
const y = (pct: number) => H - (pct / 100) * H;
const x = (i: number, many: number) => (GUTTER + (i / Math.max(1, many - 1)) * W).toFixed(1);

/** A line; where nothing is known it breaks off, and goes on where something is. */
function pathOf(line: readonly (number | null)[]): string {
  let pen = 'M';
  return line
    .map((pct, i) => {
      if (pct === null) {
        pen = 'M';
        return '';
      }
      const point = `${pen}${x(i, line.length)} ${y(pct).toFixed(1)}`;
      pen = 'L';
      return point;
    })
    .join('');
}

/** What lies within so much to either side of a line. */
const bandPath = (line: readonly number[], half: readonly number[]): string => {
  const edge = (side: 1 | -1) =>
    line.map((pct, i) => `${x(i, line.length)} ${y(Math.min(100, Math.max(0, pct + side * half[i]!))).toFixed(1)}`);
  return `M${edge(1).join('L')}L${edge(-1).reverse().join('L')}Z`;
};

type FrameProps = {
  label: string;
  from: string | undefined;
  to: string | undefined;
  band: { lowPct: number; highPct: number };
  children: React.ReactNode;
};

/** Per cent and days beside the lines, not under them; the band that is wanted behind. */
function Frame({ label, from, to, band, children }: FrameProps) {
  const zone = useZone();
  const day = (instant: string | undefined) => instant && longDate(schedule.localDay(instant, zone));
  return (
    <svg viewBox={`0 0 ${GUTTER + W} ${H + FOOT}`} className="w-full" role="img" aria-label={label}>
      <rect x={GUTTER} width={W} height={H} className="fill-well" />
      <rect x={GUTTER} width={W} y={y(band.highPct)} height={y(band.lowPct) - y(band.highPct)} className="fill-glass-tint" />
      {children}
      {[20, 40, 60, 80].map((pct) => (
        <text key={pct} x={GUTTER - 6} y={y(pct) + 4} fontSize="12" textAnchor="end" className="fill-soft">
          {pct} %
        </text>
      ))}
      <text x={GUTTER} y={H + FOOT - 6} fontSize="12" className="fill-soft">
        {day(from)}
      </text>
      <text x={GUTTER + W} y={H + FOOT - 6} fontSize="12" textAnchor="end" className="fill-soft">
        {day(to)}
      </text>
    </svg>
  );
}

const UNSURE_PCT = 0.2;

/** Both courses over the same weeks, the band between its lines. */
export function Courses({ results: { now, then }, start }: { results: Results; start: WhatIfStart }) {
  const days = start.measured ?? start.outside;
  const unsure = then.half.some((h) => h > UNSURE_PCT);
  return (
    <Frame
      label={`Humidity today, on average ${now.meanPct.toFixed(0)} %, and what if, ${then.meanPct.toFixed(0)} %`}
      from={days[0]?.at}
      to={days.at(-1)?.at}
      band={start}
    >
      {unsure && <path d={bandPath(then.line, then.half)} className="fill-line" data-testid="how-sure" />}
      <path d={pathOf(now.line)} fill="none" className="stroke-soft" strokeWidth="1.5" strokeDasharray="4 3" />
      <path d={pathOf(then.line)} fill="none" className="stroke-ink" strokeWidth="2" />
    </Frame>
  );
}

type Past = { hindcast: NonNullable<WhatIfStart['hindcast']>; fit: Exclude<WhatIfStart['fit'], { cannot: string }>; band: WhatIfStart };

/** The days the model had never seen: what it said of them over what was measured. */
export function PastExplained({ hindcast, fit, band }: Past) {
  const zone = useZone();
  const day = (instant: string) => longDate(schedule.localDay(instant, zone));
  return (
    <>
      <Frame
        label={`What the model says of days it had never seen. ${hindcastWords(fit.hindcast)}`}
        from={hindcast.from}
        to={hindcast.to}
        band={band}
      >
        <path d={pathOf(hindcast.measured)} fill="none" className="stroke-soft" strokeWidth="1.5" strokeDasharray="4 3" />
        <path d={pathOf(hindcast.modelled)} fill="none" className="stroke-glass" strokeWidth="2" />
      </Frame>
      <p className="mt-1 text-sm">
        {hindcastWords(fit.hindcast)}{' '}
        <span className="text-soft">Broken line: measured. Full line: what the model makes of the air around.</span>
      </p>
      {fit.somethingElse.map((span) => (
        <p key={span.from} className="mt-1 text-sm text-lamp">
          {somethingElseWords(span, day)}
        </p>
      ))}
    </>
  );
}

/** The figures of one side. By rule of thumb there is no verdict: nobody held it against anything. */
export function Side({ title, result, isPromise }: { title: string; result: Course; isPromise: boolean }) {
  const zone = useZone();
  const rows: [string, string][] = [
    ['On average', `${result.meanPct.toFixed(0)} %`],
    ['Above its band', `${Math.round(result.above * 100)} % of the time`],
    ['Below its band', `${Math.round(result.below * 100)} % of the time`],
  ];
  if (isPromise) rows.push(['Early warning', warningWords(result.end)], ['Mould index', `${result.end.index.toFixed(1)} of 6`]);
  if (result.exhaustedAt !== null)
    rows.push(['Above its band for good', `from ${longDate(schedule.localDay(result.exhaustedAt, zone))} on`]);
  return (
    <section aria-label={title} className="sheet p-4">
      <h3 className="mb-2 flex items-center justify-between font-semibold">
        {title}{' '}
        {isPromise && <span className={`rounded px-2 py-0.5 text-sm ${LEVEL_TONES[result.level]}`}>{LEVEL_WORDS[result.level]}</span>}
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
