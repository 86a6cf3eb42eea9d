import { routes, type InventoryThing } from '@bright-keeper/contract';
import { care, gear } from '@bright-keeper/core';
import { capital } from '@bright-keeper/words';
import type { ReactNode } from 'react';
import { longDate } from '../../ui/dates';
import { Empty } from '../../ui/parts';
import { Face } from './Face';
import { FILE_ROLE_WORDS, GONE_SUM_WORDS, GONE_WORDS } from './fileWords';
import { particularWords } from './particularWords';

type Printed = { thing: InventoryThing; currency: string };

const Fact = ({ name, children }: { name: string; children: ReactNode }) => (
  <>
    <dt className="text-soft">{name}</dt>
    <dd>{children}</dd>
  </>
);

/** Papers by name, since a PDF is printed by itself; pictures, and receipts that are one, as they are. */
function Papers({ thing }: Pick<Printed, 'thing'>) {
  const pictures = thing.files.filter(({ type }) => type.startsWith('image/'));
  const papers = thing.files.filter(({ type }) => !type.startsWith('image/'));
  return (
    <>
      {papers.length > 0 && (
        <p className="mt-2 text-sm">
          Papers kept with it: {papers.map(({ role, name }) => `${FILE_ROLE_WORDS[role].toLowerCase()} “${name}”`).join(', ')}.
        </p>
      )}
      {pictures.length > 0 && (
        <ul aria-label={`Pictures of ${thing.name}`} className="mt-3 flex flex-wrap gap-3">
          {pictures.map(({ id, role, name, blob }) => (
            <li key={id} className="break-inside-avoid">
              <img
                src={routes.smallPicture(blob)}
                alt={`${FILE_ROLE_WORDS[role]}: ${name}`}
                className="in-light max-h-56 rounded border border-line"
              />
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

/** All that is written down of a thing. */
function Facts({ thing, currency }: Printed) {
  const { particulars, traits, kind, acquiredOn, place, gone, notes } = thing;
  return (
    <dl className="grid grid-cols-[max-content_1fr] gap-x-4 gap-y-1">
      <Fact name="Kind">{capital(care.kindFacts(kind).name)}</Fact>
      {gear.particularsOf(kind).flatMap((id) =>
        particulars[id] === undefined
          ? []
          : [
              <Fact key={id} name={gear.particularFacts(id).name}>
                {particularWords(id, particulars[id], currency)}
              </Fact>,
            ],
      )}
      {traits.yearMade != null && <Fact name="Made">{traits.yearMade}</Fact>}
      {acquiredOn && <Fact name="Came">{longDate(acquiredOn)}</Fact>}
      {place && <Fact name="Lies in">{place.name}</Fact>}
      {gone && <Fact name={capital(GONE_WORDS[gone.why])}>{longDate(gone.on)}</Fact>}
      {gone?.for != null && <Fact name={GONE_SUM_WORDS[gone.why]}>{particularWords('paid', gone.for, currency)}</Fact>}
      {notes && (
        <Fact name="Notes">
          <span className="whitespace-pre-wrap">{notes}</span>
        </Fact>
      )}
    </dl>
  );
}

const ThingSheet = ({ thing, currency }: Printed) => (
  <article className="sheet mb-4 break-after-page p-4 last:break-after-auto print:mb-0 print:border-0 print:p-0 print:shadow-none">
    <h2 className="mb-3 flex items-center gap-3 text-xl font-semibold">
      <Face item={thing} /> {thing.name}
      {gear.countOf(thing.particulars) > 1 && ` × ${gear.countOf(thing.particulars)}`}
    </h2>
    <Facts thing={thing} currency={currency} />
    <Papers thing={thing} />
  </article>
);

/** A page of paper for each thing. */
export const ThingPages = ({ things, currency }: { things: readonly InventoryThing[]; currency: string }) =>
  things.map((thing) => <ThingSheet key={thing.id} thing={thing} currency={currency} />);

/** What is gone for good, what an insurer asks about first. */
export function GoneThings({ gone, currency }: { gone: readonly InventoryThing[]; currency: string }) {
  if (gone.length === 0)
    return (
      <Empty title="Nothing is gone">What is sold, given away, lost, stolen or broken is printed here, with its number and papers.</Empty>
    );
  const claimed = gone.filter((thing) => thing.gone && gear.isForTheInsurer(thing.gone.why));
  const others = gone.filter((thing) => !claimed.includes(thing));
  const group = (title: string, things: readonly InventoryThing[]) =>
    things.length > 0 && (
      <section>
        <h2 className="mb-2 text-lg font-semibold">{title}</h2>
        <ThingPages things={things} currency={currency} />
      </section>
    );
  return (
    <div className="space-y-6">
      {group('Lost, stolen or broken', claimed)}
      {group('Sold or given away', others)}
    </div>
  );
}
