import type { MergePreview, TableMerge } from '@bright-keeper/contract';
import { useState } from 'react';
import { DataTable, type Columns } from '../../ui/DataTable';
import { FileDrop } from '../../ui/FilePicker';
import { Button, Notice, Section } from '../../ui/parts';
import { At } from '../../ui/when';
import { FileFailure } from './FileFailure';
import { tableWords } from './tableWords';
import { useTakeIn, useTakeInPreview } from './queries';

const count = (id: 'fresh' | 'same' | 'changed', header: string): Columns<TableMerge>[number] => ({
  id,
  header,
  accessorFn: (row) => row[id],
  cell: ({ row }) => <span className="font-mono">{row.original[id]}</span>,
});
const COLUMNS: Columns<TableMerge> = [
  { id: 'table', header: 'What', enableSorting: false, cell: ({ row }) => tableWords(row.original.table) },
  count('fresh', 'New'),
  count('changed', 'Becomes as in the file'),
  count('same', 'The same here'),
];
const sumOf = (preview: MergePreview, key: 'fresh' | 'changed'): number => preview.tables.reduce((sum, table) => sum + table[key], 0);

/** Another household’s file: what it would bring, and then all of it or nothing. */
export function TakeIn() {
  const preview = useTakeInPreview();
  const takeIn = useTakeIn();
  const [file, setFile] = useState<File | null>(null);
  const choose = (chosen: File) => {
    setFile(chosen);
    takeIn.reset();
    preview.mutate(chosen);
  };
  const seen = preview.data;
  const changes = seen ? sumOf(seen, 'fresh') + sumOf(seen, 'changed') : 0;
  return (
    <Section title="Take in another household" aside="Nothing is taken in before you have seen what it brings.">
      <div className="space-y-4">
        <FileDrop name={file?.name} accept=".zip,application/zip" onChoose={choose}>
          {seen && (
            <p className="text-sm text-soft">
              Made <At instant={seen.madeAt} /> by version {seen.program}.
            </p>
          )}
        </FileDrop>
        {preview.isPending && <p role="status">Reading the file…</p>}
        {preview.isError && <FileFailure error={preview.error} />}
        {takeIn.isError && <FileFailure error={takeIn.error} />}
        {takeIn.data && <Notice tone="good">Taken in: {takeIn.data.rows} rows.</Notice>}
        {seen && file && !takeIn.data && (
          <>
            <DataTable caption="What the file brings" columns={COLUMNS} rows={seen.tables} rowKey={(row) => row.table} />
            <p className="max-w-prose text-sm text-soft">
              What stands under “becomes as in the file” is here as well, with something else in it; it is replaced. Everything else here
              stays, and so do your settings. Make a backup first if you are not sure.
            </p>
            <Button look="filled" disabled={changes === 0 || takeIn.isPending} onClick={() => takeIn.mutate(file)}>
              {changes === 0 ? 'There is nothing in it that is not here' : `Take in ${changes} rows`}
            </Button>
          </>
        )}
      </div>
    </Section>
  );
}
