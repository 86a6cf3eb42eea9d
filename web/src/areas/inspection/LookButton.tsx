import type { ItemPage } from '@bright-keeper/contract';
import { useNavigate } from 'react-router';
import { Button, Failure } from '../../ui/parts';
import { useStartLook } from './queries';

type Props = { item: Pick<ItemPage, 'id' | 'openLookId'>; look?: 'filled' | 'plain' };

/** Begins a look at a thing, or goes on with the one that is open. */
export function LookButton({ item, look = 'filled' }: Props) {
  const navigate = useNavigate();
  const start = useStartLook();
  const begin = () => start.mutate({ itemId: item.id }, { onSuccess: (doc) => void navigate(`/look/${doc.id}`) });
  return (
    <>
      <Button look={look} onClick={begin} disabled={start.isPending}>
        {item.openLookId ? 'Go on looking' : 'Look at it'}
      </Button>
      {start.error && <Failure error={start.error} />}
    </>
  );
}
