/** A switch that is on or off, told by more than its colour. */
export function Toggle({ on, onChange, children }: { on: boolean; onChange: (on: boolean) => void; children: string }) {
  return (
    <button
      type="button"
      aria-pressed={on}
      onClick={() => onChange(!on)}
      className={`min-h-11 rounded border px-4 ${on ? 'border-lamp bg-lamp-tint font-semibold' : 'border-soft bg-sheet'}`}
    >
      {children}
    </button>
  );
}
