import { Button, Failure } from '../../ui/parts';
import { useReach, useUnencrypted } from './queries';

/**
 * Whether a key may come over the network unencrypted, for what cannot trust the household's certificate.
 *
 * @param secret the key as it was just made; without it, it can only be taken back.
 */
export function MayComeUnencrypted({ id, secret }: { id: string; secret?: string }) {
  const { network, isUnencrypted } = useReach(id);
  const set = useUnencrypted();
  if (!network || !(isUnencrypted || secret)) return null;
  return (
    <div className="mt-2 text-sm">
      {isUnencrypted ? (
        <p>
          Its key may come unencrypted, and whoever listens on the network can read it then.{' '}
          <Button look="quiet" disabled={set.isPending} onClick={() => set.mutate({ id, key: null })}>
            No more
          </Button>
        </p>
      ) : (
        <p>
          It cannot be told to trust the certificate?{' '}
          <Button look="quiet" disabled={set.isPending} onClick={() => set.mutate({ id, key: secret ?? null })}>
            Let this key come unencrypted
          </Button>
        </p>
      )}
      {set.error && <Failure error={set.error} />}
    </div>
  );
}
