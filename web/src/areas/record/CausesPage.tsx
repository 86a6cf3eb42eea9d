import type { CauseTold } from '@bright-keeper/contract';
import { count, goesBeforeWords } from '@bright-keeper/words';
import { Link } from 'react-router';
import { ButtonLink, Empty, Failure, Loading, Page } from '../../ui/parts';
import { useCauses } from './queries';

/** Where one changes what goes before it. */
function doorOf({ cause }: CauseTold): { to: string; words: string } {
  switch (cause.is) {
    case 'out':
      return { to: '/outings/pack', words: 'What to take along against it' };
    case 'ground':
      return { to: `/handbook#ground-${cause.ground}`, words: 'What this ground asks for before, out there and at home' };
    case 'met':
      return { to: '/field', words: 'What to do out there when it happens' };
    case 'with':
      return { to: `/gear/${cause.itemId}`, words: 'Look at its rear and its mount' };
    case 'place':
      return { to: `/storage/${cause.placeId}`, words: 'The air of this place, and what would change it' };
    default:
      return cause satisfies never;
  }
}

const Told = ({ told }: { told: CauseTold }) => {
  const { title, on } = goesBeforeWords(told);
  const { to, words } = doorOf(told);
  return (
    <li className="px-4 py-3">
      <p className="font-semibold">{title}</p>
      <p className="text-soft">{on}</p>
      <Link className="inline-flex min-h-11 items-center underline" to={to}>
        {words}
      </Link>
    </li>
  );
};

/** How it got dirty: what goes before which dirt by one's own looks, and nothing where they are too few. */
export function CausesPage() {
  const causes = useCauses();
  if (causes.isError) return <Failure error={causes.error} onRetry={() => void causes.refetch()} />;
  if (!causes.data) return <Loading />;
  const { told, weighed, tooFew, looks } = causes.data;
  return (
    <Page
      title="How did it get dirty?"
      sub="Which ground, place or company goes before which dirt, by your own looks."
      actions={<ButtonLink to="/costs">What care took</ButtonLink>}
    >
      {told.length > 0 ? (
        <ul className="sheet divide-y divide-line">
          {told.map((one) => (
            <Told key={`${one.dirt}/${JSON.stringify(one.cause)}`} told={one} />
          ))}
        </ul>
      ) : (
        <Empty
          title={weighed > 0 ? 'Nothing stands above chance' : 'Too little was seen yet'}
          action={<ButtonLink to="/gear">Gear</ButtonLink>}
        >
          {weighed > 0
            ? `Of ${count(weighed, 'pair', 'pairs')} of dirt and what went before it none goes together more often than chance would have it.`
            : 'It takes looks that saw a thing clean, and later ones at the same surfaces: some after outings and some without. Then it is told here what goes before what.'}
        </Empty>
      )}
      <p className="mt-4 text-soft">
        {count(looks, 'look', 'looks')} could tell: what was seen clean, and looked at again. By days, so that looking more often finds
        nothing more. {tooFew > 0 && `For ${count(tooFew, 'pair', 'pairs')} there were too few to say anything. `}
        That one goes before the other is no proof that it brings it.
      </p>
    </Page>
  );
}
