import { ChevronDown } from 'lucide-react';
import { useId, useState, type ReactNode } from 'react';

type FoldProps = {
  title: string;
  aside?: string;
  /** Something in it has to be seen, whether it was opened or not. */
  mustShow?: boolean;
  children: ReactNode;
};

/** One line that opens; what it holds is drawn when it does. */
export function Fold({ title, aside, mustShow = false, children }: FoldProps) {
  const [wasOpened, setOpen] = useState(false);
  const open = wasOpened || mustShow;
  const held = useId();
  return (
    <div>
      <button
        type="button"
        aria-expanded={open}
        aria-controls={open ? held : undefined}
        onClick={() => setOpen(!open)}
        className="flex min-h-11 w-full items-center gap-2 px-4 text-left font-medium"
      >
        <ChevronDown size={18} className={open ? 'rotate-180' : ''} aria-hidden="true" /> {title}
        {aside && <span className="ml-auto text-sm font-normal text-soft">{aside}</span>}
      </button>
      {open && <div id={held}>{children}</div>}
    </div>
  );
}
