import { storage } from '@bright-keeper/core';
import { useSearchParams } from 'react-router';
import { ApiError } from '../../api/http';
import { Button, ButtonLink, Failure, Notice, Page, Section } from '../../ui/parts';
import { capital } from '../../ui/words';
import { withChoice } from '../../ui/address';
import { basisWords } from '../care/words';
import { useAddTimer, useOverview } from './queries';
import { minutesWords } from './words';

type ThingId = keyof typeof storage.TYPICAL_THINGS;
const THING_IDS = Object.keys(storage.TYPICAL_THINGS) as ThingId[];
const WRAPPING_IDS = Object.keys(storage.WRAPPINGS) as storage.Wrapping[];

const FIELDS = {
  startC: { label: 'How cold is it, °C', min: -40, max: 50, usual: -2 },
  roomC: { label: 'The room, °C', min: -10, max: 45, usual: 21 },
  roomHumidityPct: { label: 'The room, % RH', min: 5, max: 100, usual: 50 },
} as const;
type FieldId = keyof typeof FIELDS;

/** Coming in from the cold, or out of a cooled room: will it fog, and how long to leave it wrapped. */
export function WarmUpPage() {
  const [params, setParams] = useSearchParams();
  const overview = useOverview();
  const addTimer = useAddTimer();
  const set = (key: string, value: string) => setParams(withChoice(params, key, value), { replace: true });
  const outdoors = overview.data?.outdoors?.latest;
  const indoors = overview.data?.places.find((p) => p.latest && storage.placeFacts(p.kind).airChangesPerDay === null)?.latest;
  const measured: Partial<Record<FieldId, number>> = {
    ...(outdoors ? { startC: Math.round(outdoors.temperatureC) } : {}),
    ...(indoors ? { roomC: Math.round(indoors.temperatureC), roomHumidityPct: Math.round(indoors.humidityPct) } : {}),
  };
  const text = (field: FieldId) => params.get(field) ?? String(measured[field] ?? FIELDS[field].usual);
  const problem = (field: FieldId) => {
    const { min, max } = FIELDS[field];
    const value = Number(text(field));
    return text(field).trim() === '' || !(value >= min && value <= max) ? `A number from ${min} to ${max}.` : null;
  };
  const thing = THING_IDS.find((t) => t === params.get('thing')) ?? 'mid-lens';
  const wrapping = WRAPPING_IDS.find((w) => w === params.get('wrapping')) ?? 'plastic-bag';
  const fields = Object.keys(FIELDS) as FieldId[];
  const valid = fields.every((f) => problem(f) === null);
  const { name: _, ...size } = storage.TYPICAL_THINGS[thing];
  const result = valid
    ? storage.warmUpMinutes({
        startC: Number(text('startC')),
        roomC: Number(text('roomC')),
        roomHumidityPct: Number(text('roomHumidityPct')),
        ...size,
        wrapping,
      })
    : null;
  const wait = result ? Math.ceil(result.allowanceMinutes) : 0;
  return (
    <Page
      title="In from the cold"
      sub="Out of a cooled room into a warm street it is the same sum. Fog clears by itself; wiping it moves dirt."
    >
      <div className="grid gap-6 lg:grid-cols-12">
        <div className="sheet space-y-4 p-5 lg:col-span-6">
          {fields.map((field) => (
            <label key={field} className="block">
              <span className="mb-1 block">{FIELDS[field].label}</span>
              <input
                className="input"
                inputMode="decimal"
                value={text(field)}
                aria-invalid={problem(field) !== null}
                onChange={(e) => set(field, e.target.value.replace(',', '.'))}
              />
              {problem(field) && <span className="text-sm text-act">{problem(field)}</span>}
            </label>
          ))}
          <label className="block">
            <span className="mb-1 block">What is it</span>
            <select className="input" value={thing} onChange={(e) => set('thing', e.target.value)}>
              {THING_IDS.map((t) => (
                <option key={t} value={t}>
                  {capital(storage.TYPICAL_THINGS[t].name)}
                </option>
              ))}
            </select>
          </label>
          <fieldset>
            <legend className="mb-1">How it lies there</legend>
            <div className="flex flex-wrap gap-2">
              {WRAPPING_IDS.map((w) => (
                <button
                  key={w}
                  type="button"
                  aria-pressed={w === wrapping}
                  onClick={() => set('wrapping', w)}
                  className={`min-h-11 rounded border px-3 ${w === wrapping ? 'border-lamp bg-lamp-tint font-semibold' : 'border-soft bg-sheet'}`}
                >
                  {capital(storage.WRAPPINGS[w].name)}
                </button>
              ))}
            </div>
          </fieldset>
          {measured.startC !== undefined && <p className="text-sm text-soft">Filled in from your weather station and the open shelf.</p>}
        </div>
        <div className="space-y-4 lg:col-span-6">
          {result && (
            <Notice tone={!result.willFog ? 'good' : result.minutes === Infinity ? 'act' : 'attention'}>
              <p className="text-xl font-semibold">
                {!result.willFog
                  ? 'It will not fog'
                  : result.minutes === Infinity
                    ? 'It fogs, and does not clear in this room'
                    : `It fogs: leave it shut for ${minutesWords(wait)}`}
              </p>
              <p className="mt-1">
                The room’s dew point is {result.dewPointC.toFixed(1)} °C.{' '}
                {result.willFog && result.minutes !== Infinity
                  ? `Reckoned ${minutesWords(result.minutes)} until it is a degree above that, and half as long again to be sure.`
                  : result.willFog
                    ? 'Air the room, or leave the bag closed in a drier one.'
                    : 'It is warmer than that already.'}
              </p>
              {result.willFog && wrapping === 'bare' && (
                <p className="mt-1">Bare, it gets wet while it warms: a closed bag keeps the damp air off.</p>
              )}
            </Notice>
          )}
          {result && result.biot > storage.LUMPED_LIMIT && (
            <p className="text-sm text-soft">
              So thick a thing stays cold inside for longer than its surface (Biot {result.biot.toFixed(2)}): give it more time.
            </p>
          )}
          {result?.willFog && result.minutes !== Infinity && (
            <Section title="Wait for it">
              {addTimer.isSuccess ? (
                <Notice tone="good">
                  It stands on Today. <ButtonLink to="/">See Today</ButtonLink>
                </Notice>
              ) : (
                <Button
                  look="filled"
                  disabled={addTimer.isPending}
                  onClick={() =>
                    addTimer.mutate({
                      size: thing,
                      wrapping,
                      minutes: Math.max(1, wait),
                      itemId: null,
                    })
                  }
                >
                  Start a timer for {minutesWords(wait)}
                </Button>
              )}
              {addTimer.error instanceof ApiError && <Failure error={addTimer.error} />}
            </Section>
          )}
          <p className="text-sm text-soft">{basisWords(storage.WARM_UP_BASIS)}</p>
        </div>
      </div>
    </Page>
  );
}
