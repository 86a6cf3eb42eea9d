import type { UseQueryResult } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { failsAll, useIsEnding } from '../api/client';
import { ButtonLink, Empty, Failure, Loading } from './parts';
import { useInSlices } from './useInSlices';

type EndedProps = { title: string; item: { id: string; name: string }; children: ReactNode };

/** In the place of work that is over, here or on another screen, with the way back to its thing. */
const Ended = ({ title, item, children }: EndedProps) => (
  <div className="mx-auto my-8 max-w-prose px-4">
    <Empty
      title={title}
      action={
        <ButtonLink look="filled" to={`/gear/${item.id}`}>
          Back to the {item.name}
        </ButtonLink>
      }
    >
      {children}
    </Empty>
  </div>
);

type AtWorkProps<Work, Item> = {
  id: string;
  what: string;
  work: UseQueryResult<Work>;
  item: UseQueryResult<Item>;
  children: (work: Work, item: Item) => ReactNode;
};

/** A piece of work and its thing, once both are there; and what is said where it was ended, here or on another screen. */
export function AtWork<Work extends { finishedAt: string | null }, Item extends { id: string; name: string }>({
  id,
  what,
  work,
  item,
  children,
}: AtWorkProps<Work, Item>) {
  const isEnding = useIsEnding(id);
  const drawing = useInSlices(item.isPending);
  if (failsAll(work) && !item.data) return <Failure error={work.error} onRetry={() => void work.refetch()} />;
  if (!work.data) return <Loading />;
  if (item.isError) return <Failure error={item.error} onRetry={() => void item.refetch()} />;
  if (drawing || item.isPending) return <Loading />;
  if (failsAll(work) && !isEnding)
    return (
      <Ended title={`This ${what} is not there any more`} item={item.data}>
        It was dropped on another screen, and nothing of it counts.
      </Ended>
    );
  if (work.data.finishedAt && !isEnding)
    return (
      <Ended title={`This ${what} is finished`} item={item.data}>
        It is in the log.
      </Ended>
    );
  return children(work.data, item.data);
}
