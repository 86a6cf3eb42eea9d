import { type care, supplies } from '@bright-keeper/core';
import { AIR_KEYS, AIR_WORDS, airReading, CONDITION_WORDS } from './planChoices';
import { Toggle } from './Toggle';

/** A reading of the air out there; what cannot be is said beside it and kept as it was typed. */
function AirField({
  label,
  value,
  fault,
  onChange,
}: {
  label: string;
  value: string;
  fault: string | undefined;
  onChange: (text: string) => void;
}) {
  return (
    <label className="flex min-h-11 flex-wrap items-center gap-2 text-sm text-soft">
      {label}
      <input className="input w-20" inputMode="decimal" value={value} aria-invalid={!!fault} onChange={(e) => onChange(e.target.value)} />
      {fault && (
        <span role="alert" className="text-act">
          {fault}
        </span>
      )}
    </label>
  );
}

type Props = {
  params: URLSearchParams;
  place: care.Place;
  asksForAir: boolean;
  kits: readonly string[];
  /** The one whose things the plan uses; null for whatever the kits hold. */
  kit: string | null;
  set: (key: string, value: string | null) => void;
};

/** Which kit is along: one that is named and holds nothing is named as well. */
const WhichKit = ({ kits, kit: asked, set }: Pick<Props, 'kits' | 'kit' | 'set'>) => {
  const kit = kits.find((name) => supplies.sameKit(name, asked)) ?? asked;
  return (
    <label className="flex min-h-11 items-center gap-2 text-sm text-soft">
      With me
      <select className="input w-auto" value={kit ?? ''} onChange={(e) => set('kit', e.target.value)}>
        <option value="">what the kits hold</option>
        {[...new Set([...kits, ...(kit === null ? [] : [kit])])].map((name) => (
          <option key={name} value={name}>
            {kits.includes(name) ? name : `${name} (empty)`}
          </option>
        ))}
      </select>
    </label>
  );
};

/** Where the work is done, and in what weather: each switch makes the plan anew. */
export const Where = ({ params, place, asksForAir, kits, kit, set }: Props) => (
  <div className="mb-4 flex flex-wrap items-center gap-2" role="group" aria-label="Where">
    <Toggle on={place === 'home'} onChange={() => set('place', null)}>
      At home
    </Toggle>
    <Toggle on={place === 'field'} onChange={() => set('place', 'field')}>
      In the field
    </Toggle>
    {place === 'field' &&
      Object.entries(CONDITION_WORDS).map(([key, words]) => (
        <Toggle key={key} on={params.has(key)} onChange={(on) => set(key, on ? '1' : null)}>
          {words}
        </Toggle>
      ))}
    {place === 'field' && (kits.length > 0 || kit !== null) && <WhichKit kits={kits} kit={kit} set={set} />}
    {(asksForAir || AIR_KEYS.some((key) => airReading(params.get(key), key).fault)) &&
      AIR_KEYS.map((key) => (
        <AirField
          key={key}
          label={AIR_WORDS[key]}
          value={params.get(key) ?? ''}
          fault={airReading(params.get(key), key).fault}
          onChange={(text) => set(key, text || null)}
        />
      ))}
  </div>
);
