import type { Alarms } from '@bright-keeper/contract';
import { OUTLETS } from '@bright-keeper/contract';
import { Section } from '../../ui/parts';
import { At } from '../../ui/when';
import { FAULT_WORDS, OUTLET_WORDS } from './words';

/** What is an alarm now, whether it was told, and how it went with telling it last. */
export function NowAlarms({ alarms: { now, waiting, last } }: { alarms: Alarms }) {
  const spoken = OUTLETS.filter((outlet) => last[outlet] !== null);
  return (
    <Section title="Now">
      <div className="sheet space-y-2 p-4">
        {now.length === 0 ? (
          <p>Nothing is an alarm now.</p>
        ) : (
          <ul className="space-y-1" aria-label="Alarms now">
            {now.map(({ name, title, toldAt }) => (
              <li key={`${name} ${title}`}>
                <span className="font-semibold">{name}</span>: {title}{' '}
                <span className="text-sm text-soft">
                  {toldAt ? (
                    <>
                      told <At instant={toldAt} />
                    </>
                  ) : (
                    'not told'
                  )}
                </span>
              </li>
            ))}
          </ul>
        )}
        {spoken.map((outlet) => {
          const { at, fault } = last[outlet]!;
          return (
            <p key={outlet} className={fault ? 'text-lamp' : 'text-sm text-soft'}>
              {OUTLET_WORDS[outlet]} {fault ? FAULT_WORDS[fault] : 'took the last message'} (<At instant={at} />
              ).
            </p>
          );
        })}
        {waiting > 0 && (
          <p className="text-sm text-lamp">
            {waiting === 1 ? 'One message waits' : `${waiting} messages wait`} to be taken, and {waiting === 1 ? 'is' : 'are'} sent again.
          </p>
        )}
      </div>
    </Section>
  );
}
