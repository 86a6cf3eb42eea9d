import { dutyWords } from '@bright-keeper/words';
import { Link } from 'react-router';
import { Button } from '../../ui/parts';
import { leftOf, setRun, type Run } from './benchRun';
import { useAgenda } from './queries';
import { useDeeds } from './useDeeds';

/** How far a bench day is, and what comes next. */
export function Running({ run }: { run: Run }) {
  const agenda = useAgenda();
  const deeds = useDeeds();
  if (!agenda.data) return null;
  const left = leftOf(run, agenda.data.duties);
  const [next] = left;
  const done = run.ids.length - left.length;
  return (
    <aside aria-label="Bench day" className="border-b border-line bg-lamp-tint print:hidden">
      <div className="mx-auto flex max-w-[1200px] flex-wrap items-center gap-x-4 gap-y-1 px-4 py-1 md:px-8">
        <Link to={`/calendar/bench/${run.day}`} className="font-semibold hover:underline">
          Bench day: {done} of {run.ids.length} done
        </Link>
        {next ? (
          <>
            <span className="min-w-0 flex-1 basis-40 truncate text-sm">
              Next: {next.subject.name}, {dutyWords(next).title.toLowerCase()}
            </span>
            <Button look="filled" disabled={deeds.busy} onClick={() => deeds.act(next)}>
              {dutyWords(next).action}
            </Button>
          </>
        ) : (
          <span className="flex-1">All of it is done. Bench tidy, caps on, hands off.</span>
        )}
        <Button look="quiet" onClick={() => setRun(null)}>
          {next ? 'Stop here' : 'Close'}
        </Button>
      </div>
    </aside>
  );
}
