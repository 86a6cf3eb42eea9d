import type { WaitForHome } from '@bright-keeper/contract';
import { useAwaySince } from '../../api/useKept';
import { Button, Failure, Notice } from '../../ui/parts';
import { useKeepForHome } from './queries';

/** What the field plan leaves undone becomes a task at home, whether or not anything is cleaned now. */
export function KeepForHome(what: WaitForHome) {
  const keep = useKeepForHome(what);
  const isAway = useAwaySince() !== null;
  if (keep.isSuccess)
    return (
      <Notice tone="good">
        {isAway ? 'Kept here. It stands on Today once it is carried over.' : 'It waits on Today for when you are home.'}
      </Notice>
    );
  return (
    <>
      <Button disabled={keep.isPending} onClick={() => keep.mutate()}>
        Keep it as a task for home
      </Button>
      {keep.error && <Failure error={keep.error} />}
    </>
  );
}
