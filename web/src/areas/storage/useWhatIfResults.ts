import type { WhatIfStart } from '@bright-keeper/contract';
import type { fungus, storage } from '@bright-keeper/core';
import { useEffect, useMemo, useState } from 'react';
import type { Course } from '../../workers/box';
import { latestOnly } from '../../workers/latestOnly';
import { useWorker } from '../../workers/useWorker';
import { changeOf, type WhatIf } from './whatIfState';

export type Results = { now: Course; then: Course };

const AS_IT_IS: storage.Climate = { warmerC: 0, damperPct: 0 };
const bandOf = ({ lowPct, highPct }: WhatIfStart) => ({ lowPct, highPct });

/**
 * Reckons today and what-if side by side, as fast as the worker answers; of what one plays through only the last counts.
 * @param elsewhere the same start in the air of another place; `start` itself while none is chosen.
 */
export function useWhatIfResults(start: WhatIfStart, elsewhere: WhatIfStart, what: WhatIf, humiditySchool: fungus.HumiditySchool) {
  const worker = useWorker('box');
  const [now, setNow] = useState<Course | null>(null);
  const [then, setThen] = useState<Course | null>(null);
  const [error, setError] = useState<unknown>(null);
  const ask = useMemo(() => latestOnly(), []);
  const options = useMemo<storage.TrialOptions>(
    () => ({ humiditySchool, surfaceState: 'soiled-glass', ...start.start, nowMs: Date.parse(start.now) }),
    [humiditySchool, start],
  );
  // Place and rooms are told before anything is asked of them: the worker hears in that order.
  useEffect(() => {
    const { place, ends, outside, measured, around } = start;
    const weather = measured !== null && around.source === 'outdoors';
    worker().keepPlace({ place, ends, outside, measured, weather }).catch(setError);
    // Today does not change while one plays: it is reckoned once.
    worker().run({}, null, AS_IT_IS, bandOf(start), options).then(setNow, setError);
  }, [worker, start, options]);
  useEffect(() => void worker().keepRoom('elsewhere', elsewhere.outside).catch(setError), [worker, elsewhere.outside]);
  const text = JSON.stringify(what);
  useEffect(() => {
    const wanted = JSON.parse(text) as WhatIf;
    const climate = { warmerC: wanted.warmerC, damperPct: wanted.damperPct };
    const room = elsewhere === start ? null : 'elsewhere';
    ask(() => worker().run(changeOf(start, wanted), room, climate, bandOf(start), options).then(setThen, setError));
  }, [ask, worker, start, elsewhere, text, options]);
  const results: Results | null = now && then && { now, then };
  return { results, error };
}
