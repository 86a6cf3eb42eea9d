import type { ReactNode } from 'react';

type Props = { filled?: boolean; hint?: string; className?: string; children: ReactNode; onClick: () => void; disabled?: boolean };

/** Big enough for a thumb in a glove and an eye without its glasses. */
export const BigButton = ({ filled = false, hint, className = '', children, ...props }: Props) => (
  <button
    type="button"
    {...props}
    className={`min-h-16 rounded px-6 text-lg ${filled ? 'bg-fill font-semibold text-on-fill' : 'border-2 border-soft bg-sheet'} disabled:opacity-50 ${className}`}
  >
    {children}
    {hint && <span className="block text-sm font-normal opacity-80">{hint}</span>}
  </button>
);
