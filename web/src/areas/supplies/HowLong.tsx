import type { Supply } from '@bright-keeper/contract';
import { schedule, supplies } from '@bright-keeper/core';
import { money, roughDays } from '@bright-keeper/words';
import { Copy } from 'lucide-react';
import { useState } from 'react';
import { outside } from '../../outside';
import { shortDate } from '../../ui/dates';
import { DataTable, type Columns } from '../../ui/DataTable';
import { Button, Section } from '../../ui/parts';
import { capital } from '../../ui/words';
import { useToday } from '../../ui/zone';
import { useCurrency } from '../settings';
import { useBenchUses, useWaitingCleans } from './queries';
import { stockWords, waitsWords } from './words';

type Row = supplies.Outlook<Supply>;
/** What is known to last so long. */
type Known = Row & { forecast: Extract<supplies.Forecast, { isKnown: true }>; stock: number; buyWithin: number };
const isKnown = (row: Row): row is Known => row.forecast.isKnown;

const UNKNOWN: Record<Extract<supplies.Forecast, { isKnown: false }>['because'], string> = {
  'not-counted': 'Say how much is left, and what is used tells how long it lasts.',
  'used-up': 'Used up.',
  'too-few': `Not told before it was used at ${supplies.LEAST_TAKINGS} benches over ${supplies.LEAST_DAYS} days.`,
};

/** "About 5 months as it is used now; nine times in ten 3 to 11 months." */
function lastsWords(outlook: Known['forecast']): string {
  const [soonest, latest] = [roughDays(outlook.soonest), roughDays(outlook.latest)];
  const about = `About ${roughDays(outlook.days)} as it is used now`;
  return soonest === latest ? `${about}.` : `${about}; nine times in ten ${soonest} to ${latest}.`;
}

const nameOf = ({ thing: { thing, widthMm } }: Row): string => capital(supplies.labelOf({ thing, widthMm, note: '' }));

/** "30 sheets for NOK 45": what a pack held the last time, and what it cost, where that was told. */
function packWords({ thing, packSize, packPrice }: Supply, currency: string): string {
  const size = packSize === null ? '' : stockWords(thing, packSize);
  const price = packPrice === null || currency === '' ? '' : money(packPrice, currency);
  return size && price ? `${size} for ${price}` : size || price;
}

const ticked = (row: Row, currency: string): string => {
  const pack = packWords(row.thing, currency);
  return `${nameOf(row)}${pack ? `: ${pack}` : ''}`;
};

/** Whether what waits may take all there is. */
const mayBeGoneBy = ({ stock, waits }: Row): boolean => stock !== null && waits !== null && stock <= waits.most;

/** What is to be bought within a month, to take along. */
export function ToBuy({ rows: all }: { rows: readonly Row[] }) {
  const by = useBy();
  const currency = useCurrency();
  const [isCopied, setCopied] = useState(false);
  const rows = supplies.shoppingList(all);
  if (rows.length === 0) return null;
  const text = rows.map((r) => `${ticked(r, currency)} (${by(r.buyWithin)})`).join('\n');
  return (
    <Section title="To buy" aside="What may be gone before it can be sent.">
      <ul className="mb-3 list-disc space-y-1 pl-5">
        {rows.map((r) => (
          <li key={r.thing.id}>
            {ticked(r, currency)}, <span className={r.buyWithin === 0 ? 'font-semibold text-act' : 'text-soft'}>{by(r.buyWithin)}</span>
            {mayBeGoneBy(r) && (
              <span className="block text-sm text-soft">
                {waitsWords(r.thing.thing, r.waits)} {`${stockWords(r.thing.thing, r.stock!)} left.`}
              </span>
            )}
          </li>
        ))}
      </ul>
      <Button onClick={() => void navigator.clipboard.writeText(text).then(() => setCopied(true))}>
        <Copy size={16} aria-hidden="true" /> {isCopied ? 'Copied' : 'Copy the list'}
      </Button>
    </Section>
  );
}

/** How long all of a drawer lasts; nothing before it is known what the benches took, and what waits will take. */
export function useOutlook(drawer: readonly Supply[]): { rows: Row[]; failed: { error: unknown; refetch: () => unknown } | null } {
  const [uses, waiting] = [useBenchUses(), useWaitingCleans()];
  const failed = [uses, waiting].find(({ isError }) => isError) ?? null;
  if (!uses.data || !waiting.data) return { rows: [], failed };
  return { rows: supplies.outlookOf(drawer, { ...uses.data, ...waiting.data }, outside.now().toISOString()), failed };
}

const A_YEAR = 365;
/** "now", "by 9 Jul"; what lies more than a year ahead needs no day. */
function useBy(): (days: number) => string {
  const today = useToday();
  return (days) => (days === 0 ? 'now' : days > A_YEAR ? 'not within a year' : `by ${shortDate(schedule.addDays(today, days))}`);
}

/** Why nothing is said of some, each reason once with those it is said of. */
function NotTold({ rows }: { rows: readonly Row[] }) {
  const reasons = Object.entries(UNKNOWN).map(([because, words]) => ({
    words,
    names: rows.filter(({ forecast }) => !forecast.isKnown && forecast.because === because).map(nameOf),
  }));
  return reasons
    .filter(({ names }) => names.length > 0)
    .map(({ words, names }) => (
      <p key={words} className="mt-2 text-sm text-soft">
        {names.join('; ')}: {words}
      </p>
    ));
}

/** How long what is used up lasts, by what the benches took of it. */
export function HowLong({ rows }: { rows: readonly Row[] }) {
  const by = useBy();
  const known = rows.filter(isKnown);
  const columns: Columns<Known> = [
    { id: 'thing', header: 'Thing', accessorFn: nameOf, cell: ({ row }) => <span className="font-medium">{nameOf(row.original)}</span> },
    {
      id: 'left',
      header: 'Left',
      accessorFn: ({ stock }) => stock,
      cell: ({ row: { original } }) => stockWords(original.thing.thing, original.stock),
    },
    {
      id: 'lasts',
      header: 'Lasts',
      accessorFn: ({ forecast }) => forecast.days,
      cell: ({ row: { original } }) => (
        <>
          {lastsWords(original.forecast)}{' '}
          <span className="block text-sm text-soft">{waitsWords(original.thing.thing, original.waits)}</span>
        </>
      ),
    },
    {
      id: 'buy',
      header: 'Buy',
      accessorFn: ({ buyWithin }) => buyWithin,
      cell: ({ row }) => by(row.original.buyWithin),
    },
  ];
  return (
    <Section title="How long it lasts" aside="By what the benches of the last year took, and what waits.">
      {known.length > 0 && <DataTable caption="How long it lasts" columns={columns} rows={known} rowKey={(r) => r.thing.id} stacks />}
      <NotTold rows={rows} />
    </Section>
  );
}
