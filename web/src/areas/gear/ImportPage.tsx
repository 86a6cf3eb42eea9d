import {
  IMPORT_TARGETS,
  type ImportCorrections,
  type ImportFate,
  type ImportMapping,
  type ImportPreview,
  type ImportRequest,
  type ImportTarget,
  type KindMeant,
} from '@bright-keeper/contract';
import { care, gear } from '@bright-keeper/core';
import { count } from '@bright-keeper/words';
import { DataTable, type Columns } from '../../ui/DataTable';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { base64Of } from '../../api/base64';
import { FileDrop } from '../../ui/FilePicker';
import { Button, Failure, Notice, Page, Section } from '../../ui/parts';
import { isOfSame, KindOptions, Kinds } from './ImportKinds';
import { useImport, usePreview } from './queries';

const TARGET_WORDS: Record<string, string> = {
  name: 'Name',
  kind: 'Kind',
  notes: 'Notes',
  acquiredOn: 'Day it came',
  place: 'Where it lies',
  status: 'In use, or quarantined',
  ...Object.fromEntries(gear.PARTICULAR_IDS.map((id) => [id, gear.particularFacts(id).name])),
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

type Row = ImportPreview['rows'][number];
/** Puts something else where the file has what cannot come, or where a kind was guessed. */
type Correct = (line: number, target: ImportTarget, value: string) => void;

const KindChoice = ({ value, label, onChoose }: { value: string; label: string; onChoose: (kind: string) => void }) => (
  <select className="input w-auto" aria-label={label} value={value} onChange={(e) => onChoose(e.target.value)}>
    {value === '' && <option value="">choose</option>}
    <KindOptions />
  </select>
);

/** A cell that cannot come, to be written anew where it stands: taken when one leaves it. */
function CellField({ label, start, onTake }: { label: string; start: string; onTake: (value: string) => void }) {
  const [text, setText] = useState(start);
  const take = () => text !== start && onTake(text);
  return (
    <input
      className="input w-auto"
      aria-label={label}
      value={text}
      onChange={(e) => setText(e.target.value)}
      onBlur={take}
      onKeyDown={(e) => e.key === 'Enter' && take()}
    />
  );
}

const FATE_WORDS: Record<Exclude<ImportFate, 'wrong'>, string> = {
  new: 'new',
  update: 'is on the shelf, will be changed',
  same: 'is on the shelf as it is here',
};

/** What a row becomes, what is left out of it, and every field of it that is wrong, to be corrected there. */
function Result({
  row,
  mapping,
  corrected,
  onCorrect,
}: {
  row: Row;
  mapping: ImportMapping;
  corrected: (target: ImportTarget) => string | undefined;
  onCorrect: Correct;
}) {
  const { line, input, fate } = row;
  const put = (target: ImportTarget) => (value: string) => onCorrect(line, target, value);
  return (
    <div className="min-w-60 space-y-1">
      {input && fate !== 'wrong' && (
        <p className="flex flex-wrap items-center gap-2">
          {row.isKindGuessed || corrected('kind') !== undefined ? (
            <KindChoice label={`Kind in line ${line}`} value={input.kind} onChoose={put('kind')} />
          ) : (
            <span className="text-glass">{care.kindFacts(input.kind).name}</span>
          )}
          <span className="text-soft">
            {FATE_WORDS[fate]}
            {row.place && `, in ${row.place.name}`}
            {row.isolates && ', goes into quarantine'}
          </span>
        </p>
      )}
      {row.wrong.map((target) => {
        const heading = mapping[target] ?? TARGET_WORDS[target]!;
        const label = `${heading} in line ${line}`;
        const value = corrected(target) ?? row.cells[mapping[target] ?? ''] ?? '';
        return (
          <div key={target}>
            <p>
              <span className="font-semibold">{heading}:</span> {row.errors[mapping[target] ?? target]}
            </p>
            {target === 'kind' ? (
              <KindChoice label={label} value="" onChoose={put('kind')} />
            ) : (
              <CellField label={label} start={value} onTake={put(target)} />
            )}
          </div>
        );
      })}
      {Object.entries(row.told).map(([column, words]) => (
        <p key={column} className="text-soft">
          <span className="font-semibold">{TARGET_WORDS[column] ?? column}:</span> {words}
        </p>
      ))}
    </div>
  );
}

/** More columns than this do not help to see whether the file is read as it should be. */
const MOST_COLUMNS = 6;

type RowsProps = { preview: ImportPreview; corrections: ImportCorrections; onCorrect: Correct };
function Rows({ preview, corrections, onCorrect }: RowsProps) {
  const columns: Columns<Row> = [
    { id: 'line', header: 'Line', enableSorting: false, cell: ({ row }) => <span className="font-mono">{row.original.line}</span> },
    {
      id: 'result',
      header: 'Result',
      enableSorting: false,
      cell: ({ row }) => (
        <Result
          row={row.original}
          mapping={preview.mapping}
          corrected={(target) => corrections[row.original.line]?.[target]}
          onCorrect={onCorrect}
        />
      ),
    },
    ...preview.columns.slice(0, MOST_COLUMNS).map((name, i) => ({
      id: `column-${i}`,
      header: name,
      enableSorting: false,
      cell: ({ row }: { row: { original: Row } }) => <span className="block max-w-48 truncate">{row.original.cells[name]}</span>,
    })),
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

const things = (n: number): string => count(n, 'thing', 'things');

/** What the button does: how many come, how many of those there are brought up to the list, and what stays away. */
function goWords({ good, bad, updates, same }: ImportPreview): string {
  const fresh = good - updates - same;
  const parts = [
    fresh > 0 ? `Put ${things(fresh)} on the shelf` : '',
    updates > 0 ? `${fresh > 0 ? 'change' : 'Change'} ${updates} that ${updates === 1 ? 'is' : 'are'} there` : '',
  ];
  const does = parts.filter(Boolean).join(', ');
  if (does === '') return 'Nothing to do';
  return bad > 0 ? `${does}, leave ${bad} out` : does;
}

/** What is in the list, in a line. */
function sumWords({ total, bad, updates, same }: ImportPreview): string {
  const rows = count(total, 'row', 'rows');
  const there = updates + same > 0 ? `, ${updates + same} of them on the shelf already` : '';
  return bad > 0 ? `${bad} of ${rows} cannot be imported yet${there}` : `${rows}, all good${there}`;
}

/** In which form it was read. */
const readAsWords = ({ form, encoding, delimiter }: ImportPreview): string =>
  form === 'csv'
    ? `Read as ${encoding}, cells parted by ${DELIMITER_WORDS[delimiter] ?? delimiter}.`
    : `Read as a spreadsheet (${form.toUpperCase()}): its first sheet.`;

/** A gear list from a file: choose, see how each row is read, correct what cannot come where it stands; the rest comes. */
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
    ask({ fileBase64: await base64Of(file), ...(request?.kinds ? { kinds: request.kinds } : {}) });
  };
  const data = preview.data;
  const mean = (said: KindMeant) => ask({ ...request!, kinds: [...(request!.kinds ?? []).filter((k) => !isOfSame(k, said)), said] });
  const corrections = request?.corrections ?? {};
  const correct: Correct = (line, target, value) =>
    ask({ ...request!, corrections: { ...corrections, [line]: { ...corrections[String(line)], [target]: value } } });

  return (
    <Page
      title="Import a gear list"
      sub="CSV, XLSX or ODS, with a line of headings. Nothing is put on the shelf before you have seen every row."
    >
      <div className="space-y-6">
        <FileDrop name={fileName} accept=".csv,.tsv,.xlsx,.ods,text/csv,text/plain" onChoose={(file) => void choose(file)}>
          {data && <p className="text-sm text-soft">{readAsWords(data)}</p>}
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
              <Kinds kinds={data.kinds} onMean={mean} />
              {data.areDaysAmbiguous && (
                <label className="mt-4 block max-w-xs">
                  <span className="mb-1 block text-sm font-medium">A day like 03/04/2019 is</span>
                  <select
                    className="input"
                    value={request.monthFirst ? 'month' : 'day'}
                    onChange={(e) => ask({ ...request, monthFirst: e.target.value === 'month' })}
                  >
                    <option value="day">the 3rd of April</option>
                    <option value="month">the 4th of March</option>
                  </select>
                </label>
              )}
            </Section>
            <Section title={sumWords(data)} aside={data.rows.length < data.total ? `showing ${data.rows.length}` : undefined}>
              <Rows preview={data} corrections={corrections} onCorrect={correct} />
            </Section>
            {confirm.isError && <Failure error={confirm.error} />}
            <Button
              look="filled"
              disabled={data.good === data.same || confirm.isPending || preview.isPending}
              onClick={() => confirm.mutate(request, { onSuccess: () => void navigate('/gear?sort=added') })}
            >
              {goWords(data)}
            </Button>
          </>
        )}
      </div>
    </Page>
  );
}
