import type { ReactNode } from 'react';

type Props<Way extends string> = {
  legend: ReactNode;
  ways: readonly (readonly [Way, string])[];
  /** Null while nothing was chosen: no answer is given for its keeper. */
  chosen: Way | null;
  onChoose: (way: Way) => void;
};

/** A few ways of which one holds, as buttons. */
export function WayButtons<Way extends string>({ legend, ways, chosen, onChoose }: Props<Way>) {
  return (
    <fieldset>
      <legend className="mb-1">{legend}</legend>
      <div className="flex flex-wrap gap-2">
        {ways.map(([way, words]) => (
          <button
            key={way}
            type="button"
            aria-pressed={way === chosen}
            onClick={() => onChoose(way)}
            className={`min-h-11 rounded border px-3 ${way === chosen ? 'border-lamp bg-lamp-tint font-semibold' : 'border-soft bg-sheet'}`}
          >
            {words}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
