import type { care } from '@bright-keeper/core';
import { becauseWords } from '@bright-keeper/words';
import { Link } from 'react-router';
import { ButtonLink, Section } from '../../ui/parts';
import { surfaceTitle } from '../../ui/words';

/** What lies behind a ring: one tap from its go or no-go, with the soil and the ring already chosen there. */
export const Openings = ({ itemId, openings }: { itemId: string; openings: care.CleaningPlan['openings'] }) =>
  openings.length === 0 ? null : (
    <Section title="Behind a ring">
      <ul className="sheet divide-y divide-line">
        {openings.map((o) => (
          <li key={`${o.surface}-${o.soil}`} className="space-y-2 px-4 py-3">
            <p>
              <span className="font-medium">{surfaceTitle(o.surface)}</span>
              <span className="block text-sm text-soft">{becauseWords(o)}</span>
            </p>
            {o.filterFirst && <p className="text-sm">A filter is stuck on: it comes off first.</p>}
            <ButtonLink look="filled" to={`/gear/${itemId}/opening?soil=${o.soil}`}>
              Open it, or not?
            </ButtonLink>
          </li>
        ))}
      </ul>
    </Section>
  );

/** What usually comes with this dirt and is worth a look of its own. */
export const AlsoLook = ({ itemId, entries }: { itemId: string; entries: care.CleaningPlan['alsoLook'] }) =>
  entries.length === 0 ? null : (
    <Section title="Look at this too">
      <ul className="sheet divide-y divide-line">
        {entries.map((e) => (
          <li key={e.surface} className="px-4 py-2">
            <Link className="font-medium hover:underline" to={`/gear/${itemId}?surface=${e.surface}`}>
              {surfaceTitle(e.surface)}
            </Link>
            <span className="block text-sm text-soft">{becauseWords(e)}</span>
          </li>
        ))}
      </ul>
    </Section>
  );
