import { Button, Failure, Notice } from '../../ui/parts';
import { useDrawerIsAll } from './queries';

/** One thing put in does not mean that one owns nothing else: it is asked, and can be taken back. */
export function IsThisAll({ isAll }: { isAll: boolean }) {
  const say = useDrawerIsAll();
  return (
    <>
      {say.error && <Failure error={say.error} />}
      {isAll ? (
        <p className="text-sm text-soft">
          This is all you have, you said.{' '}
          <Button look="quiet" disabled={say.isPending} onClick={() => say.mutate(false)}>
            There is more
          </Button>
        </p>
      ) : (
        <Notice tone="attention">
          <p className="font-semibold">Is this all you have?</p>
          <p>Until you say so, plans assume that whatever is not listed is at hand.</p>
          <Button className="mt-2" disabled={say.isPending} onClick={() => say.mutate(true)}>
            Yes, this is all
          </Button>
        </Notice>
      )}
    </>
  );
}
