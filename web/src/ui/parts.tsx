import type { care } from '@bright-keeper/core';
import {
  AlertTriangle,
  CircleCheck,
  CircleHelp,
  Droplets,
  Hourglass,
  type LucideIcon,
  RefreshCcw,
  Scale,
  ShieldAlert,
  Wrench,
} from 'lucide-react';
import type { ButtonHTMLAttributes, ReactNode } from 'react';
import { Link, type LinkProps } from 'react-router';
import { ApiError } from '../api/http';
import { VERDICT_WORDS } from './words';

type Look = 'filled' | 'plain' | 'quiet';
const LOOKS: Record<Look, string> = {
  filled: 'px-4 bg-fill text-on-fill font-semibold hover:opacity-90',
  plain: 'px-4 border border-soft bg-sheet hover:bg-well',
  quiet: 'text-glass underline-offset-4 hover:underline',
};
const BASE = 'inline-flex min-h-11 items-center justify-center gap-2 rounded text-base disabled:opacity-50';

export function Button({ look = 'plain', className = '', ...rest }: ButtonHTMLAttributes<HTMLButtonElement> & { look?: Look }) {
  return <button type="button" className={`${BASE} ${LOOKS[look]} ${className}`} {...rest} />;
}

export function ButtonLink({ look = 'plain', className = '', ...rest }: LinkProps & { look?: Look }) {
  return <Link className={`${BASE} ${LOOKS[look]} ${className}`} {...rest} />;
}

/** A page: what it is, what one does here, and the rest. */
export function Page({ title, sub, actions, children }: { title: ReactNode; sub?: ReactNode; actions?: ReactNode; children: ReactNode }) {
  return (
    <main className="mx-auto w-full max-w-[1200px] px-4 pt-6 pb-28 md:px-8 md:pb-12">
      <div className="mb-6 flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
        <div>
          <h1 className="text-xl font-semibold">{title}</h1>
          {sub && <p className="mt-1 text-soft">{sub}</p>}
        </div>
        {actions && <div className="flex flex-wrap gap-2">{actions}</div>}
      </div>
      {children}
    </main>
  );
}

export function Section({
  title,
  aside,
  children,
  className = '',
}: {
  title: ReactNode;
  aside?: ReactNode;
  children: ReactNode;
  className?: string;
}) {
  return (
    <section className={className}>
      <div className="mb-2 flex items-baseline justify-between gap-4">
        <h2 className="text-lg font-semibold">{title}</h2>
        {aside && <div className="text-sm text-soft">{aside}</div>}
      </div>
      {children}
    </section>
  );
}

const VERDICT_LOOKS: Record<care.Verdict | 'never', { icon: LucideIcon; tone: string }> = {
  leave: { icon: CircleCheck, tone: 'bg-glass-tint text-glass' },
  clean: { icon: Droplets, tone: 'bg-lamp-tint text-lamp' },
  wait: { icon: Hourglass, tone: 'bg-lamp-tint text-lamp' },
  replace: { icon: RefreshCcw, tone: 'bg-act-tint text-act' },
  weigh: { icon: Scale, tone: 'bg-lamp-tint text-lamp' },
  'hand-over': { icon: Wrench, tone: 'bg-act-tint text-act' },
  isolate: { icon: ShieldAlert, tone: 'bg-act-tint text-act' },
  never: { icon: CircleHelp, tone: 'border border-line text-soft' },
};

/** A verdict as icon and words; colour only helps. */
export function VerdictChip({ verdict }: { verdict: care.Verdict | null }) {
  const { icon: Icon, tone } = VERDICT_LOOKS[verdict ?? 'never'];
  return (
    <span className={`inline-flex items-center gap-1.5 rounded px-2 py-0.5 text-sm font-medium whitespace-nowrap ${tone}`}>
      <Icon size={16} aria-hidden="true" />
      {verdict ? VERDICT_WORDS[verdict] : 'Not looked at'}
    </span>
  );
}

export function Empty({ title, children, action }: { title: string; children?: ReactNode; action?: ReactNode }) {
  return (
    <div className="sheet flex flex-col items-center gap-3 px-6 py-12 text-center">
      <p className="text-lg font-semibold">{title}</p>
      {children && <p className="max-w-prose text-soft">{children}</p>}
      {action}
    </div>
  );
}

export const Loading = () => (
  <p role="status" className="px-4 py-16 text-center text-soft">
    Fetching…
  </p>
);

type FailureProps = {
  error: unknown;
  onRetry?: () => void;
  /** Where a fault lies that is told by a path of names, in words; left out where each stands beside its own field. */
  whereWords?: (path: string) => string;
};

/** Any failure of a query, with what to do about it, and which of what was sent is meant. */
export function Failure({ error, onRetry, whereWords }: FailureProps) {
  const problem = error instanceof ApiError ? error.problem : null;
  const faults = whereWords ? Object.entries(problem?.fields ?? {}) : [];
  return (
    <div role="alert" className="sheet mx-auto my-8 flex max-w-prose flex-col items-start gap-3 p-6">
      <p className="flex items-center gap-2 text-lg font-semibold text-act">
        <AlertTriangle aria-hidden="true" /> {problem?.title ?? 'Something went wrong'}
      </p>
      <p>{problem?.detail ?? (error instanceof Error ? error.message : 'Try again.')}</p>
      {faults.length > 0 && (
        <ul aria-label="What is wrong" className="max-h-80 w-full list-disc space-y-1 overflow-y-auto pl-6 text-sm">
          {faults.map(([path, message]) => (
            <li key={path}>
              <span className="font-semibold">{whereWords?.(path)}:</span> {message}
            </li>
          ))}
        </ul>
      )}
      {onRetry && <Button onClick={onRetry}>Try again</Button>}
    </div>
  );
}

export function Notice({ tone, children }: { tone: 'attention' | 'act' | 'good'; children: ReactNode }) {
  const tones = { attention: 'bg-lamp-tint', act: 'bg-act-tint', good: 'bg-glass-tint' };
  return (
    <div role={tone === 'good' ? 'status' : 'alert'} className={`rounded px-4 py-3 ${tones[tone]}`}>
      {children}
    </div>
  );
}
