import type { ItemPage } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { ButtonLink, Section } from '../../ui/parts';

/** Ways out of the ladder: a stuck filter, and what lies behind a ring. */
export function MechanicalCare({ item }: { item: ItemPage }) {
  const hasFilter = item.kind === 'lens' && item.traits.filterFitted;
  const opens = care.mayAskToOpen(item.kind);
  if (!hasFilter && !opens) return null;
  return (
    <Section title="With tools">
      <div className="flex flex-wrap gap-2">
        {hasFilter && <ButtonLink to={`/gear/${item.id}/stuck-filter`}>The filter is stuck</ButtonLink>}
        {opens &&
          (item.openTeardownId ? (
            <ButtonLink to={`/teardown/${item.openTeardownId}`}>Go on with the opened one</ButtonLink>
          ) : (
            <ButtonLink to={`/gear/${item.id}/opening`}>Open it, or not?</ButtonLink>
          ))}
      </div>
    </Section>
  );
}
