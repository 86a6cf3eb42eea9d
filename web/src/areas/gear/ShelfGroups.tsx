import type { ShelfGroup } from '@bright-keeper/contract';
import type { gear } from '@bright-keeper/core';
import { particularWords } from '@bright-keeper/words';
import { Fold } from '../../ui/Fold';
import { Button, Failure, Loading } from '../../ui/parts';
import { useCurrency } from '../settings';
import { things } from './many/many';
import { useGroups, useShelf, type ShelfFilters } from './queries';
import { ShelfList, type Choosing } from './ShelfList';
import { filtersOf, groupTitle, type ShelfView } from './shelfView';

/** How much there is of a group, and what it is worth as far as anybody said. */
function groupWords({ lines, things: count, worth }: ShelfGroup, currency: string): string {
  const many = count === lines ? things(count) : `${things(count)} on ${lines === 1 ? '1 line' : `${lines} lines`}`;
  if (worth.known === 0) return many;
  return `${many} · ${particularWords('paid', worth.sum, currency)}${worth.known < lines ? ` (of ${worth.known})` : ''}`;
}

type ListOf = { view: ShelfView; onSort: (sort: string) => void; choosing: Choosing };
/** The things of one group, asked for when it is opened. */
function GroupThings({ title, filters, view, onSort, choosing }: ListOf & { title: string; filters: ShelfFilters }) {
  const shelf = useShelf(filters);
  if (shelf.isError) return <Failure error={shelf.error} onRetry={() => void shelf.refetch()} />;
  if (!shelf.data) return <Loading />;
  return (
    <div className="px-2 pb-3">
      <ShelfList
        caption={title}
        items={shelf.data.pages.flatMap((p) => p.items)}
        view={view}
        sort={filters.sort ?? 'name'}
        onSort={onSort}
        choosing={choosing}
      />
      {shelf.hasNextPage && (
        <div className="mt-3 text-center">
          <Button onClick={() => void shelf.fetchNextPage()} disabled={shelf.isFetchingNextPage}>
            Show more
          </Button>
        </div>
      )}
    </div>
  );
}

/** What the filters leave, in groups: how much there is of each, what it is worth, and its things where it is opened. */
export function ShelfGroups({ by, filters, ...list }: ListOf & { by: gear.Grouping; filters: ShelfFilters }) {
  const { sort: _, ...asked } = filters;
  const groups = useGroups({ ...asked, by });
  const currency = useCurrency();
  if (groups.isError) return <Failure error={groups.error} onRetry={() => void groups.refetch()} />;
  if (!groups.data) return <Loading />;
  return (
    <ul aria-label="The shelf in groups" className="sheet divide-y divide-line">
      {groups.data.groups.map((group) => (
        <li key={group.key ?? ''}>
          <Fold title={groupTitle(by, group)} aside={groupWords(group, currency)}>
            <GroupThings title={groupTitle(by, group)} filters={filtersOf(by, group.key, filters)} {...list} />
          </Fold>
        </li>
      ))}
    </ul>
  );
}
