import type { WhatIfStart } from '@bright-keeper/contract';
import type { fungus, storage } from '@bright-keeper/core';
import { useEffect, useMemo, useState } from 'react';
import { thinned } from '../../ui/thinned';
import type { Course as Reckoned } from '../../workers/box';
import { latestOnly } from '../../workers/latestOnly';
import { useBoxWorker } from './useBoxWorker';
import { scenarioOf, todayScenario, type WhatIf } from './whatIfState';

/** Today is what was measured, where it was; else what the model makes of it. */
export type Course = Omit<Reckoned, 'exhaustedAt'> & { exhaustedAt?: string | null };
export type Results = { now: Course; then: Reckoned };

const AS_IT_IS: storage.Climate = { warmerC: 0, damperPct: 0 };
const bandOf = ({ lowPct, highPct }: WhatIfStart) => ({ lowPct, highPct });

/** Reckons today and what-if side by side, as fast as the worker answers; of what one plays through only the last counts. */
export function useWhatIfResults(start: WhatIfStart, elsewhere: WhatIfStart, what: WhatIf, humiditySchool: fungus.HumiditySchool) {
  const worker = useBoxWorker();
  const [reckoned, setReckoned] = useState<Reckoned | null>(null);
  const [then, setThen] = useState<Reckoned | null>(null);
  const [error, setError] = useState<unknown>(null);
  const ask = useMemo(() => latestOnly(), []);
  const options = useMemo<fungus.AssessOptions>(
    () => ({ humiditySchool, surfaceState: 'soiled-glass', start: start.exposure }),
    [humiditySchool, start.exposure],
  );
  // Rooms are told before anything is asked of them: the worker hears in that order.
  useEffect(() => void worker().keepRoom('here', start.room).catch(setError), [worker, start.room]);
  useEffect(() => void worker().keepRoom('elsewhere', elsewhere.room).catch(setError), [worker, elsewhere.room]);
  // Today does not change while one plays: it is reckoned once.
  useEffect(() => {
    if (start.measured) return;
    worker().run(todayScenario(start), 'here', AS_IT_IS, bandOf(start), options).then(setReckoned, setError);
  }, [worker, start, options]);
  const text = JSON.stringify(what);
  useEffect(() => {
    const wanted = JSON.parse(text) as WhatIf;
    const climate = { warmerC: wanted.warmerC, damperPct: wanted.damperPct };
    ask(() => worker().run(scenarioOf(start, wanted), 'elsewhere', climate, bandOf(start), options).then(setThen, setError));
  }, [ask, worker, start, elsewhere.room, text, options]);
  const measured = useMemo<Course | null>(() => {
    if (!start.measured) return null;
    const { readings, ...figures } = start.measured;
    return { ...figures, line: thinned(readings.map((r) => r.humidityPct)) };
  }, [start.measured]);
  const now: Course | null = measured ?? reckoned;
  const results: Results | null = now && then && { now, then };
  return { results, error };
}
