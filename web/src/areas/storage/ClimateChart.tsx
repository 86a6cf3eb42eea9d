import type { Chart as ChartData } from '@bright-keeper/contract';
import { air, fungus, MS_PER_DAY } from '@bright-keeper/core';
import {
  CategoryScale,
  Chart as ChartJs,
  Filler,
  LinearScale,
  LineElement,
  PointElement,
  TimeScale,
  type ChartData as Data,
  type ChartOptions,
} from 'chart.js';
import annotationPlugin, { type AnnotationOptions } from 'chartjs-plugin-annotation';
import 'chartjs-adapter-date-fns';
import { useDeferredValue, useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import { chartColours } from '../../ui/chartColours';
import { useCursor } from '../../ui/cursor';
import { useZone } from '../../ui/zone';
import { stretchWords } from './chartWords';
import { eventWords } from './words';

ChartJs.register(CategoryScale, Filler, LinearScale, LineElement, PointElement, TimeScale, annotationPlugin);

/** So few readings are shown as points: a line alone would pretend to more. */
const SPARSE = 60;

type Colours = ReturnType<typeof chartColours>;
type Point = { x: number; y: number };

const dataOf = ({ points }: ChartData, c: Colours): Data<'line', Point[]> => {
  const series = (label: string, y: (p: ChartData['points'][number]) => number, more: object) => ({
    label,
    data: points.map((p) => ({ x: p.at, y: y(p) })),
    pointRadius: points.length < SPARSE ? 3 : 0,
    pointBackgroundColor: c.ink,
    borderWidth: 2,
    tension: 0.2,
    ...more,
  });
  return {
    datasets: [
      // The extremes of each stretch, as a band around the mean: no peak is lost.
      series('dampest', (p) => p.humidityPct.max, { yAxisID: 'pct', borderWidth: 0, fill: '+1', backgroundColor: c.glassTint }),
      series('driest', (p) => p.humidityPct.min, { yAxisID: 'pct', borderWidth: 0 }),
      series('humidity, %', (p) => p.humidityPct.mean, { yAxisID: 'pct', borderColor: c.glass }),
      series('temperature, °C', (p) => p.temperatureC.mean, { yAxisID: 'degC', borderColor: c.act, borderDash: [6, 3] }),
      series('dew point, °C', (p) => p.dewPointC, { yAxisID: 'degC', borderColor: c.soft, borderDash: [2, 3], borderWidth: 1.5 }),
    ],
  };
};

const modelDataOf = ({ points }: ChartData, c: Colours): Data<'line', Point[]> => ({
  datasets: [
    {
      label: 'mould index, of 6',
      data: points.map((p) => ({ x: p.at, y: p.index })),
      pointRadius: 0,
      borderWidth: 2,
      borderColor: c.act,
      yAxisID: 'y',
    },
    {
      label: 'early warning, 1 is the point',
      data: points.map((p) => ({ x: p.at, y: fungus.warningShare(p) })),
      pointRadius: 0,
      borderWidth: 2,
      borderColor: c.lamp,
      borderDash: [6, 3],
      yAxisID: 'y',
    },
  ],
});

/** Dates as the rest of the application writes them. */
const DATES = { minute: 'HH:mm', hour: 'HH:mm', day: 'd MMM', week: 'd MMM', month: 'MMM yyyy', quarter: 'MMM yyyy', year: 'yyyy' };

/** What the time is marked by, on a narrow screen as on a wide one: left to itself a narrow month has one mark. */
const UNITS = [
  { upToMs: MS_PER_DAY / 12, unit: 'minute' },
  { upToMs: 3 * MS_PER_DAY, unit: 'hour' },
  { upToMs: 60 * MS_PER_DAY, unit: 'day' },
  { upToMs: 800 * MS_PER_DAY, unit: 'month' },
  { upToMs: Infinity, unit: 'year' },
] as const;

function timeAxis({ from, to }: ChartData, c: Colours) {
  const [min, max] = [Date.parse(from), Date.parse(to)];
  const { unit } = UNITS.find(({ upToMs }) => max - min <= upToMs)!;
  return {
    type: 'time' as const,
    time: { unit, displayFormats: DATES },
    min,
    max,
    ticks: { maxTicksLimit: 9, maxRotation: 0, autoSkipPadding: 12, ...lettering(c) },
    grid: { color: c.line },
  };
}

/** The zones of humidity that want a word, tinted behind the lines; the good ones are left plain. */
function zonesOf(c: Colours): Record<string, AnnotationOptions> {
  const tints: Partial<Record<air.ZoneId, string>> = { 'too-dry': c.lampTint, watch: c.lampTint, damp: c.lampTint, danger: c.actTint };
  const strength: Partial<Record<air.ZoneId, string>> = { 'too-dry': '66', watch: '55', damp: 'cc', danger: 'cc' };
  return Object.fromEntries(
    air.ZONES.flatMap(({ id, upTo }, i): [string, AnnotationOptions][] => {
      const tint = tints[id];
      if (!tint) return [];
      const yMin = i === 0 ? 0 : air.ZONES[i - 1]!.upTo;
      const zone: AnnotationOptions = {
        type: 'box',
        yScaleID: 'pct',
        yMin,
        yMax: Math.min(100, upTo),
        backgroundColor: tint + strength[id],
        borderWidth: 0,
        drawTime: 'beforeDatasetsDraw',
      };
      return [[`zone-${id}`, zone]];
    }),
  );
}

/** Where the cursor stands, in both charts. */
function cursorLine({ points }: ChartData, at: number | null, c: Colours): Record<string, AnnotationOptions> {
  if (at === null) return {};
  const x = points[at]!.at;
  return { cursor: { type: 'line', xMin: x, xMax: x, borderColor: c.ink, borderWidth: 1.5 } };
}

/** The band of the place, its events, and the silences of its log. */
function annotationsOf(
  chart: ChartData,
  band: { lowPct: number; highPct: number },
  at: number | null,
  c: Colours,
): Record<string, AnnotationOptions> {
  const limit = (value: number): AnnotationOptions => ({
    type: 'line',
    yMin: value,
    yMax: value,
    yScaleID: 'pct',
    borderColor: c.soft,
    borderWidth: 1,
    borderDash: [4, 4],
  });
  const marks: Record<string, AnnotationOptions> = {
    ...zonesOf(c),
    low: limit(band.lowPct),
    high: limit(band.highPct),
    ...cursorLine(chart, at, c),
  };
  chart.events.forEach((e, i) => {
    marks[`event${i}`] = { type: 'line', xMin: Date.parse(e.at), xMax: Date.parse(e.at), borderColor: c.lamp, borderWidth: 1 };
  });
  chart.gaps.forEach((g, i) => {
    marks[`gap${i}`] = {
      type: 'box',
      xMin: Date.parse(g.from),
      xMax: Date.parse(g.to),
      backgroundColor: c.line,
      borderWidth: 0,
      drawTime: 'beforeDatasetsDraw',
    };
  });
  return marks;
}

type Band = { lowPct: number; highPct: number };

/** Lettering in the face of the application, in the colour of the theme. */
const lettering = (c: Colours) => ({
  color: c.soft,
  font: { family: getComputedStyle(document.body).fontFamily, size: 14 },
});

/** As wide in both charts, so that an instant stands at the same place in both. */
const AXIS_PX = { left: 64, right: 58 };

const axis = (position: 'left' | 'right', text: string, c: Colours, more: object) => ({
  position,
  afterFit: (scale: { width: number }) => {
    scale.width = AXIS_PX[position];
  },
  title: { display: true, text, ...lettering(c) },
  ticks: lettering(c),
  grid: { color: position === 'left' ? c.line : 'transparent' },
  ...more,
});

function optionsOf(
  chart: ChartData,
  c: Colours,
  setAt: (at: number | null) => void,
  scales: object,
  annotations: Record<string, AnnotationOptions>,
) {
  const options: ChartOptions<'line'> = {
    animation: false,
    responsive: true,
    maintainAspectRatio: false,
    normalized: true,
    parsing: false,
    interaction: { mode: 'index', intersect: false, axis: 'x' },
    onHover: (_, elements) => setAt(elements[0]?.index ?? null),
    scales: { x: timeAxis(chart, c), ...scales },
    plugins: { legend: { display: false }, annotation: { annotations } },
  };
  return options;
}

type Drawn = { chart: ChartData; at: number | null; setAt: (at: number | null) => void };

/** The air: humidity with its extremes, temperature and dew point. */
function Air({ chart, at, setAt, lowPct, highPct }: Drawn & Band) {
  // What has not changed is not handed over anew: the chart would go through all of it again.
  const data = useMemo(() => dataOf(chart, chartColours()), [chart]);
  const options = useMemo(() => {
    const c = chartColours();
    const scales = { pct: axis('left', 'Humidity, % RH', c, { min: 0, max: 100 }), degC: axis('right', 'Temperature, °C', c, {}) };
    return optionsOf(chart, c, setAt, scales, annotationsOf(chart, { lowPct, highPct }, at, c));
  }, [chart, at, setAt, lowPct, highPct]);
  return <Line data={data} options={options} aria-hidden="true" />;
}

/** What the models made of it. */
function Models({ chart, at, setAt }: Drawn) {
  const data = useMemo(() => modelDataOf(chart, chartColours()), [chart]);
  const options = useMemo(() => {
    const c = chartColours();
    const one: AnnotationOptions = { type: 'line', yMin: 1, yMax: 1, borderColor: c.act, borderWidth: 1, borderDash: [4, 4] };
    const scales = { y: axis('left', 'Risk, 1 = growth', c, { min: 0, suggestedMax: 1.2 }) };
    const options = optionsOf(chart, c, setAt, scales, { one, ...cursorLine(chart, at, c) });
    return { ...options, layout: { padding: { right: AXIS_PX.right } } };
  }, [chart, at, setAt]);
  return <Line data={data} options={options} aria-hidden="true" />;
}

/** The air of a place over time with its band, events and silences, and below it what the models made of it. */
export function ClimateChart({ chart, band: { lowPct, highPct } }: { chart: ChartData; band: Band }) {
  const { points } = chart;
  const timeZone = useZone();
  const cursor = useCursor(points.length, 'Air and risk over time', (at) => stretchWords(points[at]!, timeZone));
  // A chart is drawn in one piece: the second one waits until a tap could be heard.
  const both = useDeferredValue(true, false);
  const last = points.length - 1;
  return (
    <figure>
      <div {...cursor.slider} onPointerLeave={() => cursor.setAt(null)}>
        <div className="h-72">
          <Air chart={chart} at={cursor.at} setAt={cursor.setAt} lowPct={lowPct} highPct={highPct} />
        </div>
        <div className="mt-2 h-36">{both && <Models chart={chart} at={cursor.at} setAt={cursor.setAt} />}</div>
      </div>
      <figcaption className="mt-2 space-y-2 text-sm">
        {last >= 0 && <p className="min-h-10">{stretchWords(points[cursor.at ?? last]!, timeZone)}</p>}
        <Legend />
        {chart.gaps.length > 0 && (
          <p className="text-soft">
            Grey: the log is silent, {chart.gaps.length} {chart.gaps.length === 1 ? 'time' : 'times'}.
          </p>
        )}
        {chart.events.length > 0 && (
          <p className="text-soft">Upright lines: {[...new Set(chart.events.map((e) => eventWords(e.data)))].slice(0, 4).join('; ')}.</p>
        )}
      </figcaption>
    </figure>
  );
}

const Key = ({ className, dashed = false, children }: { className: string; dashed?: boolean; children: string }) => (
  <li>
    <span aria-hidden="true" className={`mr-1.5 inline-block w-5 border-t-2 align-middle ${dashed ? 'border-dashed' : ''} ${className}`} />
    {children}
  </li>
);

const Legend = () => (
  <ul className="flex flex-wrap gap-x-5 gap-y-1 text-soft" aria-label="Legend">
    <Key className="border-glass">humidity with its extremes</Key>
    <Key className="border-act" dashed>
      temperature
    </Key>
    <Key className="border-soft" dashed>
      dew point
    </Key>
    <li>tinted: too dry, watch, damp, danger</li>
    <Key className="border-act">mould index, below (1: under the microscope)</Key>
    <Key className="border-lamp" dashed>
      early warning, below (1: growth to be expected)
    </Key>
  </ul>
);
