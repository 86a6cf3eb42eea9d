import { record } from '@bright-keeper/core';
import { count, money, monthWords } from '@bright-keeper/words';
import { Link } from 'react-router';
import { outside } from '../../outside';
import { useChoices, withChoice } from '../../ui/choices';
import { DataTable, type Columns } from '../../ui/DataTable';
import { ButtonLink, Empty, Failure, Loading, Page, Section } from '../../ui/parts';
import { WayButtons } from '../../ui/WayButtons';
import { useZone } from '../../ui/zone';
import { useWholeShelf } from '../gear';
import { InHand } from '../care';
import { useCurrency } from '../settings';
import { useBenchUses, useDrawer } from '../supplies';
import { type CostRow, costsFrom, minutesWords, type Span, SPANS, type ThingCost } from './costsView';

const SPAN_LIST = Object.entries(SPANS) as [Span, string][];
/** "March 2026" of "2026-03". */
const monthName = (month: string): string => `${monthWords(Number(month.slice(5)))} ${month.slice(0, 4)}`;

/** What was used up, in the keeper's currency, and where that is not all of it. */
const moneyWords = ({ money: sum, unpriced }: record.Cost, currency: string): string => {
  if (sum === 0 && unpriced === 0) return 'nothing';
  const known = currency === '' ? sum.toFixed(2) : money(Math.round(sum * 100) / 100, currency);
  return unpriced > 0 ? `${known} and ${unpriced} without a price` : known;
};

const columnsFor = <Row extends CostRow>(what: string, currency: string, named: (row: Row) => React.ReactNode): Columns<Row> => [
  { id: 'name', header: what, accessorFn: (row) => row.name, cell: ({ row }) => named(row.original) },
  { id: 'benches', header: 'Cleans', accessorFn: (row) => row.cost.benches },
  { id: 'minutes', header: 'Time', accessorFn: (row) => row.cost.minutes, cell: ({ row }) => minutesWords(row.original.cost.minutes) },
  { id: 'touches', header: 'Touches', accessorFn: (row) => row.cost.touches },
  { id: 'money', header: 'Used up', accessorFn: (row) => row.cost.money, cell: ({ row }) => moneyWords(row.original.cost, currency) },
];

const NOT_SAID = 'not said';
/** Care against worth: where an evening goes to what is worth less than the fluid, another one may be better spent. */
const worthColumns = (currency: string): Columns<ThingCost> => [
  {
    id: 'worth',
    header: 'Worth',
    accessorFn: (row) => row.worth ?? -1,
    cell: ({ row: { original } }) =>
      original.worth === null ? NOT_SAID : currency === '' ? String(original.worth) : money(original.worth, currency),
  },
  {
    id: 'minutesAHundred',
    header: 'Time for each 100 of it',
    accessorFn: (row) => row.minutesAHundred ?? -1,
    cell: ({ row: { original } }) => (original.minutesAHundred === null ? NOT_SAID : minutesWords(original.minutesAHundred)),
  },
];

/** What care took: time, touches and what was used up, by thing and by month. */
export function CostsPage() {
  const [params, setParams] = useChoices();
  const [uses, drawer, shelf] = [useBenchUses(), useDrawer(), useWholeShelf()];
  const currency = useCurrency();
  const timeZone = useZone();
  const failed = [uses, drawer, shelf].find((query) => query.isError);
  if (failed) return <Failure error={failed.error} onRetry={() => void failed.refetch()} />;
  if (!uses.data || !drawer.data || !shelf.data) return <Loading />;
  const things = new Map(shelf.data.map((thing) => [thing.id, thing]));
  const view = costsFrom(params, {
    ...{ uses: uses.data.uses, drawer: drawer.data, timeZone, now: outside.now() },
    thingOf: (id) => things.get(id) ?? null,
  });
  const { all, byThing, byMonth, bySchool } = view;
  return (
    <Page
      title="What care took"
      sub="Of every bench that is over: how long it took, how often it touched, and what was used up at the price of its pack."
      actions={
        <>
          <ButtonLink to="/causes">How did it get dirty?</ButtonLink>
          <ButtonLink to="/supplies">Supplies</ButtonLink>
        </>
      }
    >
      <div className="space-y-6">
        <WayButtons
          legend={<span className="sr-only">Over what time</span>}
          ways={SPAN_LIST}
          chosen={view.span}
          onChoose={(span) => setParams(withChoice(params, 'span', span), { replace: true })}
        />
        {all.benches === 0 ? (
          <Empty title="No clean is over in this time" action={<ButtonLink to="/clean">Clean something</ButtonLink>}>
            What a bench took is told here once it is ended.
          </Empty>
        ) : (
          <>
            <p role="status" className="sheet p-4 text-lg">
              <b>{count(all.benches, 'clean', 'cleans')}</b>: {minutesWords(all.minutes)}, {count(all.touches, 'touch', 'touches')},{' '}
              {moneyWords(all, currency)} used up.
            </p>
            <Section title="By thing" aside="The one that took most time first.">
              <DataTable
                caption="By thing"
                columns={[
                  ...columnsFor<ThingCost>('Thing', currency, ({ key, name }) =>
                    things.has(key) ? (
                      <Link className="font-medium hover:underline" to={`/gear/${key}`}>
                        {name}
                      </Link>
                    ) : (
                      <span className="text-soft">{name}</span>
                    ),
                  ),
                  ...worthColumns(currency),
                ]}
                rows={byThing}
                rowKey={({ key }) => key}
                stacks
              />
            </Section>
            <Section title="By month">
              <DataTable
                caption="By month"
                columns={columnsFor('Month', currency, ({ key }) => monthName(key))}
                rows={byMonth}
                rowKey={({ key }) => key}
                stacks
              />
            </Section>
            {bySchool.length > 0 && (
              <Section title="By school" aside="Where you did it in more than one way.">
                <DataTable
                  caption="By school"
                  columns={columnsFor('School', currency, ({ name }) => name)}
                  rows={bySchool}
                  rowKey={({ key }) => key}
                  stacks
                />
              </Section>
            )}
            <InHand />
            <p className="text-sm text-soft">
              A bench counts as long as it was open, but no longer than {record.STOOD_OPEN} times its plan: then it was left standing. One
              that was told later counts as its plan. Prices are those of the packs in the drawer now.
            </p>
          </>
        )}
      </div>
    </Page>
  );
}
