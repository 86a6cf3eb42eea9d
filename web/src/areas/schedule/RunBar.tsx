import { lazy, Suspense } from 'react';
import { useRun } from './benchRun';

/** Most pages are opened while no bench day is run: its code comes when one is. */
const Running = lazy(async () => ({ default: (await import('./Running')).Running }));

/** Whatever page one is on while a bench day is worked through: how far it is, and what comes next. */
export function RunBar() {
  const run = useRun();
  return (
    run && (
      <Suspense>
        <Running run={run} />
      </Suspense>
    )
  );
}
