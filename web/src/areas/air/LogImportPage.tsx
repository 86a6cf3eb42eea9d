import {
  DATE_ORDERS,
  LOG_FAULTS,
  type LogFault,
  type LogFormat,
  type LogImportResult,
  type LogPreview,
  type Device,
} from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { longDate } from '@bright-keeper/words';
import { useReducer, useState } from 'react';
import { useParams } from 'react-router';
import { base64Of } from '../../api/base64';
import { FileDrop } from '../../ui/FilePicker';
import { DataTable, type Columns } from '../../ui/DataTable';
import { ButtonLink, Button, Failure, Loading, Notice, Page, Section } from '../../ui/parts';
import { useZone } from '../../ui/zone';
import { leadsOn, logImportReducer, NOTHING_CHOSEN, type Done } from './logImportState';
import { useDevices, useLogImport, useLogPreview } from './queries';
import { WatchNext } from './WatchNext';

/** Enough of a file to guess by. */
const PREVIEW_BYTES = 64 * 1024;
const FAULT_WORDS: Record<LogFault, string> = {
  'no-time': 'no time that can be read',
  'no-number': 'no number where one is due',
  'out-of-range': 'outside what a hygrometer can see',
  'in-the-future': 'in the future',
  'short-row': 'too few cells',
  'open-quote': 'a quotation mark that is not closed',
  'too-long': 'far too long for a row',
  'too-wide': 'far too many cells',
};
const ORDER_WORDS: Record<LogFormat['dateOrder'], string> = {
  iso: 'year, month, day',
  dmy: 'day, month, year',
  mdy: 'month, day, year',
  'unix-s': 'seconds since 1970',
  'unix-ms': 'milliseconds since 1970',
};
const DELIMITER_WORDS: Record<string, string> = { ',': 'comma', ';': 'semicolon', '\t': 'tab', '|': 'bar' };

type SelectProps = { label: string; value: string; options: readonly (readonly [string, string])[]; onChange: (value: string) => void };
const Select = ({ label, value, options, onChange }: SelectProps) => (
  <label className="block">
    <span className="mb-1 block text-sm text-soft">{label}</span>
    <select className="input" aria-label={label} value={value} onChange={(e) => onChange(e.target.value)}>
      {options.map(([id, name]) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </select>
  </label>
);

function isZone(text: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: text });
    return true;
  } catch {
    return false;
  }
}

/** How the file is read, as guessed; each part can be corrected. */
function FormatForm({
  format,
  columns,
  onChange,
}: {
  format: LogFormat;
  columns: readonly string[];
  onChange: (format: LogFormat) => void;
}) {
  const set = (change: Partial<LogFormat>) => onChange({ ...format, ...change });
  const [zone, setZone] = useState(format.timeZone);
  const named = columns.map((c) => [c, c] as const);
  return (
    <div className="grid gap-3 sm:grid-cols-3">
      <Select label="Time stands in" value={format.date} options={named} onChange={(date) => set({ date })} />
      <Select
        label="Clock stands in"
        value={format.time ?? ''}
        options={[['', 'the same column'], ...named]}
        onChange={(time) => set({ time: time || null })}
      />
      <Select
        label="Date is written"
        value={format.dateOrder}
        options={DATE_ORDERS.map((o) => [o, ORDER_WORDS[o]] as const)}
        onChange={(v) => set({ dateOrder: v as LogFormat['dateOrder'] })}
      />
      <Select label="Temperature" value={format.temperature} options={named} onChange={(temperature) => set({ temperature })} />
      <Select
        label="in"
        value={format.temperatureUnit}
        options={[
          ['C', '°C'],
          ['F', '°F'],
        ]}
        onChange={(v) => set({ temperatureUnit: v as 'C' | 'F' })}
      />
      <Select
        label="Decimals"
        value={format.decimal}
        options={[
          ['.', 'point'],
          [',', 'comma'],
        ]}
        onChange={(v) => set({ decimal: v as '.' | ',' })}
      />
      <Select label="Humidity" value={format.humidity} options={named} onChange={(humidity) => set({ humidity })} />
      <Select
        label="as"
        value={format.humidityUnit}
        options={[
          ['pct', '%'],
          ['fraction', 'a fraction of 1'],
        ]}
        onChange={(v) => set({ humidityUnit: v as 'pct' | 'fraction' })}
      />
      <Select
        label="Cells end at a"
        value={format.delimiter}
        options={Object.entries(DELIMITER_WORDS)}
        onChange={(delimiter) => set({ delimiter })}
      />
      <label className="block sm:col-span-3">
        <span className="mb-1 block text-sm text-soft">Times are those of (where they do not say)</span>
        <input
          className="input"
          list="log-zones"
          value={zone}
          aria-invalid={!isZone(zone)}
          onChange={(e) => {
            setZone(e.target.value);
            if (isZone(e.target.value)) set({ timeZone: e.target.value });
          }}
        />
        {!isZone(zone) && <span className="text-sm text-act">This is no time zone; write it like Europe/Lisbon or UTC.</span>}
        <datalist id="log-zones">
          {Intl.supportedValuesOf('timeZone').map((z) => (
            <option key={z} value={z} />
          ))}
        </datalist>
      </label>
    </div>
  );
}

