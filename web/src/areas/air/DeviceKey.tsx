import { routes, type Device } from '@bright-keeper/contract';
import { MayComeUnencrypted, useReach } from '../access';
import { At } from '../../ui/when';
import { Button, Failure, Notice } from '../../ui/parts';
import { useNewToken, useRevokeToken } from './queries';

/** The key a device pushes with, shown once, and how to use it. */
export function DeviceKey({ device }: { device: Device }) {
  const make = useNewToken(device.id);
  const revoke = useRevokeToken(device.id);
  const { origin } = useReach();
  return (
    <div className="space-y-2">
      <div className="flex flex-wrap gap-2">
        <Button disabled={make.isPending} onClick={() => make.mutate(undefined, { onSuccess: () => revoke.reset() })}>
          {device.hasToken ? 'Make a new key; the old one stops working' : 'Make a key'}
        </Button>
        {device.hasToken && (
          <Button disabled={revoke.isPending} onClick={() => revoke.mutate(undefined, { onSuccess: () => make.reset() })}>
            Take its key away
          </Button>
        )}
      </div>
      {device.hasToken && (
        <p className="text-sm text-soft">
          {device.keyUsedAt ? (
            <>
              Last came with its key <At instant={device.keyUsedAt} />.
            </>
          ) : (
            'It has not come with its key yet.'
          )}
        </p>
      )}
      {make.error && <Failure error={make.error} />}
      {revoke.error && <Failure error={revoke.error} />}
      {revoke.isSuccess && <Notice tone="good">Its key opens nothing any more.</Notice>}
      {make.data && (
        <Notice tone="good">
          <p>Copy it now: only its fingerprint is kept.</p>
          <p className="my-2 font-mono break-all select-all">{make.data.token}</p>
          <p className="text-sm">
            The device sends SenML (RFC 8428) to <span className="font-mono">{origin + routes.pushReadings}</span> with the header{' '}
            <span className="font-mono">Authorization: Bearer …</span>. To try it with a simulated one:
          </p>
          <p className="mt-1 font-mono text-sm break-all select-all">
            npm run hygrometer -- --url {origin} --token {make.data.token}
          </p>
          <MayComeUnencrypted id={device.id} secret={make.data.token} />
        </Notice>
      )}
      {!make.data && device.hasToken && <MayComeUnencrypted id={device.id} />}
    </div>
  );
}
