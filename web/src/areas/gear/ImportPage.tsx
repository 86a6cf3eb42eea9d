import { IMPORT_TARGETS, type ImportMapping, type ImportPreview, type ImportRequest } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { DataTable, type Columns } from '../../ui/DataTable';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { base64Of } from '../../api/base64';
import { FileDrop } from '../../ui/FilePicker';
import { Button, Failure, Notice, Page, Section } from '../../ui/parts';
import { useImport, usePreview } from './queries';

const TARGET_WORDS: Record<string, string> = {
  name: 'Name',
  kind: 'Kind',
  notes: 'Notes',
  acquiredOn: 'Day it came',
  ...Object.fromEntries(care.TRAIT_IDS.map((t) => [`trait:${t}`, care.TRAITS[t].name])),
};
const DELIMITER_WORDS: Record<string, string> = { ',': 'commas', ';': 'semicolons', '\t': 'tabs', '|': 'bars' };

function MappingFields({ preview, onChange }: { preview: ImportPreview; onChange: (mapping: ImportMapping) => void }) {
  const targetOf = (column: string) => IMPORT_TARGETS.find((t) => preview.mapping[t] === column) ?? '';
  const set = (column: string, target: string) => {
    const rest = Object.entries(preview.mapping).filter(([t, c]) => c !== column && t !== target);
    onChange(Object.fromEntries(target ? [...rest, [target, column]] : rest));
  };
  return (
    <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
      {preview.columns.map((column) => (
        <label key={column} className="block">
          <span className="mb-1 block truncate text-sm font-medium" title={column}>
            {column}
          </span>
          <select className="input" aria-label={column} value={targetOf(column)} onChange={(e) => set(column, e.target.value)}>
            <option value="">Leave out</option>
            {IMPORT_TARGETS.map((t) => (
              <option key={t} value={t}>
                {TARGET_WORDS[t]}
              </option>
            ))}
          </select>
        </label>
      ))}
    </div>
  );
}

/** What a row becomes, or every field of it that is wrong. */
const Result = ({ row }: { row: ImportPreview['rows'][number] }) =>
  row.input ? (
    <span className="text-glass">{care.kindFacts(row.input.kind).name}</span>
  ) : (
    Object.entries(row.errors).map(([field, message]) => (
      <p key={field}>
        <span className="font-semibold">{field}:</span> {message}
      </p>
    ))
  );

/** More columns than this do not help to see whether the file is read as it should be. */
const MOST_COLUMNS = 6;

function Rows({ preview }: { preview: ImportPreview }) {
  const columns: Columns<ImportPreview['rows'][number]> = [
    { id: 'line', header: 'Line', enableSorting: false, cell: ({ row }) => <span className="font-mono">{row.original.line}</span> },
    ...preview.columns.slice(0, MOST_COLUMNS).map((name, i) => ({
      id: `column-${i}`,
      header: name,
      enableSorting: false,
      cell: ({ row }: { row: { original: ImportPreview['rows'][number] } }) => (
        <span className="block max-w-48 truncate">{row.original.cells[name]}</span>
      ),
    })),
    { id: 'result', header: 'Result', enableSorting: false, cell: ({ row }) => <Result row={row.original} /> },
  ];
  return (
    <div className="text-sm">
      <DataTable
        caption="Rows of the file"
        columns={columns}
        rows={preview.rows}
        rowKey={(row) => String(row.line)}
        rowClass={(row) => (row.input ? '' : 'bg-act-tint')}
      />
    </div>
  );
}

/** A gear list from CSV: choose, map, see every bad row with its reason, then all of it or nothing. */
export function ImportPage() {
  const navigate = useNavigate();
  const preview = usePreview();
  const confirm = useImport();
  const [fileName, setFileName] = useState<string>();
  const [request, setRequest] = useState<ImportRequest | null>(null);
  const ask = (next: ImportRequest) => {
    setRequest(next);
    confirm.reset();
    preview.mutate(next);
  };
  const choose = async (file: File) => {
    setFileName(file.name);
    ask({ fileBase64: await base64Of(file), ...(request?.defaultKind ? { defaultKind: request.defaultKind } : {}) });
  };
  const data = preview.data;
  const withKind = (value: string): ImportRequest => {
    const { fileBase64, mapping } = request!;
    return { fileBase64, ...(mapping ? { mapping } : {}), ...(value ? { defaultKind: value as care.ItemKind } : {}) };
  };

  return (
    <Page title="Import a gear list" sub="A CSV file with a heading line. Nothing is put on the shelf before you have seen every row.">
      <div className="space-y-6">
        <FileDrop name={fileName} accept=".csv,text/csv,text/plain" onChoose={(file) => void choose(file)}>
          {data && (
            <p className="text-sm text-soft">
              Read as {data.encoding}, cells parted by {DELIMITER_WORDS[data.delimiter] ?? data.delimiter}.
            </p>
          )}
        </FileDrop>
        {preview.isError && <Failure error={preview.error} />}
        {data && request && (
          <>
            {data.notices.map((n) => (
              <Notice key={n} tone="attention">
                {n}
              </Notice>
            ))}
            <Section title="What the columns mean" aside="Guessed from the headings; change what is wrong.">
              <MappingFields preview={data} onChange={(mapping) => ask({ ...request, mapping })} />
              <label className="mt-4 block max-w-xs">
                <span className="mb-1 block text-sm font-medium">Where no kind is given</span>
                <select className="input" value={request.defaultKind ?? ''} onChange={(e) => ask(withKind(e.target.value))}>
                  <option value="">Refuse the row</option>
                  {care.ITEM_KINDS.map((k) => (
                    <option key={k} value={k}>
                      Take it as a {care.kindFacts(k).name}
                    </option>
                  ))}
                </select>
              </label>
            </Section>
            <Section
              title={data.bad > 0 ? `${data.bad} of ${data.total} rows cannot be imported` : `${data.total} rows, all good`}
              aside={data.rows.length < data.total ? `showing ${data.rows.length}` : undefined}
            >
              <Rows preview={data} />
            </Section>
            {confirm.isError && <Failure error={confirm.error} />}
            <Button
              look="filled"
              disabled={data.bad > 0 || data.total === 0 || confirm.isPending || preview.isPending}
              onClick={() => confirm.mutate(request, { onSuccess: () => void navigate('/gear?sort=added') })}
            >
              {data.bad > 0
                ? 'Correct the rows above first'
                : `Put ${data.total === 1 ? 'this thing' : `${data.total} things`} on the shelf`}
            </Button>
          </>
        )}
      </div>
    </Page>
  );
}
