import { routes, type InventoryThing } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { Printer } from 'lucide-react';
import { longDate } from '../../ui/dates';
import { Button, ButtonLink, Empty, Failure, Loading, Page } from '../../ui/parts';
import { useToday } from '../../ui/zone';
import { useCurrency } from '../settings';
import { Face } from './Face';
import { inventoryBy, type InventoryGroup, inventoryTotal, type Sum } from './inventoryView';
import { particularWords } from './particularWords';
import { GoneThings, ThingPages } from './InventorySheets';
import { useInventory } from './queries';
import { chosenOf, useChoices, withChoice } from '../../ui/choices';
import { WayButtons } from '../../ui/WayButtons';

const NUMBER = 'px-2 py-1 text-right font-mono whitespace-nowrap';

function Row({ item, currency }: { item: InventoryThing; currency: string }) {
  const { serial, count, condition, paid, insuredFor, maker, model } = item.particulars;
  const told = (id: 'paid' | 'insuredFor' | 'condition', value: number | string | undefined) =>
    value === undefined ? '' : particularWords(id, value, id === 'condition' ? '' : currency);
  return (
    <tr className="break-inside-avoid border-t border-line align-top">
      <td className="py-1 pr-2">
        <Face item={item} />
      </td>
      <td className="px-2 py-1">
        <span className="font-semibold">{item.name}</span>
        {count !== undefined && ` × ${count}`}
        <span className="block text-sm text-soft">
          {[care.kindFacts(item.kind).name, [maker, model].filter(Boolean).join(' ')].filter(Boolean).join(' · ')}
        </span>
      </td>
      <td className="px-2 py-1 font-mono">{serial ?? ''}</td>
      <td className="px-2 py-1">
        {item.acquiredOn ?? ''} {told('condition', condition)}
      </td>
      <td className={NUMBER}>{told('paid', paid)}</td>
      <td className={NUMBER}>{told('insuredFor', insuredFor)}</td>
    </tr>
  );
}

const sumWords = ({ total, of }: Sum, things: number, currency: string): string =>
  of === 0 ? '' : `${particularWords('paid', total, currency)}${of < things ? ` (of ${of})` : ''}`;

const Sums = ({ group, words, currency }: { group: InventoryGroup; words: string; currency: string }) => (
  <tr className="border-t-2 border-soft font-semibold">
    <td />
    <td className="px-2 py-1" colSpan={3}>
      {words}
    </td>
    <td className={NUMBER}>{sumWords(group.paid, group.items.length, currency)}</td>
    <td className={NUMBER}>{sumWords(group.insured, group.items.length, currency)}</td>
  </tr>
);

const things = (n: number): string => (n === 1 ? '1 line' : `${n} lines`);

/** How it is printed. */
const WAYS = { table: 'A table', pages: 'A page for each thing', gone: 'What is gone' } as const;
type Way = keyof typeof WAYS;
const WAY_LIST = Object.entries(WAYS) as [Way, string][];

const subOf = (way: Way, today: string): string =>
  way === 'gone'
    ? `As of ${longDate(today)}: sold, given away, lost, stolen or broken, with numbers, sums and papers, for an insurer.`
    : `As of ${longDate(today)}, ${way === 'table' ? 'by place' : 'by name'}. What is archived, sold or lost is not in it.`;

function Table({ things: all, currency }: { things: readonly InventoryThing[]; currency: string }) {
  return (
    <div className="sheet overflow-x-auto p-4 print:overflow-visible print:border-0 print:p-0 print:shadow-none">
      <table className="w-full text-left">
        <thead>
          <tr className="text-sm text-soft">
            <th className="w-16">
              <span className="sr-only">Picture</span>
            </th>
            <th className="px-2">Thing</th>
            <th className="px-2">Serial number</th>
            <th className="px-2">Came</th>
            <th className="px-2 text-right">Paid</th>
            <th className="px-2 text-right">Insured for</th>
          </tr>
        </thead>
        {inventoryBy(all).map((group) => (
          <tbody key={group.place ?? ''}>
            <tr>
              <th colSpan={6} scope="rowgroup" className="pt-4 pb-1 text-lg">
                {group.place ?? 'In no place we know'}
              </th>
            </tr>
            {group.items.map((item) => (
              <Row key={item.id} item={item} currency={currency} />
            ))}
            <Sums group={group} words={things(group.items.length)} currency={currency} />
          </tbody>
        ))}
        <tfoot>
          <Sums group={inventoryTotal(all)} words={`All of it: ${things(all.length)}`} currency={currency} />
        </tfoot>
      </table>
      <p className="mt-3 text-sm text-soft">
        Sums are of what was told; “of” says of how many lines. Receipts and pictures are kept with each thing.
      </p>
    </div>
  );
}

const FILE_CLASS = 'inline-flex min-h-11 items-center rounded border border-soft bg-sheet px-4 hover:bg-well';

/** The whole shelf on paper, as a table by place or a page for each thing; and what is gone, for an insurer. */
export function InventoryPage() {
  const inventory = useInventory();
  const currency = useCurrency();
  const today = useToday();
  const [params, setParams] = useChoices();
  const way = chosenOf<Way>(WAYS, params.get('as'), 'table');
  if (inventory.isError) return <Failure error={inventory.error} onRetry={() => void inventory.refetch()} />;
  if (!inventory.data) return <Loading />;
  const { things: all, gone } = inventory.data;
  return (
    <Page
      title="Inventory"
      sub={subOf(way, today)}
      actions={
        <div className="flex flex-wrap gap-2 print:hidden">
          <ButtonLink to="/gear">Gear</ButtonLink>
          <ButtonLink to="/gear/labels">Labels</ButtonLink>
          <a className={FILE_CLASS} href={routes.gearExportXlsx} download>
            As XLSX
          </a>
          <a className={FILE_CLASS} href={routes.gearExportOds} download>
            As ODS
          </a>
          <Button look="filled" onClick={() => window.print()}>
            <Printer size={18} aria-hidden="true" /> Print, or save as PDF
          </Button>
        </div>
      }
    >
      <div className="mb-4 print:hidden">
        <WayButtons
          legend={<span className="sr-only">How it is printed</span>}
          ways={WAY_LIST}
          chosen={way}
          onChoose={(next) => setParams(withChoice(params, 'as', next), { replace: true })}
        />
      </div>
      {way === 'gone' && <GoneThings gone={gone} currency={currency} />}
      {way !== 'gone' &&
        (all.length === 0 ? (
          <Empty title="The shelf is empty" action={<ButtonLink to="/gear/new">Add a thing</ButtonLink>}>
            What stands on it is printed here.
          </Empty>
        ) : way === 'table' ? (
          <Table things={all} currency={currency} />
        ) : (
          <ThingPages things={all} currency={currency} />
        ))}
    </Page>
  );
}
