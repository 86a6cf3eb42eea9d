import { sources } from '@bright-keeper/core';
import { Fold } from '../../ui/Fold';
import { Field } from '../gear';

type Props = { options: sources.PushOptions; errors: Record<string, string>; onChange: (options: sources.PushOptions) => void };

const POINTERS = [
  ['temperature', 'Where its temperature lies'],
  ['humidity', 'Where its humidity lies'],
  ['time', 'Where its time lies'],
] as const;
const UNIT_WORDS: Record<sources.TemperatureUnit, string> = { C: '°C', F: '°F', K: 'K' };

/** How a device writes, where its fields are called otherwise than usual. */
export function WrittenHow({ options, errors, onChange }: Props) {
  const set = (key: keyof sources.PushOptions, value: string) => {
    const rest = Object.fromEntries(Object.entries(options).filter(([other]) => other !== key));
    onChange(value === '' ? rest : { ...rest, [key]: value });
  };
  return (
    <Fold title="Its fields are called otherwise" mustShow={Object.keys(options).length > 0 || Object.keys(errors).length > 0}>
      <div className="grid gap-4 p-4 sm:grid-cols-2">
        {POINTERS.map(([key, label]) => (
          <Field
            key={key}
            label={label}
            id={`intake-${key}`}
            error={errors[key]}
            hint="As in /sensor/temperature; empty where it is seen by its name."
          >
            <input
              id={`intake-${key}`}
              className="input font-mono"
              aria-invalid={!!errors[key]}
              value={options[key] ?? ''}
              onChange={(e) => set(key, e.target.value)}
            />
          </Field>
        ))}
        <Field label="Its temperatures are in" id="intake-unit" error={errors.unit}>
          <select id="intake-unit" className="input" value={options.unit ?? ''} onChange={(e) => set('unit', e.target.value)}>
            <option value="">as its fields say, else °C</option>
            {sources.TEMPERATURE_UNITS.map((unit) => (
              <option key={unit} value={unit}>
                {UNIT_WORDS[unit]}
              </option>
            ))}
          </select>
        </Field>
      </div>
    </Fold>
  );
}
