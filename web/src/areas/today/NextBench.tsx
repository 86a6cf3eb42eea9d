import type { Today } from '@bright-keeper/contract';
import { dutyWords, longDate } from '@bright-keeper/words';
import { ButtonLink, Section } from '../../ui/parts';
import { Day } from '../../ui/when';
import { SubjectLink } from '../schedule';

const MOST_NAMES = 4;

/** "Corvane 35/2, Skerrow M2 and 3 more". */
function namesInShort(names: readonly string[]): string {
  const first = names.slice(0, MOST_NAMES).join(', ');
  return names.length > MOST_NAMES ? `${first} and ${names.length - MOST_NAMES} more` : first;
}

/** The next bench day as one button. */
export function NextBench({ next }: { next: NonNullable<Today['nextBench']> }) {
  return (
    <Section title="Next at the bench" aside={<Day day={next.day} />}>
      <div className="sheet p-4">
        <p className="font-semibold">{longDate(next.day)}</p>
        <p className="mb-3 text-sm text-soft">
          {next.tasks} {next.tasks === 1 ? 'task' : 'tasks'}, {next.minutes} min: {namesInShort(next.things)}.
        </p>
        <ButtonLink look="filled" to={`/calendar/bench/${next.day}`}>
          Open this bench day
        </ButtonLink>
      </div>
    </Section>
  );
}

/** What would be late after a week away, and is not yet. */
export const BeforeLeaving = ({ duties }: { duties: Today['beforeLeaving'] }) => (
  <Section title="Leaving for a week?">
    <div className="sheet p-4">
      <p className="mb-1 text-sm text-soft">
        {duties.length === 1 ? 'Do this first: it cannot wait that long.' : 'Do these first: they cannot wait that long.'}
      </p>
      <ul className="space-y-1">
        {duties.map((duty) => (
          <li key={duty.id}>
            <SubjectLink subject={duty.subject} />{' '}
            <span className="text-sm text-soft">
              · {dutyWords(duty).title}, at the latest <Day day={duty.window.latest} />
            </span>
          </li>
        ))}
      </ul>
    </div>
  </Section>
);
