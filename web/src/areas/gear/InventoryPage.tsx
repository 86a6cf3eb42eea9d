import type { ShelfItem } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { Printer } from 'lucide-react';
import { longDate } from '../../ui/dates';
import { Button, ButtonLink, Empty, Failure, Loading, Page } from '../../ui/parts';
import { useToday } from '../../ui/zone';
import { useCurrency } from '../settings';
import { Face } from './Face';
import { inventoryBy, type InventoryGroup, inventoryTotal, type Sum } from './inventoryView';
import { particularWords } from './particularWords';
import { useWholeShelf } from './queries';

const NUMBER = 'px-2 py-1 text-right font-mono whitespace-nowrap';

function Row({ item, currency }: { item: ShelfItem; currency: string }) {
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

/** The whole shelf on paper, by place, with numbers and sums: to keep, and for an insurer. */
export function InventoryPage() {
  const shelf = useWholeShelf();
  const currency = useCurrency();
  const today = useToday();
  if (shelf.isError) return <Failure error={shelf.error} onRetry={() => void shelf.refetch()} />;
  if (!shelf.data) return <Loading />;
  const groups = inventoryBy(shelf.data);
  return (
    <Page
      title="Inventory"
      sub={`As of ${longDate(today)}, by place. What is archived, sold or lost is not in it.`}
      actions={
        <div className="flex flex-wrap gap-2 print:hidden">
          <ButtonLink to="/gear">Gear</ButtonLink>
          <ButtonLink to="/gear/labels">Labels</ButtonLink>
          <Button look="filled" onClick={() => window.print()}>
            <Printer size={18} aria-hidden="true" /> Print, or save as PDF
          </Button>
        </div>
      }
    >
      {groups.length === 0 ? (
        <Empty title="The shelf is empty" action={<ButtonLink to="/gear/new">Add a thing</ButtonLink>}>
          What stands on it is printed here.
        </Empty>
      ) : (
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
            {groups.map((group) => (
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
              <Sums group={inventoryTotal(shelf.data)} words={`All of it: ${things(shelf.data.length)}`} currency={currency} />
            </tfoot>
          </table>
          <p className="mt-3 text-sm text-soft">
            Sums are of what was told; “of” says of how many lines. Receipts and pictures are kept with each thing.
          </p>
        </div>
      )}
    </Page>
  );
}
