import { toNumber } from './toNumber';

/** A field as it stands: its text, what it counts as, and what is wrong with it. */
export type Entry = { text: string; value: number | null; fault: string | null };
export type NumberFacts = { label: string; min: number; max: number; usual: number };

/** What was typed, else what was measured, else what is usual; a point or a comma. */
export function entryOf(typed: string | null, measured: number | undefined, { min, max, usual }: NumberFacts): Entry {
  const text = typed ?? String(measured ?? usual);
  const value = toNumber(text);
  return typeof value === 'number' && value >= min && value <= max
    ? { text, value, fault: null }
    : { text, value: null, fault: `A number from ${min} to ${max}.` };
}

/** A number to type, with what is wrong with it below. */
export const NumberEntry = ({ label, entry, onChange }: { label: string; entry: Entry; onChange: (text: string) => void }) => (
  <label className="block">
    <span className="mb-1 block">{label}</span>
    <input
      className="input"
      inputMode="decimal"
      value={entry.text}
      aria-invalid={entry.fault !== null}
      onChange={(e) => onChange(e.target.value)}
    />
    {entry.fault && <span className="text-sm text-act">{entry.fault}</span>}
  </label>
);
