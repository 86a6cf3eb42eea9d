import type { ReactNode } from 'react';

type Ways<Way extends string> = { legend: ReactNode; ways: readonly (readonly [Way, string])[] };

function Buttons<Way extends string>({
  legend,
  ways,
  isOn,
  onTap,
}: Ways<Way> & { isOn: (way: Way) => boolean; onTap: (way: Way) => void }) {
  return (
    <fieldset>
      <legend className="mb-1">{legend}</legend>
      <div className="flex flex-wrap gap-2">
        {ways.map(([way, words]) => (
          <button
            key={way}
            type="button"
            aria-pressed={isOn(way)}
            onClick={() => onTap(way)}
            className={`min-h-11 rounded border px-3 ${isOn(way) ? 'border-lamp bg-lamp-tint font-semibold' : 'border-soft bg-sheet'}`}
          >
            {words}
          </button>
        ))}
      </div>
    </fieldset>
  );
}

type One<Way extends string> = Ways<Way> & {
  /** Null while nothing was chosen: no answer is given for its keeper. */
  chosen: Way | null;
  onChoose: (way: Way) => void;
};
/** A few ways of which one holds, as buttons. */
export const WayButtons = <Way extends string>({ chosen, onChoose, ...ways }: One<Way>) => (
  <Buttons {...ways} isOn={(way) => way === chosen} onTap={onChoose} />
);

type Several<Way extends string> = Ways<Way> & { on: readonly Way[]; onToggle: (way: Way) => void };
/** A few ways of which several may hold. */
export const ToggleButtons = <Way extends string>({ on, onToggle, ...ways }: Several<Way>) => (
  <Buttons {...ways} isOn={(way) => on.includes(way)} onTap={onToggle} />
);
