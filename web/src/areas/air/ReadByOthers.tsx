import { routes } from '@bright-keeper/contract';
import { Fold } from '../../ui/Fold';
import { Button, Failure, Loading, Notice } from '../../ui/parts';
import { useReach } from '../access';
import { useIntakePlaces, useMetricsKey } from './queries';

/** No key of a hygrometer: what may come unencrypted is asked for each of those. */
const METRICS = 'metrics';

/** Where another program reads what the hygrometers say, and the key it does so with on the network. */
function Address() {
  const places = useIntakePlaces();
  const { make, revoke } = useMetricsKey();
  const { at } = useReach(METRICS);
  if (places.isPending) return <Loading />;
  if (places.isError) return <Failure error={places.error} onRetry={() => void places.refetch()} />;
  const { hasMetricsKey } = places.data;
  return (
    <div className="space-y-3 px-4 pb-4">
      <p>What they say now, battery and signal included, as Prometheus reads it. On this machine without a key, on the network with one.</p>
      <dl className="text-sm">
        {at.map(({ by, origin }) => (
          <div key={by} className="flex flex-wrap gap-x-3">
            <dt>{by}</dt>
            <dd className="font-mono break-all select-all">{origin + routes.metrics}</dd>
          </div>
        ))}
      </dl>
      <div className="flex flex-wrap gap-2">
        <Button disabled={make.isPending} onClick={() => make.mutate(undefined, { onSuccess: () => revoke.reset() })}>
          {hasMetricsKey ? 'Make a new key; the old one stops working' : 'Make a key for the network'}
        </Button>
        {hasMetricsKey && (
          <Button disabled={revoke.isPending} onClick={() => revoke.mutate(undefined, { onSuccess: () => make.reset() })}>
            Take that key away
          </Button>
        )}
      </div>
      {make.error && <Failure error={make.error} />}
      {revoke.error && <Failure error={revoke.error} />}
      {revoke.isSuccess && <Notice tone="good">That key opens nothing any more.</Notice>}
      {make.data && (
        <Notice tone="good">
          <p>Copy it now: only its fingerprint is kept. It is shown as Bearer, and opens nothing else.</p>
          <p className="my-2 font-mono break-all select-all">{make.data.token}</p>
        </Notice>
      )}
    </div>
  );
}

export const ReadByOthers = () => (
  <div className="sheet mt-6">
    <Fold title="Read by other programs">
      <Address />
    </Fold>
  </div>
);