type LogRow = LogPreview['rows'][number];
const mono = (text: string | number | undefined) => <span className="font-mono">{text}</span>;

const COLUMNS: Columns<LogRow> = [
  { id: 'line', header: 'Line', enableSorting: false, cell: ({ row }) => mono(row.original.line) },
  {
    id: 'at',
    header: 'Read as (UTC)',
    enableSorting: false,
    cell: ({ row: { original: row } }) =>
      row.problem ? <span className="text-act">{FAULT_WORDS[row.problem]}</span> : mono(row.at?.slice(0, 16).replace('T', ' ')),
  },
  { id: 'temperature', header: '°C', enableSorting: false, cell: ({ row }) => mono(row.original.temperatureC?.toFixed(1)) },
  { id: 'humidity', header: '% RH', enableSorting: false, cell: ({ row }) => mono(row.original.humidityPct?.toFixed(1)) },
  {
    id: 'cells',
    header: 'In the file',
    enableSorting: false,
    cell: ({ row }) => <span className="block max-w-80 truncate text-soft">{row.original.cells.join(' | ')}</span>,
  },
];

const Rows = ({ preview }: { preview: LogPreview }) => (
  <div className="text-sm">
    <DataTable caption="First rows of the log" columns={COLUMNS} rows={preview.rows} rowKey={(row) => String(row.line)} />
  </div>
);

function Outcome({ result, checked }: { result: LogImportResult; checked: boolean }) {
  const faults = LOG_FAULTS.filter((f) => result.setAside[f] > 0);
  const zone = useZone();
  const day = (at: string | null) => (at ? longDate(schedule.localDay(at, zone)) : '–');
  return (
    <div className="space-y-3">
      <Notice tone="good">
        <p className="font-semibold">
          {checked
            ? `${result.accepted} of ${result.rows} rows are good, ${day(result.from)} to ${day(result.to)}.`
            : `${result.accepted} readings are in, ${day(result.from)} to ${day(result.to)}.`}
        </p>
        {result.duplicates > 0 && (
          <p>{result.duplicates === 1 ? 'One was there already and counts' : `${result.duplicates} were there already and count`} once.</p>
        )}
        {result.gaps.length > 0 && (
          <p>
            {result.gaps.length === 1 ? 'A silence' : `${result.gaps.length} silences`} of more than six hours{' '}
            {result.gaps.length === 1 ? 'is marked as a gap' : 'are marked as gaps'}.
          </p>
        )}
        {result.clockJumps > 0 && (
          <p>The clock went back {result.clockJumps === 1 ? 'once' : `${result.clockJumps} times`}; it is marked.</p>
        )}
      </Notice>
      {result.shiftHours !== null && (
        <Notice tone="attention">
          Against what is there already, this log is shifted by {Math.abs(result.shiftHours)}{' '}
          {Math.abs(result.shiftHours) === 1 ? 'hour' : 'hours'}: is its time zone right?
        </Notice>
      )}
      {faults.length > 0 && (
        <Section title="Set aside">
          <ul className="sheet divide-y divide-line">
            {faults.map((f) => (
              <li key={f} className="px-4 py-2">
                {result.setAside[f]} {result.setAside[f] === 1 ? 'row' : 'rows'}: {FAULT_WORDS[f]}
              </li>
            ))}
            {result.examples.map((e) => (
              <li key={e.line} className="px-4 py-1 font-mono text-sm text-soft">
                line {e.line}: {e.text}
              </li>
            ))}
          </ul>
        </Section>
      )}
    </div>
  );
}

