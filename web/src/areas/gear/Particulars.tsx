import type { ItemPage } from '@bright-keeper/contract';
import { gear } from '@bright-keeper/core';
import { particularWords } from '@bright-keeper/words';
import { Fragment } from 'react';
import { Notice, Section } from '../../ui/parts';
import { useCurrency } from '../settings';
import { ThingLinks } from './fitLists';

/** What the inventory holds of it, and whether another thing carries its number. */
export function Particulars({ item: { kind, particulars, sameSerial } }: { item: ItemPage }) {
  const currency = useCurrency();
  const told = gear.particularsOf(kind).filter((id) => particulars[id] !== undefined);
  if (told.length === 0) return null;
  return (
    <Section title="In the inventory">
      {sameSerial.length > 0 && (
        <Notice tone="attention">
          The same serial number stands on <ThingLinks things={sameSerial} />: one of them is mistyped, or it is the same thing twice.
        </Notice>
      )}
      <dl className="sheet grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 p-4">
        {told.map((id) => (
          <Fragment key={id}>
            <dt className="text-soft">{gear.particularFacts(id).name}</dt>
            <dd className="min-w-0 break-words">{particularWords(id, particulars[id], currency)}</dd>
          </Fragment>
        ))}
      </dl>
    </Section>
  );
}
