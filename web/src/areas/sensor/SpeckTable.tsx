import type { Dismissed } from '@bright-keeper/contract';
import { fateWords, fStop, whereWords, zoneWords } from '@bright-keeper/words';
import { DataTable, type Columns } from '../../ui/DataTable';
import { Button } from '../../ui/parts';
import type { SpeckRow } from './framesView';

const KINDS: Record<SpeckRow['kind'], string> = { dust: 'dust', hair: 'hair', mark: 'mark' };
/** Diffraction softens what is smaller: its size is rough. */
const SURE_MM = 0.03;
const size = (mm: number): string => (mm < 1 ? `${mm < SURE_MM ? '≲ ' : ''}${Math.round(mm * 1000)} µm` : `${mm.toFixed(1)} mm`);

type Props = {
  rows: readonly SpeckRow[];
  selected: number | null;
  onSelect: (number: number | null) => void;
  onDismiss: (row: SpeckRow) => void;
};

/** Every speck with where it lies, how large it is and from which aperture on it shows. */
export function SpeckTable({ rows, selected, onSelect, onDismiss }: Props) {
  const columns: Columns<SpeckRow> = [
    {
      id: 'number',
      header: 'No.',
      accessorKey: 'number',
      cell: ({ row: { original } }) => (
        <button
          type="button"
          className="link min-h-11 px-1 font-mono"
          aria-pressed={selected === original.number}
          onClick={() => onSelect(selected === original.number ? null : original.number)}
        >
          {original.number}
        </button>
      ),
    },
    { id: 'zone', header: 'As you face it', accessorKey: 'zone', cell: ({ row }) => zoneWords(row.original.zone) },
    {
      id: 'size',
      header: 'About',
      accessorKey: 'sizeMm',
      cell: ({ row }) => <span className="font-mono">{size(row.original.sizeMm)}</span>,
    },
    {
      id: 'depth',
      header: 'Takes',
      accessorKey: 'depth',
      cell: ({ row }) => <span className="font-mono">{(row.original.depth * 100).toFixed(1)} %</span>,
    },
    {
      id: 'from',
      header: 'Shows from',
      accessorFn: (r) => r.showsFrom ?? 99,
      cell: ({ row }) => <span className="font-mono">{row.original.showsFrom === null ? 'never' : fStop(row.original.showsFrom)}</span>,
    },
    {
      id: 'kind',
      header: 'What',
      accessorKey: 'kind',
      cell: ({ row: { original } }) =>
        [KINDS[original.kind], fateWords(original.fate), ...(original.where ? [whereWords(original.where)] : [])].join(', '),
    },
    {
      id: 'sure',
      header: 'Sure',
      accessorKey: 'confidence',
      cell: ({ row: { original } }) => (
        <span className="font-mono">
          {Math.floor(original.confidence * 100)} %{!original.sure && <span className="font-sans text-soft">, look again</span>}
        </span>
      ),
    },
    {
      id: 'dismiss',
      header: 'Or is it?',
      enableSorting: false,
      cell: ({ row: { original } }) => (
        <Button onClick={() => onDismiss(original)} aria-label={`Number ${original.number} is no dust`}>
          No dust
        </Button>
      ),
    },
  ];
  if (rows.length === 0) return <p className="sheet p-4 text-soft">No specks.</p>;
  return <DataTable caption="Specks" columns={columns} rows={[...rows]} rowKey={(r) => String(r.number)} />;
}

/** What was dismissed stays so in every frame of this body, until it is taken back. */
export const DismissedList = ({ dismissed, onTakeBack }: { dismissed: readonly Dismissed[]; onTakeBack: (id: string) => void }) =>
  dismissed.length === 0 ? null : (
    <ul className="sheet divide-y divide-line">
      {dismissed.map((d) => (
        <li key={d.id} className="flex flex-wrap items-center justify-between gap-2 px-4 py-1">
          <span>
            No dust at {Math.round(d.x * 100)} % from the left, {Math.round(d.y * 100)} % from the top
          </span>
          <Button onClick={() => onTakeBack(d.id)}>Take it back</Button>
        </li>
      ))}
    </ul>
  );
