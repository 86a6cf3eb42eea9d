import { sensor } from '@bright-keeper/core';
import { frontMarkWords, fStop } from '@bright-keeper/words';
import { Link, useParams, useSearchParams } from 'react-router';
import { Failure, Loading, Page, Section } from '../../ui/parts';
import { useItem } from '../gear';
import { STOPS } from './framesView';

/** What a mark may be as large as (common practice). */
const RULER = [
  { mm: 0.2, as: 'a grain of dust' },
  { mm: 0.5, as: 'a grain of sand' },
  { mm: 1, as: 'a pinhead' },
  { mm: 2, as: 'a match head' },
  { mm: 4, as: 'a lentil' },
  { mm: 8, as: 'a fingertip' },
] as const;

/** Each value of the question, in the address, so that a reload asks the same. */
const VALUES = {
  d: { label: 'Across, mm', usual: 1, least: 0.02, most: 40 },
  focal: { label: 'Focal length, mm', usual: 50, least: 2, most: 2000 },
  length: { label: 'Length of the lens, mm', usual: 60, least: 5, most: 1000 },
  f: { label: 'Smallest aperture in use, f/', usual: 11, least: 0.7, most: 64 },
} as const;
type Name = keyof typeof VALUES;

/** About half the lens's length lies between its front and the pupil (our choice, where nobody knows). */
const PUPIL_AT = 0.5;
const FRAMES = ['full-frame', 'aps-c', 'four-thirds', 'medium-44x33', 'one-inch'] as const;

/** The blot in a picture of plain sky, at one aperture: as wide and as dark as it is. */
function Blot({ mark, fNumber, format }: { mark: sensor.FrontMark; fNumber: number; format: sensor.SensorFormat }) {
  const { widthMm: w, heightMm: h } = format;
  const id = `blot-${fNumber}`;
  const core = mark.blotMm > 0 ? mark.plateauMm / mark.blotMm : 0;
  return (
    <figure className="min-w-0">
      <svg
        viewBox={`0 0 ${w} ${h}`}
        className="w-full rounded"
        role="img"
        aria-label={`At ${fStop(fNumber)}: ${mark.visible ? 'a blot shows' : 'nothing shows'}`}
      >
        <defs>
          <radialGradient id={id}>
            <stop offset={core} stopColor="#000" stopOpacity={mark.depth} />
            <stop offset={(1 + core) / 2} stopColor="#000" stopOpacity={mark.depth / 2} />
            <stop offset="1" stopColor="#000" stopOpacity="0" />
          </radialGradient>
        </defs>
        <rect width={w} height={h} className="fill-sky" />
        <circle cx={w * 0.42} cy={h * 0.45} r={mark.blotMm / 2} fill={`url(#${id})`} />
      </svg>
      <figcaption className="mt-1 text-sm">
        <b>{fStop(fNumber)}</b>{' '}
        <span className="text-soft">
          {mark.dimsAll
            ? 'all of it a little darker'
            : `${(mark.depth * 100).toFixed(mark.depth < 0.1 ? 1 : 0)} %, ${mark.visible ? 'shows' : 'does not show'}`}
        </span>
      </figcaption>
    </figure>
  );
}

/** Can a mark on the front glass ever be seen in a picture? */
export function FrontMarkPage() {
  const { id = '' } = useParams();
  const item = useItem(id);
  const [params, setParams] = useSearchParams();
  if (item.isPending) return <Loading />;
  if (item.isError) return <Failure error={item.error} onRetry={() => void item.refetch()} />;
  const valueOf = (name: Name): number => Number(params.get(name) ?? VALUES[name].usual);
  const isGood = (name: Name): boolean => valueOf(name) >= VALUES[name].least && valueOf(name) <= VALUES[name].most;
  const set = (name: string, value: string) => setParams((p) => (p.set(name, value), p), { replace: true });
  const format = sensor.formats[FRAMES.find((f) => f === params.get('sensor')) ?? 'full-frame'];
  const allGood = (Object.keys(VALUES) as Name[]).every(isGood);
  const [diameterMm, focalMm, lengthMm, fNumber] = [valueOf('d'), valueOf('focal'), valueOf('length'), valueOf('f')];
  const question = {
    diameterMm,
    focalMm,
    distanceToPupilMm: lengthMm * PUPIL_AT,
    sensorWidthMm: format.widthMm,
    sensorHeightMm: format.heightMm,
  };
  const field = (name: Name) => (
    <label key={name} className="flex flex-col gap-1 text-sm text-soft">
      {VALUES[name].label}
      <input
        className="input w-36 text-base text-ink"
        type="number"
        step="any"
        min={VALUES[name].least}
        max={VALUES[name].most}
        value={params.get(name) ?? VALUES[name].usual}
        aria-invalid={!isGood(name)}
        onChange={(e) => set(name, e.target.value)}
      />
      {!isGood(name) && (
        <span className="text-act">
          From {VALUES[name].least} to {VALUES[name].most}.
        </span>
      )}
    </label>
  );
  return (
    <Page
      title={`Does a mark show? ${item.data.name}`}
      sub={
        <Link className="link" to={`/gear/${id}?surface=front-glass`}>
          Back to its front glass
        </Link>
      }
    >
      <div className="space-y-6">
        <div className="sheet space-y-4 p-4">
          <fieldset>
            <legend className="mb-1 text-sm text-soft">The mark, a chip, a scratch’s width or a speck that stays, is as large as</legend>
            <div className="flex flex-wrap gap-2">
              {RULER.map(({ mm, as }) => (
                <button
                  key={mm}
                  type="button"
                  aria-pressed={diameterMm === mm}
                  className={`flex min-h-11 items-center gap-3 rounded border px-3 ${diameterMm === mm ? 'border-lamp bg-well font-semibold' : 'border-soft bg-sheet hover:bg-well'}`}
                  onClick={() => set('d', String(mm))}
                >
                  <svg width="34" height="34" viewBox="-17 -17 34 34" aria-hidden="true">
                    <circle r={Math.max(0.6, mm * 1.9)} className="fill-ink" />
                  </svg>
                  {as}, {mm} mm
                </button>
              ))}
            </div>
          </fieldset>
          <div className="flex flex-wrap gap-4">
            {(Object.keys(VALUES) as Name[]).map(field)}
            <label className="flex flex-col gap-1 text-sm text-soft">
              Sensor or film
              <select className="input text-base text-ink" value={format.id} onChange={(e) => set('sensor', e.target.value)}>
                {FRAMES.map((f) => (
                  <option key={f} value={f}>
                    {sensor.formats[f].name}
                  </option>
                ))}
              </select>
            </label>
          </div>
        </div>
        {allGood && (
          <>
            <p className="sheet p-4 text-lg" role="status">
              {frontMarkWords(sensor.frontMark({ ...question, fNumber }), fNumber, sensor.markShowsFrom(question))}
            </p>
            <Section title="A plain sky at each aperture">
              <div className="grid grid-cols-2 gap-4 sm:grid-cols-4">
                {STOPS.map((stop) => (
                  <Blot key={stop} mark={sensor.frontMark({ ...question, fNumber: stop })} fNumber={stop} format={format} />
                ))}
              </div>
            </Section>
          </>
        )}
        <p className="max-w-prose text-sm text-soft">
          A mark on the front cuts into the beam of each picture point; the smaller the aperture, the narrower the beam and the more of it
          is cut. For something far away; close up it shows sooner. Scratches also scatter light, which only the test of glare measures. The
          pupil is taken to lie half the lens’s length behind the front (our choice).
        </p>
      </div>
    </Page>
  );
}
