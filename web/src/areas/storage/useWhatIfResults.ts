import type { WhatIfStart } from '@bright-keeper/contract';
import type { air, fungus, storage } from '@bright-keeper/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useBoxWorker } from './useBoxWorker';
import { roomOf, scenarioOf, todayScenario, type WhatIf } from './whatIfState';

/** Today is what was measured, where it was; else what the model makes of it. */
export type Course = storage.Figures & { readings: air.Reading[]; exhaustedAt?: string | null };
export type Results = { now: Course; then: storage.ScenarioResult };

const bandOf = ({ lowPct, highPct }: WhatIfStart) => ({ lowPct, highPct });

/** Reckons today and what-if side by side; an answer that comes after a newer question is dropped. */
export function useWhatIfResults(start: WhatIfStart, elsewhere: WhatIfStart, what: WhatIf, humiditySchool: fungus.HumiditySchool) {
  const worker = useBoxWorker();
  const [reckoned, setReckoned] = useState<storage.ScenarioResult | null>(null);
  const [then, setThen] = useState<storage.ScenarioResult | null>(null);
  const [error, setError] = useState<unknown>(null);
  const asked = useRef(0);
  const text = JSON.stringify(what);
  const options = useMemo<fungus.AssessOptions>(
    () => ({ humiditySchool, surfaceState: 'soiled-glass', start: start.exposure }),
    [humiditySchool, start.exposure],
  );
  // Today does not change while one plays: it is reckoned once.
  useEffect(() => {
    if (start.measured) return;
    worker().run(todayScenario(start), start.room, bandOf(start), options).then(setReckoned, setError);
  }, [worker, start, options]);
  useEffect(() => {
    const turn = ++asked.current;
    const wanted = JSON.parse(text) as WhatIf;
    worker()
      .run(scenarioOf(start, wanted), roomOf(elsewhere, wanted), bandOf(start), options)
      .then(
        (result) => turn === asked.current && setThen(result),
        (failure: unknown) => turn === asked.current && setError(failure),
      );
  }, [worker, start, elsewhere, text, options]);
  const now: Course | null = start.measured ?? reckoned;
  const results: Results | null = now && then && { now, then };
  return { results, error };
}
