import type { care } from '@bright-keeper/core';
import { inHandWords } from '@bright-keeper/words';
import { Section } from '../../ui/parts';
import { useRungs } from './queries';

/** Schools compared in one's own hands, or one of them; nothing where no two ways were tried on the same. */
export function InHand({ of = null }: { of?: care.SchoolId | null }) {
  const rungs = useRungs();
  const schools = (rungs.data?.schools ?? []).filter(({ school }) => of === null || school === of);
  if (schools.length === 0) return null;
  return (
    <Section title="In your hands">
      <ul className="sheet divide-y divide-line">
        {schools.map((one) => {
          const { title, numbers, tells } = inHandWords(one);
          return (
            <li key={one.school} className="px-4 py-2">
              <p className="font-medium">{title}</p>
              <p>
                {numbers} {tells}
              </p>
            </li>
          );
        })}
      </ul>
    </Section>
  );
}
