/** What a mark may be as large as (common practice). */
const RULER = [
  { mm: 0.2, as: 'a grain of dust' },
  { mm: 0.5, as: 'a grain of sand' },
  { mm: 1, as: 'a pinhead' },
  { mm: 2, as: 'a match head' },
  { mm: 4, as: 'a lentil' },
  { mm: 8, as: 'a fingertip' },
] as const;

/** How large is it? By things one knows. */
export const MarkRuler = ({ legend, sizeMm, onSize }: { legend: string; sizeMm: number | null; onSize: (mm: number) => void }) => (
  <fieldset>
    <legend className="mb-1 text-sm text-soft">{legend}</legend>
    <div className="grid grid-cols-2 gap-2 sm:flex sm:flex-wrap">
      {RULER.map(({ mm, as }) => (
        <button
          key={mm}
          type="button"
          aria-pressed={sizeMm === mm}
          className={`flex min-h-11 items-center gap-2 rounded border px-2 text-left ${sizeMm === mm ? 'border-lamp bg-well font-semibold' : 'border-soft bg-sheet hover:bg-well'}`}
          onClick={() => onSize(mm)}
        >
          <svg width="34" height="34" viewBox="-17 -17 34 34" aria-hidden="true">
            <circle r={Math.max(0.6, mm * 1.9)} className="fill-ink" />
          </svg>
          {as}, {mm} mm
        </button>
      ))}
    </div>
  </fieldset>
);
