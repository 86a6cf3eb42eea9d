import type { Device } from '@bright-keeper/contract';
import { air } from '@bright-keeper/core';
import { useState } from 'react';
import { ApiError } from '../../api/http';
import { Button, Failure } from '../../ui/parts';
import { ToldFor, useTold } from '../../ui/ToldFor';
import { At } from '../../ui/when';
import { useCalibrate } from './queries';

type Typed = { salt: air.Salt; temperatureC: string; rawPct: string };
const first = (salt: air.Salt): Typed => ({ salt, temperatureC: '20', rawPct: '' });
const number = (text: string): number => (text.trim() === '' ? NaN : Number(text.replace(',', '.')));
const testOf = ({ salt, temperatureC, rawPct }: Typed): air.SaltTest => ({
  salt,
  temperatureC: number(temperatureC),
  rawPct: number(rawPct),
});
const complete = ({ temperatureC, rawPct }: air.SaltTest): boolean =>
  temperatureC >= 0 && temperatureC <= 40 && rawPct >= 0 && rawPct <= 100;

/** What the salts typed so far would correct, or why they cannot be right. */
function outcome(points: air.SaltTest[]): { words: string; good: boolean } {
  try {
    const { gain, offsetPct } = air.correctionOf({ points });
    const at60 = air.applyCorrection(60, { gain, offsetPct });
    return {
      words: `Gain ${gain.toFixed(3)}, offset ${offsetPct.toFixed(2)} %: where it says 60 %, it is ${at60.toFixed(1)} %.`,
      good: true,
    };
  } catch (error) {
    return { words: `This cannot be right: ${(error as Error).message}.`, good: false };
  }
}

/** A salt test with one or two jars, and those that were done before. */
export function SaltTest({ device }: { device: Device }) {
  const calibrate = useCalibrate(device.id);
  const [typed, setTyped] = useState<Typed[]>([first('NaCl')]);
  const told = useTold();
  const points = typed.map(testOf);
  const all = points.every(complete);
  const seen = all ? outcome(points) : null;
  const edit = (i: number, change: Partial<Typed>) => setTyped(typed.map((t, k) => (k === i ? { ...t, ...change } : t)));
  return (
    <details className="rounded border border-line p-3">
      <summary className="min-h-11 cursor-pointer py-2 font-medium">
        Salt test {device.calibrations.length > 0 && <span className="text-sm text-soft">({device.calibrations.length} so far)</span>}
      </summary>
      <p className="mb-3 text-sm text-soft">
        A spoonful of salt, damp like wet sand, in a bottle cap; with the hygrometer in a closed bag or jar, a day at room temperature.
        Table salt is one point; magnesium chloride makes it two. Do not eat or spill the salts.
      </p>
      <div className="space-y-3">
        {typed.map((t, i) => (
          <div key={i} className="grid grid-cols-3 gap-2">
            <label className="block">
              <span className="mb-1 block text-sm text-soft">Salt</span>
              <select className="input" value={t.salt} onChange={(e) => edit(i, { salt: e.target.value as air.Salt })}>
                {air.SALTS.map((s) => (
                  <option key={s} value={s}>
                    {air.saltName(s)} ({air.saltPointPct(s, 20).toFixed(0)} ± {air.saltUncertaintyPct(s).toFixed(1)} %)
                  </option>
                ))}
              </select>
            </label>
            <label className="block">
              <span className="mb-1 block text-sm text-soft">at °C</span>
              <input
                className="input"
                inputMode="decimal"
                value={t.temperatureC}
                onChange={(e) => edit(i, { temperatureC: e.target.value })}
              />
            </label>
            <label className="block">
              <span className="mb-1 block text-sm text-soft">it read, %</span>
              <input className="input" inputMode="decimal" value={t.rawPct} onChange={(e) => edit(i, { rawPct: e.target.value })} />
            </label>
          </div>
        ))}
        <div className="flex flex-wrap gap-2">
          {typed.length === 1 ? (
            <Button onClick={() => setTyped([...typed, first('MgCl2')])}>A second salt</Button>
          ) : (
            <Button onClick={() => setTyped(typed.slice(0, 1))}>Only one salt</Button>
          )}
          <Button
            look="filled"
            disabled={!seen?.good || calibrate.isPending || told.wrong !== null}
            onClick={() =>
              calibrate.mutate(
                { at: told.at, points, note: '' },
                {
                  onSuccess: () => {
                    setTyped([first('NaCl')]);
                    told.setLocal(null);
                  },
                },
              )
            }
          >
            Keep this salt test
          </Button>
        </div>
        <ToldFor told={told} id={`tested-${device.id}`} label="it was tested on" />
        {seen && <p className={seen.good ? 'text-glass' : 'text-act'}>{seen.words}</p>}
        {calibrate.error instanceof ApiError && <Failure error={calibrate.error} />}
      </div>
      {device.calibrations.length > 0 && (
        <ul className="mt-4 space-y-1 border-t border-line pt-3 text-sm">
          {device.calibrations.map((c) => (
            <li key={c.id}>
              <At instant={c.at} />: {c.points.map((p) => `${air.saltName(p.salt)} read as ${p.rawPct} %`).join(', ')}; gain{' '}
              {c.correction.gain.toFixed(3)}, offset {c.correction.offsetPct.toFixed(2)} %
            </li>
          ))}
        </ul>
      )}
    </details>
  );
}
