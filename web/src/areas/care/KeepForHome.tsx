import { routes, type WaitForHome } from '@bright-keeper/contract';
import { useMutation } from '@tanstack/react-query';
import { gearChanged } from '../../api/client';
import { http } from '../../api/http';
import { Button, Failure, Notice } from '../../ui/parts';

/** What the field plan leaves undone becomes a task at home, whether or not anything is cleaned now. */
export function KeepForHome(what: WaitForHome) {
  const keep = useMutation({
    mutationFn: () => http.post<void>(routes.waitForHome, what),
    onSuccess: () => gearChanged(what.itemId),
  });
  if (keep.isSuccess) return <Notice tone="good">It waits on Today for when you are home.</Notice>;
  return (
    <>
      <Button disabled={keep.isPending} onClick={() => keep.mutate()}>
        Keep it as a task for home
      </Button>
      {keep.error && <Failure error={keep.error} />}
    </>
  );
}
