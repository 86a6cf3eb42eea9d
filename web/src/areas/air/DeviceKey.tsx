import { routes, type Device } from '@bright-keeper/contract';
import { MayComeUnencrypted, useReach } from '../access';
import { sources } from '@bright-keeper/core';
import { At } from '../../ui/when';
import { Button, Failure, Notice } from '../../ui/parts';
import { useNewToken, useRevokeToken } from './queries';

/** The key a device pushes with, shown once, and how to use it. */
export function DeviceKey({ device }: { device: Device }) {
  const make = useNewToken(device.id);
  const revoke = useRevokeToken(device.id);
  const { at } = useReach(device.id);
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
            The device sends what it measures with the header <span className="font-mono">Authorization: Bearer …</span>, the key in place
            of the dots, to:
          </p>
          <dl className="my-1 text-sm">
            {at.map(({ by, origin }) => (
              <div key={by} className="flex flex-wrap gap-x-3">
                <dt>{by}</dt>
                <dd className="font-mono break-all select-all">{origin + routes.pushReadings}</dd>
              </div>
            ))}
          </dl>
          <details className="text-sm">
            <summary className="min-h-11 cursor-pointer py-2">In which form</summary>
            <dl className="space-y-2 pb-2">
              {sources.PUSH_FORMAT_IDS.map((id) => {
                const { name, basis, mediaTypes, example } = sources.PUSH_FORMATS[id];
                return (
                  <div key={id}>
                    <dt>
                      {name} ({basis}), as {mediaTypes.at(-1)}
                    </dt>
                    <dd className="font-mono break-all select-all">{example}</dd>
                  </div>
                );
              })}
            </dl>
            <p>
              Where its fields are called otherwise, the address says where they lie, and in which unit:{' '}
              <span className="font-mono">?temperature=/a/t&amp;humidity=/a/h&amp;unit=F</span>. A line without another word tells its time
              in nanoseconds; <span className="font-mono">?precision=s</span> says seconds.
            </p>
          </details>
          <p className="text-sm">To try it with a simulated one, on the machine itself:</p>
          <p className="mt-1 font-mono text-sm break-all select-all">
            npm run hygrometer -- --url {at.at(-1)?.origin ?? window.location.origin} --token {make.data.token}
          </p>
          <MayComeUnencrypted id={device.id} secret={make.data.token} />
        </Notice>
      )}
      {!make.data && device.hasToken && <MayComeUnencrypted id={device.id} />}
    </div>
  );
}
