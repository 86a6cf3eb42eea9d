import { routes, type InventoryThing } from '@bright-keeper/contract';
import { gear } from '@bright-keeper/core';
import {
  cameWords,
  count,
  INVENTORY_WAYS,
  INVENTORY_WORDS,
  inventorySub,
  inventorySum,
  type InventoryWay,
  kindAndMaker,
  lineSum,
  titleWords,
} from '@bright-keeper/words';
import { Printer } from 'lucide-react';
import { chosenOf, useChoices, withChoice } from '../../ui/choices';
import { Button, ButtonLink, Empty, Failure, Loading, Page } from '../../ui/parts';
import { WayButtons } from '../../ui/WayButtons';
import { useToday } from '../../ui/zone';
import { useCurrency } from '../settings';
import { Face } from './Face';
import { GoneThings, ThingPages } from './InventorySheets';
import { useInventory } from './queries';
import { WorthOverTime } from './WorthOverTime';

const NUMBER = 'px-2 py-1 text-right font-mono whitespace-nowrap';

const Row = ({ item, currency }: { item: InventoryThing; currency: string }) => (
  <tr className="break-inside-avoid border-t border-line align-top">
    <td className="py-1 pr-2">
      <Face item={item} />
    </td>
    <td className="px-2 py-1">
      <span className="font-semibold">{titleWords(item)}</span>
      <span className="block text-sm text-soft">{kindAndMaker(item)}</span>
    </td>
    <td className="px-2 py-1 font-mono">{item.particulars.serial ?? ''}</td>
    <td className="px-2 py-1">{cameWords(item)}</td>
    <td className={NUMBER}>{lineSum('paid', item, currency)}</td>
    <td className={NUMBER}>{lineSum('insuredFor', item, currency)}</td>
  </tr>
);

type Group = gear.InventoryGroup<InventoryThing>;
const Sums = ({ group: { paid, insured, items }, words, currency }: { group: Group; words: string; currency: string }) => (
  <tr className="border-t-2 border-soft font-semibold">
    <td />
    <td className="px-2 py-1" colSpan={3}>
      {words}
    </td>
    <td className={NUMBER}>{inventorySum(paid, items.length, currency)}</td>
    <td className={NUMBER}>{inventorySum(insured, items.length, currency)}</td>
  </tr>
);

const WAY_LIST = Object.entries(INVENTORY_WAYS) as [InventoryWay, string][];

function Table({ things: all, currency }: { things: readonly InventoryThing[]; currency: string }) {
  return (
    <div className="sheet overflow-x-auto p-4 print:overflow-visible print:border-0 print:p-0 print:shadow-none">
      <table className="w-full text-left">
        <thead>
          <tr className="text-sm text-soft">
            <th className="w-16">
              <span className="sr-only">Picture</span>
            </th>
            {INVENTORY_WORDS.heads.map((words, i) => (
              <th key={words} className={i < 3 ? 'px-2' : 'px-2 text-right'}>
                {words}
              </th>
            ))}
          </tr>
        </thead>
        {gear.inventoryBy(all).map((group) => (
          <tbody key={group.place ?? ''}>
            <tr>
              <th colSpan={6} scope="rowgroup" className="pt-4 pb-1 text-lg">
                {group.place ?? INVENTORY_WORDS.nowhere}
              </th>
            </tr>
            {group.items.map((item) => (
              <Row key={item.id} item={item} currency={currency} />
            ))}
            <Sums group={group} words={count(group.items.length, 'line', 'lines')} currency={currency} />
          </tbody>
        ))}
        <tfoot>
          <Sums
            group={gear.inventoryTotal(all)}
            words={`${INVENTORY_WORDS.all}: ${count(all.length, 'line', 'lines')}`}
            currency={currency}
          />
        </tfoot>
      </table>
      <p className="mt-3 text-sm text-soft">{INVENTORY_WORDS.sums}</p>
    </div>
  );
}

const FILE_CLASS = 'inline-flex min-h-11 items-center rounded border border-soft bg-sheet px-4 hover:bg-well';

/** The whole shelf on paper, as a table by place or a page for each thing; and what is gone, for an insurer. */
export function InventoryPage() {
  const currency = useCurrency();
  const today = useToday();
  const [params, setParams] = useChoices();
  const asked = params.get('on');
  const on = asked !== null && /^\d{4}-\d{2}-\d{2}$/.test(asked) && asked < today ? asked : null;
  const inventory = useInventory(on);
  const way = chosenOf<InventoryWay>(INVENTORY_WAYS, params.get('as'), 'table');
  if (inventory.isError) return <Failure error={inventory.error} onRetry={() => void inventory.refetch()} />;
  if (!inventory.data) return <Loading />;
  const { things: all, gone } = inventory.data;
  return (
    <Page
      title="Inventory"
      sub={inventorySub(way, on ?? today)}
      actions={
        <div className="flex flex-wrap gap-2 print:hidden">
          <ButtonLink to="/gear">Gear</ButtonLink>
          <ButtonLink to="/gear/labels">Labels</ButtonLink>
          <ButtonLink to="/report">Condition report</ButtonLink>
          <a className={FILE_CLASS} href={routes.gearExportXlsx} download>
            As XLSX
          </a>
          <a className={FILE_CLASS} href={routes.gearExportOds} download>
            As ODS
          </a>
          <a className={FILE_CLASS} href={routes.gearInventoryPdf(way, on ?? undefined)} download>
            As PDF
          </a>
          <Button look="filled" onClick={() => window.print()}>
            <Printer size={18} aria-hidden="true" /> Print
          </Button>
        </div>
      }
    >
      <div className="mb-4 flex flex-wrap items-end gap-x-6 gap-y-2 print:hidden">
        <WayButtons
          legend={<span className="sr-only">How it is printed</span>}
          ways={WAY_LIST}
          chosen={way}
          onChoose={(next) => setParams(withChoice(params, 'as', next), { replace: true })}
        />
        <label className="flex items-center gap-2">
          As of
          <input
            type="date"
            className="input"
            max={today}
            value={on ?? today}
            onChange={(e) =>
              setParams(withChoice(params, 'on', e.target.value === today ? null : e.target.value || null), { replace: true })
            }
          />
        </label>
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
      {way === 'table' && <WorthOverTime />}
    </Page>
  );
}
