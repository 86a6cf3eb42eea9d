import { Printer } from 'lucide-react';
import { QRCodeSVG } from 'qrcode.react';
import { useChoices, withChoice } from '../../ui/choices';
import { Button, ButtonLink, Empty, Failure, Loading, Notice, Page } from '../../ui/parts';
import { WayButtons } from '../../ui/WayButtons';
import { usePlaces } from '../storage';
import { isOwnMachine, labelBase } from './labelAddress';
import { useWholeShelf } from './queries';

const OF = [
  ['things', 'Things'],
  ['places', 'Places'],
] as const;
type Of = (typeof OF)[number][0];

type Label = { path: string; name: string; below: string };

/** One label: its code opens the page of what it is stuck on. */
const Sticker = ({ base, label: { path, name, below } }: { base: string; label: Label }) => (
  <li className="flex break-inside-avoid items-center gap-3 rounded border border-line p-2">
    <span className="in-light rounded bg-white p-1">
      <QRCodeSVG value={base + path} size={84} level="M" role="img" aria-label={`Code for ${name}`} />
    </span>
    <span className="min-w-0">
      <span className="block font-semibold break-words">{name}</span>
      <span className="block text-sm break-words text-soft">{below}</span>
    </span>
  </li>
);

/** A sheet of labels for things or places, to print and to cut. */
export function LabelsPage() {
  const [params, setParams] = useChoices();
  const shelf = useWholeShelf();
  const places = usePlaces();
  const set = (key: string, value: string | null) => setParams(withChoice(params, key, value), { replace: true });
  const of: Of = params.get('of') === 'places' ? 'places' : 'things';
  const typed = params.get('at') ?? window.location.origin;
  const base = labelBase(typed);
  const failed = [shelf, places].find((q) => q.isError);
  if (failed) return <Failure error={failed.error} onRetry={() => void failed.refetch()} />;
  if (!shelf.data || !places.data) return <Loading />;
  const labels: Label[] =
    of === 'places'
      ? places.data.places.map((p) => ({ path: `/storage/${p.id}`, name: p.name, below: 'What lies here, and its air' }))
      : shelf.data.map((i) => ({ path: `/gear/${i.id}`, name: i.name, below: i.particulars.serial ?? i.place?.name ?? '' }));
  return (
    <Page
      title="Labels"
      sub="A phone’s camera reads one, and the page of the thing or place opens."
      actions={
        <div className="flex flex-wrap gap-2 print:hidden">
          <ButtonLink to="/gear/inventory">Inventory</ButtonLink>
          <Button look="filled" disabled={base === null || labels.length === 0} onClick={() => window.print()}>
            <Printer size={18} aria-hidden="true" /> Print
          </Button>
        </div>
      }
    >
      <div className="mb-4 flex flex-wrap items-end gap-4 print:hidden">
        <WayButtons legend="Labels for" ways={OF} chosen={of} onChoose={(way) => set('of', way)} />
        <label className="flex min-w-64 flex-1 flex-col gap-1">
          The address they lead to
          <input className="input" type="url" value={typed} aria-invalid={base === null} onChange={(e) => set('at', e.target.value)} />
          {base === null && <span className="text-sm text-act">Write it whole, as https://name-or-number:port.</span>}
        </label>
      </div>
      {base !== null && isOwnMachine(base) && (
        <div className="mb-4 print:hidden">
          <Notice tone="attention">
            Only this machine reaches {base}: a phone would not. Open the household to your network in Settings, and type the address it has
            there.
          </Notice>
        </div>
      )}
      {labels.length === 0 ? (
        <Empty title="Nothing to label yet">Put a thing on the shelf, or add a place.</Empty>
      ) : (
        base !== null && (
          <ul className="grid grid-cols-1 gap-2 sm:grid-cols-2 lg:grid-cols-3 print:grid-cols-3">
            {labels.map((label) => (
              <Sticker key={label.path} base={base} label={label} />
            ))}
          </ul>
        )
      )}
    </Page>
  );
}
