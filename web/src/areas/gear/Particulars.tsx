import type { ItemPage, NamedThing, ThingFit } from '@bright-keeper/contract';
import { gear } from '@bright-keeper/core';
import { Fragment } from 'react';
import { Link } from 'react-router';
import { Notice, Section } from '../../ui/parts';
import { useCurrency } from '../settings';
import { particularWords } from './particularWords';

export const ThingLink = ({ thing }: { thing: NamedThing }) => (
  <Link className="font-medium hover:underline" to={`/gear/${thing.id}`}>
    {thing.name}
  </Link>
);

/** "through the ring and the adapter"; nothing where nothing is between. */
export const Through = ({ things, word }: { things: readonly NamedThing[]; word: 'through' | 'with' }) =>
  things.map((thing, i) => (
    <Fragment key={thing.id}>
      {i === 0 ? ` ${word} ` : ' and '}
      <ThingLink thing={thing} />
    </Fragment>
  ));

/** What the inventory holds of it, and whether another thing carries its number. */
export function Particulars({ item: { kind, particulars, sameSerial } }: { item: ItemPage }) {
  const currency = useCurrency();
  const told = gear.particularsOf(kind).filter((id) => particulars[id] !== undefined);
  if (told.length === 0) return null;
  return (
    <Section title="In the inventory">
      {sameSerial.length > 0 && (
        <Notice tone="attention">
          The same serial number stands on{' '}
          {sameSerial.map((thing, i) => (
            <Fragment key={thing.id}>
              {i > 0 && ' and '}
              <ThingLink thing={thing} />
            </Fragment>
          ))}
          : one of them is mistyped, or it is the same thing twice.
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

export const FIT_WORDS: Record<gear.FilterFit, string> = {
  direct: 'screws in as it is',
  'by-rings': '',
  'ring-missing': 'wants a step ring you do not have',
  'too-small': 'smaller than the thread: it would shade the corners',
};

const isOfUse = ({ fit }: ThingFit['threads'][number]): boolean => fit !== 'too-small';

/** What it goes on or what goes on it, and what is screwed before it. */
export function Fits({ item: { fit } }: { item: ItemPage }) {
  const threads = fit.threads.filter(isOfUse);
  if (fit.mounts.length === 0 && threads.length === 0) return null;
  return (
    <Section title="What it fits" aside={<Link to="/gear/fit">What fits what</Link>}>
      <ul className="sheet divide-y divide-line">
        {fit.mounts.map((joint) => (
          <li key={joint.with.id} className="px-4 py-2">
            <ThingLink thing={joint.with} />
            <Through things={joint.through} word="through" />
          </li>
        ))}
        {threads.map((pair) => (
          <li key={pair.with.id} className="px-4 py-2">
            <ThingLink thing={pair.with} />
            <Through things={pair.rings} word="with" />{' '}
            {pair.rings.length === 0 && <span className="text-soft">{FIT_WORDS[pair.fit]}</span>}
          </li>
        ))}
      </ul>
    </Section>
  );
}
