import { ArrowUpFromLine, CloudCheck, CloudOff, TriangleAlert, type LucideIcon } from 'lucide-react';
import { NavLink } from 'react-router';
import { useAwaySince, useKept, useWaiting } from '../../api/useKept';
import { useMoment } from '../../ui/when';
import { markOf, markWords, type Mark } from './mark';

const LOOKS: Record<Mark['state'], { icon: LucideIcon; tone: string }> = {
  'up-to-date': { icon: CloudCheck, tone: 'text-soft' },
  waits: { icon: ArrowUpFromLine, tone: 'text-lamp' },
  away: { icon: CloudOff, tone: 'text-lamp' },
  'needs-you': { icon: TriangleAlert, tone: 'text-act' },
};

function useMark() {
  const [waiting, awaySince, at] = [useWaiting(), useAwaySince(), useMoment()];
  const mark = markOf(waiting, awaySince);
  return { ...LOOKS[mark.state], mark, words: markWords(mark, at) };
}

/** On every page: whether the household has all of it. Only where this browser keeps things. */
export function KeptMark() {
  const kept = useKept();
  const { icon: Icon, tone, mark, words } = useMark();
  if (!kept) return null;
  return (
    <NavLink
      to="/kept"
      aria-label={words}
      title={words}
      className={`flex min-h-11 min-w-11 items-center justify-center gap-1.5 text-sm ${tone}`}
    >
      <Icon size={20} aria-hidden="true" />
      {mark.waiting > 0 && <span aria-hidden="true">{mark.waiting}</span>}
    </NavLink>
  );
}

/** Under the rail while the household is out of reach, or something needs a person: in words, and where it leads. */
export function KeptBar() {
  const { icon: Icon, tone, mark, words } = useMark();
  if (mark.state === 'up-to-date' || mark.state === 'waits') return null;
  return (
    <div role="status" className={`print:hidden ${mark.state === 'needs-you' ? 'bg-act-tint' : 'bg-lamp-tint'}`}>
      <p className="mx-auto flex max-w-[1200px] items-start gap-3 px-4 py-2 md:px-8">
        <Icon className={`mt-0.5 shrink-0 ${tone}`} size={20} aria-hidden="true" />
        <span>
          <strong>{words}.</strong>{' '}
          {mark.state === 'away' && (
            <span className="max-sm:hidden">What you see is as it was when it last answered; what you do is kept and carried over. </span>
          )}
          <NavLink to="/kept" className="underline underline-offset-4">
            {mark.state === 'needs-you' ? 'See to it' : 'Kept here'}
          </NavLink>
        </span>
      </p>
    </div>
  );
}
