import { sensor } from '@bright-keeper/core';
import { frontMarkWords } from '@bright-keeper/words';
import { Link, useParams } from 'react-router';
import { Failure, Loading, Page, Section } from '../../ui/parts';
import { useItem } from '../gear';
import { Blot } from './Blot';
import { STOPS } from './framesView';
import { MarkRuler } from './MarkRuler';
import { useChoices, withChoice } from '../../ui/choices';

/** Each value of the question, in the address, so that a reload asks the same. */
const VALUES = {
  d: { label: 'Across, mm', usual: 1, least: 0.02, most: 40 },
  focal: { label: 'Focal length, mm', usual: 50, least: 2, most: 2000 },
  length: { label: 'Length of the lens, mm', usual: 60, least: 5, most: 1000 },
  f: { label: 'Smallest aperture in use, f/', usual: 11, least: 0.7, most: 64 },
} as const;
type Name = keyof typeof VALUES;

const FRAMES = ['full-frame', 'aps-c', 'four-thirds', 'medium-44x33', 'one-inch'] as const;

/** Can a mark on the front glass ever be seen in a picture? */
export function FrontMarkPage() {
  const { id = '' } = useParams();
  const item = useItem(id);
  const [params, setParams] = useChoices();
  if (item.isPending) return <Loading />;
  if (item.isError) return <Failure error={item.error} onRetry={() => void item.refetch()} />;
  const { focalMm: focal, smallestFNumber } = item.data.traits;
  // What is known of the lens; then what is usual.
  const known: Partial<Record<Name, number | null | undefined>> = {
    focal,
    f: smallestFNumber,
    length: sensor.usualLengthMm(Number(params.get('focal') ?? focal ?? VALUES.focal.usual)),
  };
  const told = (name: Name): string => params.get(name) ?? String(known[name] ?? VALUES[name].usual);
  const valueOf = (name: Name): number => Number(told(name));
  const isGood = (name: Name): boolean => valueOf(name) >= VALUES[name].least && valueOf(name) <= VALUES[name].most;
  const set = (name: string, value: string) => setParams(withChoice(params, name, value), { replace: true });
  const format = sensor.formats[FRAMES.find((f) => f === params.get('sensor')) ?? 'full-frame'];
  const allGood = (Object.keys(VALUES) as Name[]).every(isGood);
  const [diameterMm, focalMm, lengthMm, fNumber] = [valueOf('d'), valueOf('focal'), valueOf('length'), valueOf('f')];
  const question = {
    diameterMm,
    focalMm,
    distanceToPupilMm: sensor.pupilBehindMm(lengthMm),
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
        value={told(name)}
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
          <MarkRuler
            legend="The mark, a chip, a scratch’s width or a speck that stays, is as large as"
            sizeMm={diameterMm}
            onSize={(mm) => set('d', String(mm))}
          />
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
