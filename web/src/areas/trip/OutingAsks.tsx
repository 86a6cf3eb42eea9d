import { Failure, Loading } from '../../ui/parts';
import { Duties } from '../schedule';
import { useOutingAsks } from './queries';

/** What an outing asks for, each with what can be done about it, as the calendar tells it. */
export function OutingAsks({ id }: { id: string }) {
  const asks = useOutingAsks(id);
  if (asks.isError) return <Failure error={asks.error} onRetry={() => void asks.refetch()} />;
  if (!asks.data) return <Loading />;
  if (asks.data.length === 0) return <p className="px-4 py-2 text-soft">Nothing, or nothing any more.</p>;
  return <Duties duties={asks.data} />;
}
