import { care, sensor } from '@bright-keeper/core';
import { useState } from 'react';
import { outside } from '../../outside';
import { useNow } from '../../ui/useNow';
import { BigButton } from './BigButton';
import { StrokesDrawing } from './StrokesDrawing';

const HELD_OPEN_WORDS: Record<sensor.HeldOpen, { name: string; how: string }> = {
  'cleaning-mode': { name: 'Cleaning mode', how: 'It stays open until you switch the camera off. Do that only when nothing is inside.' },
  'always-open': {
    name: 'Always open',
    how: 'No shutter in the way. Some bodies close a shield at power-off: then use the mode instead.',
  },
  exposure: { name: 'A long exposure', how: 'The shutter closes by itself. A countdown tells you when to be out.' },
};

type Act = (event: care.BenchEvent) => void;
type StepProps = { step: care.Step & { sensor: care.SensorWork }; act: Act };

const needed = (step: StepProps['step']) => sensor.exposureNeededS(step.sensor.strokes.lanes);
const calm = (step: StepProps['step']) => sensor.calmExposureS(step.sensor.strokes.lanes);

/** The seconds that are left, huge, and what they mean. */
function Countdown({ exposure }: { exposure: sensor.Exposure }) {
  const { phase, leftS } = sensor.exposureAt(exposure, useNow(200));
  const tones = { work: 'bg-glass-tint', 'out-now': 'bg-act-tint', closed: 'bg-act-tint' };
  const words = { work: 'Open. Work calmly.', 'out-now': 'Out now', closed: 'Closed' };
  return (
    <div className={`flex items-center justify-between gap-4 rounded px-5 py-4 ${tones[phase]}`} role="timer" aria-label="Exposure">
      <p className={`font-semibold ${phase === 'work' ? 'text-lg' : 'text-2xl text-act'}`} aria-live="assertive">
        {words[phase]}
      </p>
      <p className="font-mono text-2xl">{Math.ceil(leftS)} s</p>
    </div>
  );
}

function SecondsField({ value, onChange }: { value: number; onChange: (seconds: number) => void }) {
  return (
    <label className="block max-w-xs text-lg">
      How long is the exposure, in seconds?
      <input
        className="input mt-1"
        type="number"
        min={sensor.SHORTEST_EXPOSURE_S}
        max={sensor.LONGEST_EXPOSURE_S}
        value={Number.isNaN(value) ? '' : value}
        onChange={(e) => onChange(e.target.valueAsNumber)}
      />
    </label>
  );
}

const inRange = (seconds: number, { sensor: { strokes } }: StepProps['step']) =>
  seconds <= sensor.LONGEST_EXPOSURE_S && !sensor.isTooShort(seconds, strokes.lanes);
const now = () => outside.now().toISOString();

/** The dry run: the strokes without fluid and without touching, against the clock. Out in time counts; late is tried again. */
export function DryRun({ step, act, format }: StepProps & { format: care.SensorFormatId }) {
  const [seconds, setSeconds] = useState(calm(step));
  const [exposure, setExposure] = useState<sensor.Exposure | null>(null);
  const [late, setLate] = useState(false);
  const out = () => {
    if (!exposure) return;
    if (sensor.exposureAt(exposure, outside.now()).phase !== 'closed') return act({ type: 'rehearsed', step: step.id });
    setLate(true);
    setExposure(null);
  };
  return (
    <div className="space-y-4">
      <h2 className="text-2xl leading-none font-semibold">First a dry run</h2>
      <p className="text-lg">
        Once, before the first real one: no fluid, the swab a finger’s width above the glass. Start the clock, draw the strokes in the air,
        and be out before it ends.
      </p>
      <StrokesDrawing strokes={step.sensor.strokes} format={format} />
      {late && (
        <p className="rounded bg-act-tint px-4 py-2 font-semibold">It closed while you were inside. Take more time, and try again.</p>
      )}
      {exposure ? <Countdown exposure={exposure} /> : <SecondsField value={seconds} onChange={setSeconds} />}
      {exposure ? (
        <BigButton filled className="w-full" onClick={out}>
          I am out
        </BigButton>
      ) : (
        <BigButton filled className="w-full" disabled={!inRange(seconds, step)} onClick={() => setExposure({ at: now(), seconds })}>
          Start the dry run
        </BigButton>
      )}
    </div>
  );
}

/** A shutter that closes on a swab wrecks both: the power, and how it is held open, before anything goes in. */
export function PowerCheck({ step, act }: StepProps) {
  const [full, setFull] = useState(false);
  const [heldOpen, setHeldOpen] = useState(step.sensor.heldOpen);
  return (
    <div className="space-y-4">
      <h2 className="text-2xl leading-none font-semibold">Power</h2>
      <label className="flex min-h-11 items-center gap-3 text-lg">
        <input type="checkbox" className="check" checked={full} onChange={(e) => setFull(e.target.checked)} /> Battery full, or on mains
      </label>
      <fieldset className="space-y-2">
        <legend className="text-lg font-semibold">How is the sensor held open?</legend>
        {sensor.HELD_OPEN.map((way) => (
          <label key={way} className="flex gap-3 rounded border border-line bg-sheet px-4 py-2 has-[:checked]:border-lamp">
            <input
              type="radio"
              name="held-open"
              className="check mt-0.5 rounded-full"
              checked={heldOpen === way}
              onChange={() => setHeldOpen(way)}
            />
            <span>
              <b>{HELD_OPEN_WORDS[way].name}.</b> {HELD_OPEN_WORDS[way].how}
            </span>
          </label>
        ))}
      </fieldset>
      {step.sensor.stabilised && (
        <p className="rounded bg-lamp-tint px-4 py-2 text-lg">
          The sensor floats: leave the power on so that it is held still, or use the maker’s mode. Hardly any weight on it.
        </p>
      )}
      <BigButton filled className="w-full" disabled={!full} onClick={() => act({ type: 'power-checked', step: step.id, heldOpen })}>
        Power is safe
      </BigButton>
    </div>
  );
}

export function StartExposure({ step, act }: StepProps) {
  const [seconds, setSeconds] = useState(calm(step));
  return (
    <div className="space-y-4">
      <h2 className="text-2xl leading-none font-semibold">Open the shutter</h2>
      <p className="text-lg">
        Swab wetted and in hand. Two strokes a strip want {needed(step)} s at least, {calm(step)} s if the camera gives them. Press here and
        on the camera’s release at the same moment.
      </p>
      <SecondsField value={seconds} onChange={setSeconds} />
      <BigButton
        filled
        className="w-full"
        disabled={!inRange(seconds, step)}
        onClick={() => act({ type: 'exposure', step: step.id, at: now(), seconds })}
      >
        The shutter is open
      </BigButton>
    </div>
  );
}

/** While it is open: how long still. Out has to be said before it closes; after that it is asked what was inside. */
export function RunningExposure({ exposure }: { exposure: sensor.Exposure }) {
  const closed = sensor.exposureAt(exposure, useNow(500)).phase === 'closed';
  return (
    <div className="space-y-3">
      <Countdown exposure={exposure} />
      {closed && <p className="text-lg font-semibold text-act">It has closed. Say below whether you are out; nothing goes in again now.</p>}
    </div>
  );
}
