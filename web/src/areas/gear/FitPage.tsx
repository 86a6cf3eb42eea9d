import type { FitPage as FitPageData } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { capSizesWords } from '@bright-keeper/words';
import { ButtonLink, Empty, Failure, Loading, Page, Section } from '../../ui/parts';
import { filtersAlike, FitLines, jointLines, pairLines, ThingLinks } from './fitLists';
import { useFit } from './queries';

const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

/** Lenses on bodies, eyepieces in telescopes. */
function Mounts({ mounts, nowhere }: Pick<FitPageData, 'mounts' | 'nowhere'>) {
  if (mounts.length === 0 && nowhere.length === 0) return null;
  const stray = {
    key: 'nowhere',
    label: <ThingLinks things={nowhere} />,
    things: <span className="text-soft">on nothing on this shelf</span>,
  };
  return (
    <Section title="What goes on what">
      <FitLines lines={[...jointLines(mounts), ...(nowhere.length > 0 ? [stray] : [])]} />
      <p className="mt-2 text-sm text-soft">
        By the mounts that were said. Whether a lens is sharp at a distance through an adapter is another matter: one without glass can be
        too thick for it.
      </p>
    </Section>
  );
}

const RingsToAdd = ({ ringsToAdd, areRingsFewest, pairs }: Pick<FitPageData, 'ringsToAdd' | 'areRingsFewest' | 'pairs'>) => {
  const wanting = pairs.filter((p) => p.fit === 'ring-missing').length;
  if (ringsToAdd.length === 0) return <p className="mb-3">Every filter comes before every lens it is large enough for.</p>;
  return (
    <p className="mb-3">
      <strong>
        {count(ringsToAdd.length, 'step ring', 'step rings')} more: {ringsToAdd.map(([from, to]) => `${from} to ${to} mm`).join(', ')}.
      </strong>{' '}
      {count(wanting, 'pair', 'pairs')} of a filter and a lens {wanting === 1 ? 'wants' : 'want'} {ringsToAdd.length === 1 ? 'it' : 'them'}
      {areRingsFewest ? '; fewer will not do' : ''}. Rings may be screwed into each other; on a wide lens a pile of them shades the corners.
    </p>
  );
};

/** Filters before lenses: of each filter how it comes before which. */
function Threads(fit: Pick<FitPageData, 'pairs' | 'ringsToAdd' | 'areRingsFewest'>) {
  if (fit.pairs.length === 0) return null;
  return (
    <Section title="Filters before lenses">
      <RingsToAdd {...fit} />
      <div className="space-y-3">
        {filtersAlike(fit.pairs).map((alike) => (
          <div key={alike[0]![0]!.filter.id}>
            <h3 className="mb-1">
              <ThingLinks things={alike.map((pairs) => pairs[0]!.filter)} />
            </h3>
            <FitLines lines={pairLines(alike[0]!, 'before')} />
          </div>
        ))}
      </div>
    </Section>
  );
}

/** How large a cap has to be. */
const sizeWords = (size: FitPageData['wantedCaps'][number]['size']): string =>
  size === null ? 'of a size nobody wrote down' : 'threadMm' in size ? `for ${size.threadMm} mm` : `for the ${size.mount} mount`;

/** Caps that are lost and what replaces them, and what lies spare. */
function Caps({ wantedCaps, spareCaps, hoodless, capSizes }: Pick<FitPageData, 'wantedCaps' | 'spareCaps' | 'hoodless' | 'capSizes'>) {
  const spare = spareCaps.filter(({ left }) => left > 0);
  if (wantedCaps.length === 0 && spare.length === 0 && hoodless.length === 0 && capSizes.length === 0) return null;
  const lines = [
    ...wantedCaps.map(({ of, cap, size, spare: found }) => ({
      key: `${of.id} ${cap}`,
      label: <ThingLinks things={[of]} />,
      things: (
        <>
          <span className="text-soft">{`has lost its ${care.surfaceFacts(cap).name}:`}</span>{' '}
          {found ? <ThingLinks things={[found]} /> : <strong>{`one ${sizeWords(size)} is wanted`}</strong>}
          {found && <span className="text-soft"> lies spare and fits</span>}
        </>
      ),
    })),
    ...(spare.length > 0
      ? [
          {
            key: 'spare',
            label: <span className="text-soft">Spare:</span>,
            things: (
              <ThingLinks things={spare.map(({ thing, left }) => (left > 1 ? { ...thing, name: `${thing.name} × ${left}` } : thing))} />
            ),
          },
        ]
      : []),
    ...(hoodless.length > 0
      ? [{ key: 'hoodless', label: <span className="text-soft">Without a hood:</span>, things: <ThingLinks things={hoodless} /> }]
      : []),
  ];
  return (
    <Section title="Caps and hoods">
      {capSizes.length > 0 && <p className="mb-3">{capSizesWords(capSizes)}</p>}
      {lines.length > 0 && <FitLines lines={lines} />}
    </Section>
  );
}

/** What goes on what by mount and thread, and which step rings are missing. */
export function FitPage() {
  const fit = useFit();
  if (fit.isPending) return <Loading />;
  if (fit.isError) return <Failure error={fit.error} onRetry={() => void fit.refetch()} />;
  const { mounts, nowhere, pairs, silent, wantedCaps, spareCaps, hoodless, capSizes } = fit.data;
  const isEmpty = [mounts, nowhere, pairs, wantedCaps, spareCaps, hoodless, capSizes].every((list) => list.length === 0);
  return (
    <Page title="What fits what" sub="Lenses on bodies, filters before lenses, by the mounts and threads you wrote down.">
      <div className="max-w-4xl space-y-6">
        {isEmpty ? (
          <Empty title="No mounts or threads yet" action={<ButtonLink to="/gear">To the shelf</ButtonLink>}>
            Write a mount or a filter thread into two things (Edit, “What it fits”), or import them with a list: then it stands here what
            goes on what, through which adapter, and which step rings are missing.
          </Empty>
        ) : (
          <>
            <Mounts mounts={mounts} nowhere={nowhere} />
            <Threads {...fit.data} />
            <Caps {...fit.data} />
          </>
        )}
        {!isEmpty && silent > 0 && (
          <p className="text-sm text-soft">
            Of {count(silent, 'thing', 'things')} nobody said a mount or a thread; {silent === 1 ? 'it is' : 'they are'} not reckoned with.
          </p>
        )}
      </div>
    </Page>
  );
}