type Run = ReturnType<typeof useLogImport>;

/** The whole file is checked before anything of it is written; then it may be imported. */
function Deeds({ run, file, preview, device }: { run: Run; file: File; preview: LogPreview; device: Device | undefined }) {
  const done: Done = run.isSuccess ? (run.variables.check ? 'checked' : 'imported') : null;
  const next = leadsOn(done);
  const go = (check: boolean) => run.mutate({ file, format: preview.format, check });
  return (
    <>
      <div className="flex flex-wrap gap-2">
        <Button look={next === 'check' ? 'filled' : 'plain'} disabled={run.isPending} onClick={() => go(true)}>
          Check the whole file
        </Button>
        <Button look={next === 'import' ? 'filled' : 'plain'} disabled={run.isPending || next !== 'import'} onClick={() => go(false)}>
          Import it
        </Button>
        {run.isPending && <span role="status">Reading…</span>}
      </div>
      {run.isError && <Failure error={run.error} />}
      {run.data && <Outcome result={run.data} checked={done === 'checked'} />}
      {done === 'imported' && device && <WatchNext device={device} file={file} format={preview.format} />}
    </>
  );
}

/** A log file: guessed, shown, checked as a whole, then imported. */
export function LogImportPage() {
  const { id = '' } = useParams();
  const devices = useDevices();
  const guess = useLogPreview();
  const run = useLogImport(id);
  const [{ file, preview, asked }, act] = useReducer(logImportReducer, NOTHING_CHOSEN);
  if (devices.isPending) return <Loading />;
  if (devices.isError) return <Failure error={devices.error} onRetry={() => void devices.refetch()} />;
  const device = devices.data.devices.find((d) => d.id === id);
  const read = async (chosen: File, format?: LogFormat) => {
    run.reset();
    const startBase64 = await base64Of(chosen.slice(0, PREVIEW_BYTES));
    guess.mutate({ startBase64, ...(format ? { format } : {}) }, { onSuccess: (answer) => act({ type: 'read', preview: answer }) });
  };
  const correct = (chosen: File, format: LogFormat) => {
    act({ type: 'corrected', format });
    void read(chosen, format);
  };
  const choose = (chosen: File) => {
    act({ type: 'chosen', file: chosen });
    void read(chosen);
  };
  return (
    <Page
      title={<>Import a log: {device?.name}</>}
      sub="A CSV file with a heading line. It is read as it streams in; nothing is written before you have seen it."
      actions={<ButtonLink to={`/hygrometers?device=${id}`}>Hygrometers</ButtonLink>}
    >
      <div className="space-y-6">
        <FileDrop name={file?.name} accept=".csv,.txt,.tsv,text/csv" onChoose={choose} />
        {guess.isError && <Failure error={guess.error} />}
        {preview && file && (
          <>
            <Section title="How it is read" aside="guessed; correct what is wrong">
              <div className="sheet space-y-4 p-4">
                <FormatForm format={asked ?? preview.format} columns={preview.columns} onChange={(format) => correct(file, format)} />
                <Rows preview={preview} />
              </div>
            </Section>
            <Deeds run={run} file={file} preview={preview} device={device} />
          </>
        )}
      </div>
    </Page>
  );
}
