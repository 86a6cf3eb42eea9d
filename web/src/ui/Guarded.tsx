import { Suspense } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { Outlet, useLocation } from 'react-router';
import { Failure, Loading } from './parts';

/** What broke may be whole again when the page is loaded anew: its code is asked for again, too. */
const Broken = ({ error }: FallbackProps) => <Failure error={error} onRetry={() => window.location.reload()} />;

/** The page of an address: while its code comes that is said, and what breaks in it leaves the rest standing. */
export function Guarded() {
  const { pathname } = useLocation();
  return (
    <ErrorBoundary FallbackComponent={Broken} resetKeys={[pathname]}>
      <Suspense fallback={<Loading />}>
        <Outlet />
      </Suspense>
    </ErrorBoundary>
  );
}
