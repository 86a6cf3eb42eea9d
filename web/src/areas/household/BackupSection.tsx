import { routes, type BackupFile, type Backups } from '@bright-keeper/contract';
import { Download } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import { ApiError } from '../../api/http';
import { DataTable, type Columns } from '../../ui/DataTable';
import { fullInstant } from '../../ui/dates';
import { Button, Failure, Notice, Section } from '../../ui/parts';
import { useZone } from '../../ui/zone';
import { Field } from '../gear';
import { sizeWords } from '../../ui/size';
import { useMakeBackup, usePutInto } from './queries';

const Made = ({ at }: { at: string }) => <time dateTime={at}>{fullInstant(at, useZone())}</time>;

const COLUMNS: Columns<BackupFile> = [
  { id: 'madeAt', header: 'Made', enableSorting: false, cell: ({ row }) => <Made at={row.original.madeAt} /> },
  {
    id: 'bytes',
    header: 'Size',
    enableSorting: false,
    cell: ({ row }) => <span className="font-mono">{sizeWords(row.original.bytes)}</span>,
  },
  {
    id: 'file',
    header: 'File',
    enableSorting: false,
    cell: ({ row: { original } }) => (
      <a className="link inline-flex min-h-11 items-center gap-2" href={routes.backup(original.name)} download>
        <Download size={16} aria-hidden="true" /> {original.name}
      </a>
    ),
  },
];

function Folder({ folder }: { folder: string }) {
  const put = usePutInto();
  const [typed, setTyped] = useState(folder);
  const error = put.error instanceof ApiError ? put.error.problem.fields?.folder : undefined;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    put.mutate({ folder: typed });
  };
  return (
    <form onSubmit={submit} noValidate className="flex flex-wrap items-start gap-3">
      <div className="min-w-64 flex-1">
        <Field label="Backups are put into" id="folder" error={error} hint="A folder on another disk survives the loss of this one.">
          <input id="folder" className="input font-mono" value={typed} aria-invalid={!!error} onChange={(e) => setTyped(e.target.value)} />
        </Field>
      </div>
      <Button type="submit" className="sm:mt-7" disabled={typed.trim() === folder || put.isPending}>
        Put them there
      </Button>
      {put.error && !error && <Failure error={put.error} />}
    </form>
  );
}

/** Backups: the last ones, one more by a tap, and where they go. */
export function BackupSection({ backups }: { backups: Backups }) {
  const make = useMakeBackup();
  const { files, folder, trouble } = backups;
  return (
    <Section title="Backups" aside="Made each day by itself: seven days, five weeks and twelve months are kept.">
      <div className="sheet space-y-4 p-4">
        {trouble && !make.isPending && <Notice tone="act">The last try failed: {trouble}.</Notice>}
        <div className="flex flex-wrap items-center gap-4">
          <Button look="filled" disabled={make.isPending} onClick={() => make.mutate()}>
            Make a backup now
          </Button>
          {make.isPending && <span role="status">Writing it, and reading it back…</span>}
          {make.isSuccess && (
            <span role="status" className="text-glass">
              Made, read back and found whole: {sizeWords(make.data.bytes)}.
            </span>
          )}
        </div>
        {make.isError && <Failure error={make.error} />}
        {files.length === 0 ? (
          <p>There is none yet.</p>
        ) : (
          <DataTable caption="The backups there are" columns={COLUMNS} rows={files} rowKey={(file) => file.name} stacks />
        )}
        <Folder key={folder} folder={folder} />
        <p className="max-w-prose text-sm text-soft">
          A backup comes back into an empty household: its first page takes the file, and so does <code>npm run restore</code>.
        </p>
      </div>
    </Section>
  );
}
