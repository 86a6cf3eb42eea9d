import type { HomesPage as HomesData } from '@bright-keeper/contract';
import { storage } from '@bright-keeper/core';
import { homeWords } from '@bright-keeper/words';
import { Link } from 'react-router';
import { Button, ButtonLink, Empty, Failure, Loading, Page, Section } from '../../ui/parts';
import { useHomes, useMoveItems, usePlaces } from './queries';

type Found = Extract<HomesData, { found: true }>;
type MoveData = Found['moves'][number];

const things = (many: number): string => (many === 1 ? '1 thing' : `${many} things`);

const PlaceLink = ({ place: { id, name } }: { place: { id: string; name: string } }) => (
  <Link to={`/storage/${id}`} className="font-medium hover:underline">
    {name}
  </Link>
);

/** What goes the same way, one after another, is one carry. */
function carriesOf(moves: readonly MoveData[]): MoveData[][] {
  const carries: MoveData[][] = [];
  for (const move of moves) {
    const last = carries.at(-1)?.[0];
    const isSame = last && last.from?.id === move.from?.id && last.to?.id === move.to?.id && last.aside === move.aside;
    if (isSame) carries.at(-1)!.push(move);
    else carries.push([move]);
  }
  return carries;
}

/** Why it is worth the way: what speaks against the old place, and for the new one. */
function Why({ move: { from, to, against, reasons } }: { move: MoveData }) {
  if (!to) return <>What has fungus must not stay with the others: a zip bag with a sachet, apart from the rest.</>;
  return (
    <>
      {from && against && `${from.name}: ${homeWords(against)} `}
      {to.name}: {reasons.slice(0, 2).map(homeWords).join(' ')}
    </>
  );
}

function Carry({ moves }: { moves: readonly [MoveData, ...MoveData[]] }) {
  const carry = useMoveItems();
  const [{ from, to, aside }] = moves;
  const moved = (own: readonly MoveData[]) => carry.mutate(own.map(({ itemId }) => ({ itemId, placeId: to?.id ?? null })));
  return (
    <li className="sheet">
      <div className="flex flex-wrap items-start gap-x-4 gap-y-2 px-4 py-3">
        <div className="min-w-0 flex-1 basis-64">
          <h3 className="font-semibold">
            {from ? (
              <>
                From <PlaceLink place={from} />{' '}
              </>
            ) : (
              'From wherever they are '
            )}
            {to ? (
              <>
                to <PlaceLink place={to} />
              </>
            ) : (
              'to a place apart'
            )}
          </h3>
          <p className="max-w-prose text-sm text-soft">
            <Why move={moves[0]} />
          </p>
          {aside && <p className="text-sm text-soft">The new place is full until others have moved out: put it aside meanwhile.</p>}
        </div>
        {moves.length > 1 && (
          <Button disabled={carry.isPending} onClick={() => moved(moves)}>
            I moved all {moves.length}
          </Button>
        )}
      </div>
      <ul className="divide-y divide-line border-t border-line">
        {moves.map((move) => (
          <li key={move.itemId} className="flex items-center gap-4 px-4 py-1.5">
            <Link to={`/gear/${move.itemId}`} className="min-w-0 flex-1 hover:underline">
              {move.name}
            </Link>
            <Button aria-label={`I moved it: ${move.name}`} disabled={carry.isPending} onClick={() => moved([move])}>
              I moved it
            </Button>
          </li>
        ))}
      </ul>
      {carry.error && <Failure error={carry.error} />}
    </li>
  );
}

function Moves({ moves, stay, noRoom, proven }: Found) {
  if (moves.length + stay + noRoom.length === 0) return <p className="sheet p-4">Nothing is on the shelf yet that could live anywhere.</p>;
  const stays = stay > 0 ? `${things(stay)} ${stay === 1 ? 'is' : 'are'} at home already.` : '';
  const sure = proven
    ? 'All things and all places were weighed at once, and by these measures no other way is better.'
    : 'A good way, and it was not proven that no other is better.';
  if (moves.length === 0)
    return (
      <p className="sheet p-4">
        {proven ? 'Nothing would live clearly better elsewhere.' : 'No clearly better way was found.'} {stays}{' '}
        <span className="text-soft">{sure}</span>
      </p>
    );
  return (
    <>
      <p className="mb-3 max-w-prose text-soft">
        {stays} {sure} In this order there is room for each as it comes, and what gains most comes first.
      </p>
      <ol className="space-y-3">
        {carriesOf(moves).map((own) => (
          <Carry key={own[0]!.itemId} moves={own as [MoveData, ...MoveData[]]} />
        ))}
      </ol>
    </>
  );
}

const moreWords = ({ kind, volumeL, gelG, things: many }: Found['more'][number]): string =>
  `A ${storage.placeFacts(kind).name} of ${volumeL} L${gelG === null ? '' : ` with ${gelG} g of silica gel`} would be home to ${things(many)}.`;

/** All things and all places at once: what should move, what may stay, and what one more place would bring. */
export function HomesPage() {
  const homes = useHomes();
  const places = usePlaces();
  if (homes.isPending || places.isPending) return <Loading />;
  if (homes.isError) return <Failure error={homes.error} onRetry={() => void homes.refetch()} />;
  const { data } = homes;
  return (
    <Page
      title="Where should everything live?"
      sub="By the air of the last 90 days, what each thing is made of, how often it goes out, and room."
    >
      {places.data?.places.length === 0 ? (
        <Empty title="No place is known yet" action={<ButtonLink to="/storage/new">Add the first place</ButtonLink>}>
          Say where things could live, and put a hygrometer there: then homes can be weighed against each other.
        </Empty>
      ) : (
        <div className="space-y-8">
          <Section title="Moves">
            {data.found ? (
              <Moves {...data} />
            ) : (
              <div className="sheet flex flex-wrap items-center gap-4 p-4">
                <p className="flex-1">The best homes were not found in the time that takes at most.</p>
                <Button onClick={() => void homes.refetch()}>Try again</Button>
              </div>
            )}
          </Section>
          {data.found && data.noRoom.length > 0 && (
            <Section title="Without a home">
              <ul className="sheet divide-y divide-line">
                {data.noRoom.map(({ id, name }) => (
                  <li key={id} className="px-4 py-2.5">
                    <Link to={`/gear/${id}`} className="font-medium hover:underline">
                      {name}
                    </Link>
                  </li>
                ))}
              </ul>
              <p className="mt-2 text-sm text-soft">No place has room for them, or none may be shared with them.</p>
            </Section>
          )}
          {data.found && data.more.length > 0 && (
            <Section title="One more place">
              <ul className="sheet space-y-1 p-4">
                {data.more.map((more) => (
                  <li key={more.kind}>{moreWords(more)}</li>
                ))}
              </ul>
              <p className="mt-2 text-sm text-soft">As such places usually are, until yours is measured.</p>
            </Section>
          )}
          {data.unmeasured.length > 0 && (
            <Section title="Measured too little">
              <ul className="sheet space-y-1 p-4">
                {data.unmeasured.map((place) => (
                  <li key={place.id}>
                    <PlaceLink place={place} />
                  </li>
                ))}
              </ul>
              <p className="mt-2 text-sm text-soft">
                Nothing is sent where the air is hardly known, unless there is no other way: two weeks of a hygrometer there tell.
              </p>
            </Section>
          )}
        </div>
      )}
    </Page>
  );
}
