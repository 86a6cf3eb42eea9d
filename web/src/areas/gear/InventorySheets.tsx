import { routes, type InventoryThing } from '@bright-keeper/contract';
import { FILE_ROLE_WORDS, goneGroups, inventoryFacts, isPicture, papersWords, titleWords } from '@bright-keeper/words';
import { Fragment } from 'react';
import { Empty } from '../../ui/parts';
import { Face } from './Face';

type Printed = { thing: InventoryThing; currency: string };

/** Papers by name, since a PDF is printed by itself; pictures, and receipts that are one, as they are. */
function Papers({ thing }: Pick<Printed, 'thing'>) {
  const pictures = thing.files.filter(isPicture);
  const papers = papersWords(thing.files);
  return (
    <>
      {papers !== null && <p className="mt-2 text-sm">{papers}</p>}
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

const Facts = ({ thing, currency }: Printed) => (
  <dl className="grid grid-cols-[max-content_1fr] gap-x-4 gap-y-1">
    {inventoryFacts(thing, currency).map(([name, words]) => (
      <Fragment key={name}>
        <dt className="text-soft">{name}</dt>
        <dd className="whitespace-pre-wrap">{words}</dd>
      </Fragment>
    ))}
  </dl>
);

const ThingSheet = ({ thing, currency }: Printed) => (
  <article className="sheet mb-4 break-after-page p-4 last:break-after-auto print:mb-0 print:border-0 print:p-0 print:shadow-none">
    <h2 className="mb-3 flex items-center gap-3 text-xl font-semibold">
      <Face item={thing} /> {titleWords(thing)}
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
  return (
    <div className="space-y-6">
      {goneGroups(gone).map(({ title, things }) => (
        <section key={title}>
          <h2 className="mb-2 text-lg font-semibold">{title}</h2>
          <ThingPages things={things} currency={currency} />
        </section>
      ))}
    </div>
  );
}
