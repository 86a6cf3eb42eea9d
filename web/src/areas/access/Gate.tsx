import { lazy, Suspense, useSyncExternalStore } from 'react';
import { letIn } from '../../api/letIn';

const ComeIn = lazy(async () => ({ default: (await import('./ComeIn')).ComeIn }));

/** Stands over the pages while the server does not let this browser in; what is typed on them stays. */
export function Gate() {
  const isIn = useSyncExternalStore(letIn.subscribe, letIn.get);
  return isIn ? null : (
    <Suspense>
      <ComeIn />
    </Suspense>
  );
}
