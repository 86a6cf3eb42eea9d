import { routes } from '@bright-keeper/contract';
import { Download, Plus, Printer, Puzzle, Upload } from 'lucide-react';
import { lazy, Suspense, useMemo, useState } from 'react';
import { Navigate } from 'react-router';
import { useChoices, withChoice } from '../../ui/choices';
import { Button, ButtonLink, Empty, Failure, Loading, Page } from '../../ui/parts';
import { NOTHING_CHOSEN, tapped, withAll, type Chosen } from './choosing';
import { useShelf } from './queries';
import { FILTER_KEYS, Filters, filtersFrom, type SetFilter } from './ShelfFilters';
import { ShelfGroups } from './ShelfGroups';
import { ShelfList, type Choosing } from './ShelfList';
import { recalledFilters, recalledView, rememberFilters, rememberView, type ShelfView } from './shelfView';
import { ViewChoices } from './ViewChoices';

// Most who come look for one thing: what is done to many comes when it is asked for.
const ManyBar = lazy(async () => ({ default: (await import('./ManyBar')).ManyBar }));
/** As high as the bar, so that the shelf does not jump when it comes. */
const BAR_SPACE = <div className="mb-4 h-33" />;

/** The shelf as one left it: what was left out of it then is left out again, and said. */
export function ShelfPage() {
  const [params] = useChoices();
  const kept = params.size === 0 ? recalledFilters() : '';
  return kept === '' ? <Shelf /> : <Navigate to={`?${kept}`} replace />;
}

function Shelf() {
  const [params, setParams] = useChoices();
  const [view, setView] = useState(recalledView);
  const filters = useMemo(() => {
    const asked = filtersFrom(params);
    // What an address says of the order stands above what was chosen last.
    return view.sort && !params.has('sort') ? { ...asked, sort: view.sort as NonNullable<typeof asked.sort> } : asked;
  }, [params, view.sort]);
  const shelf = useShelf(filters);
  const keepView = (next: ShelfView) => {
    setView(next);
    rememberView(next);
  };
  const set: SetFilter = (key, value) => {
    if (key === 'sort') keepView({ ...view, sort: value });
    const next = withChoice(params, key, value || null);
    rememberFilters(next);
    setParams(next, { replace: true });
  };
  const showAll = () => {
    rememberFilters(new URLSearchParams());
    setParams({});
  };
  const onSort = (sort: string) => set('sort', sort);
  const items = shelf.data?.pages.flatMap((p) => p.items) ?? [];
  const total = shelf.data?.pages[0]?.total ?? 0;
  const isFiltered = FILTER_KEYS.some((key) => key !== 'sort' && filters[key] !== undefined);
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const choosing: Choosing = chosen && {
    isChosen: (id) => chosen.ids.has(id),
    tap: (id, isRange, order) => setChosen(tapped(chosen, id, isRange, order)),
  };

  return (
    <Page
      title="Gear"
      sub={
        shelf.data
          ? `${total} ${total === 1 ? 'thing' : 'things'}${isFiltered ? (total === 1 ? ' matches' : ' match') : ' on the shelf'}`
          : ' '
      }
      actions={
        <>
          <a
            className="inline-flex min-h-11 items-center gap-2 rounded border border-soft bg-sheet px-4 hover:bg-well"
            href={routes.gearExport}
            download
          >
            <Download size={18} aria-hidden="true" /> Export CSV
          </a>
          <ButtonLink to="/gear/inventory">
            <Printer size={18} aria-hidden="true" /> Print
          </ButtonLink>
          <ButtonLink to="/gear/fit">
            <Puzzle size={18} aria-hidden="true" /> What fits what
          </ButtonLink>
          <ButtonLink to="/gear/import">
            <Upload size={18} aria-hidden="true" /> Import
          </ButtonLink>
          <ButtonLink to="/gear/new" look="filled" className="max-md:order-first">
            <Plus size={18} aria-hidden="true" /> Add a thing
          </ButtonLink>
        </>
      }
    >
      <Filters filters={filters} set={set}>
        {(items.length > 0 || chosen) && (
          <Button className="max-md:col-span-2" aria-pressed={chosen !== null} onClick={() => setChosen(chosen ? null : NOTHING_CHOSEN)}>
            {chosen ? 'Done choosing' : 'Choose several'}
          </Button>
        )}
        <ViewChoices view={view} onView={keepView} />
      </Filters>
      {isFiltered && (items.length > 0 || shelf.isError) && (
        <p className="mb-3 text-sm">
          Only what matches is shown.{' '}
          <Button look="quiet" onClick={showAll}>
            Show the whole shelf
          </Button>
        </p>
      )}
      {chosen && (
        <Suspense fallback={BAR_SPACE}>
          <ManyBar
            chosen={chosen.ids}
            filters={filters}
            total={total}
            onAlso={(ids) => setChosen(withAll(chosen, ids))}
            onNone={() => setChosen(NOTHING_CHOSEN)}
          />
        </Suspense>
      )}
      {shelf.isPending && <Loading />}
      {shelf.isError && <Failure error={shelf.error} onRetry={() => void shelf.refetch()} />}
      {shelf.data &&
        items.length === 0 &&
        (isFiltered ? (
          <Empty title="Nothing matches" action={<Button onClick={showAll}>Show the whole shelf</Button>}>
            {filters.out && 'What was out is told by outings: of a household that notes them for less than two years nothing is said. '}
            Take a filter away, or search for a part of a name, a number, a tag or a place.
          </Empty>
        ) : (
          <Empty
            title="The shelf is empty"
            action={
              <ButtonLink to="/gear/new" look="filled">
                Add your first lens
              </ButtonLink>
            }
          >
            Put one lens on it, look at it under a lamp, and Bright Keeper works out the gentlest way to clean it. Or import a list you
            already have.
          </Empty>
        ))}
      {items.length > 0 &&
        (view.by ? (
          <ShelfGroups by={view.by} filters={filters} view={view} onSort={onSort} choosing={choosing} />
        ) : (
          <ShelfList caption="The shelf" items={items} view={view} sort={filters.sort ?? 'name'} onSort={onSort} choosing={choosing} />
        ))}
      {!view.by && shelf.hasNextPage && (
        <div className="mt-4 text-center">
          <Button onClick={() => void shelf.fetchNextPage()} disabled={shelf.isFetchingNextPage}>
            Show more ({total - items.length} left)
          </Button>
        </div>
      )}
    </Page>
  );
}
