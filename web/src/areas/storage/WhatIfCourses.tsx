import type { WhatIfStart } from '@bright-keeper/contract';
import { MS_PER_DAY, schedule } from '@bright-keeper/core';
import { hindcastWords, longDate, somethingElseWords, warningWords } from '@bright-keeper/words';
import { shortDate } from '../../ui/dates';
import { COURSE_WIDTH } from '../../ui/thinned';
import { useZone } from '../../ui/zone';
import type { Course } from '../../workers/box';
import type { Results } from './useWhatIfResults';
import { StandingChip } from './StandingChip';

const W = COURSE_WIDTH;
const H = 200;
const y = (pct: number) => H - (pct / 100) * H;
const x = (i: number, many: number) => ((i / Math.max(1, many - 1)) * W).toFixed(1);

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

const TICKS = [80, 60, 40, 20];

/** Per cent and days beside the lines, not under them, and as large on a phone; the band that is wanted behind. */
function Frame({ label, from, to, band, children }: FrameProps) {
  const zone = useZone();
  const day = (instant: string | undefined) => instant && shortDate(schedule.localDay(instant, zone));
  return (
    <div className="grid grid-cols-[auto_1fr] gap-x-2 text-sm text-soft">
      <div aria-hidden="true" className="relative w-10">
        {TICKS.map((pct) => (
          <span key={pct} className="absolute right-0 -translate-y-1/2" style={{ top: `${100 - pct}%` }}>
            {pct} %
          </span>
        ))}
      </div>
      <svg viewBox={`0 0 ${W} ${H}`} preserveAspectRatio="none" className="h-48 w-full" role="img" aria-label={label}>
        <rect width={W} height={H} className="fill-well" />
        <rect width={W} y={y(band.highPct)} height={y(band.lowPct) - y(band.highPct)} className="fill-glass-tint" />
        {children}
      </svg>
      <div className="col-start-2 mt-1 flex flex-wrap justify-between gap-x-4">
        <span>{day(from)}</span>
        <span>{day(to)}</span>
      </div>
    </div>
  );
}

type LineProps = { line: readonly (number | null)[]; className: string; broken?: boolean };
const Line = ({ line, className, broken = false }: LineProps) => (
  <path
    d={pathOf(line)}
    fill="none"
    className={className}
    strokeWidth={broken ? 1.5 : 2}
    vectorEffect="non-scaling-stroke"
    {...(broken ? { strokeDasharray: '4 3' } : {})}
  />
);

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
      <Line line={now.line} className="stroke-soft" broken />
      <Line line={then.line} className="stroke-ink" />
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
        <Line line={hindcast.measured} className="stroke-soft" broken />
        <Line line={hindcast.modelled} className="stroke-glass" />
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
export function Side({ title, result, from, isPromise }: { title: string; result: Course; from: string | undefined; isPromise: boolean }) {
  const rows: [string, string][] = [
    ['On average', `${result.meanPct.toFixed(0)} %`],
    ['Above its band', `${Math.round(result.above * 100)} % of the time`],
    ['Below its band', `${Math.round(result.below * 100)} % of the time`],
  ];
  if (isPromise) rows.push(['Early warning', warningWords(result.end)], ['Mould index', `${result.end.index.toFixed(1)} of 6`]);
  if (result.exhaustedAt !== null && from)
    rows.push(['Above its band for good', `after ${Math.round((Date.parse(result.exhaustedAt) - Date.parse(from)) / MS_PER_DAY)} days`]);
  return (
    <section aria-label={title} className="sheet p-4">
      <h3 className="mb-2 flex items-center justify-between font-semibold">
        {title} {isPromise && <StandingChip standing={result.standing} />}
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
