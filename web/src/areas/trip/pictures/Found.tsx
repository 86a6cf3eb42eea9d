import type { Outing, ShelfItem } from '@bright-keeper/contract';
import { trip } from '@bright-keeper/core';
import { useState } from 'react';
import { Button, Section } from '../../../ui/parts';
import { outingWords } from '../words';
import { isTaken, keyOfFound, nameOf, type Said } from './picturesView';

const IS_WORDS: Record<trip.FoundIs, string> = {
  new: 'Not noted yet',
  same: 'Noted, and the pictures say the same',
  more: 'Noted; the pictures say more of it',
  fewer: 'Noted with more pictures than these: perhaps not all of them are here',
};
/** So many at once: a life of outings is long. */
const SHOWN = 40;

type Props = {
  proposals: readonly trip.Proposal[];
  noted: readonly Outing[];
  shelf: readonly ShelfItem[];
  said: Readonly<Record<string, Said>>;
  say: (key: string, said: Said) => void;
};

function FoundRow({
  proposal,
  noted,
  shelf,
  said,
  say,
}: { proposal: trip.Proposal; said: Said | undefined; say: (said: Said) => void } & Pick<Props, 'noted' | 'shelf'>) {
  const { found, is } = proposal;
  const of = noted.find((n) => n.id === proposal.noted);
  const title = of?.name ?? nameOf(found);
  const along = shelf.filter((t) => t.id in found.used).map((t) => t.name);
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-2 px-4 py-3">
      <label className="flex min-h-11 min-w-0 flex-1 basis-72 items-center gap-3">
        {is !== 'same' && (
          <input
            type="checkbox"
            className="check"
            checked={isTaken(proposal, said)}
            onChange={(e) => say({ ...said, take: e.target.checked })}
          />
        )}
        <span className="min-w-0">
          <span className="block font-semibold">{title}</span>
          {of && <span className="block text-sm text-soft">{nameOf(found)}</span>}
          <span className="block text-sm">{outingWords({ ...found, met: [] })}</span>
          <span className="block text-sm text-soft">{along.join(', ')}</span>
        </span>
      </label>
      {is === 'new' ? (
        <span className="flex flex-wrap gap-2">
          <input
            aria-label={`Name of the outing of ${title}`}
            className="input w-56"
            placeholder="A name of your own"
            maxLength={120}
            value={said?.name ?? ''}
            onChange={(e) => say({ ...said, name: e.target.value })}
          />
          <select
            aria-label={`Where the outing of ${title} went`}
            className="input w-44"
            value={said?.place ?? 'other'}
            onChange={(e) => say({ ...said, place: e.target.value as trip.GroundId })}
          >
            {trip.GROUND_IDS.map((id) => (
              <option key={id} value={id}>
                {trip.groundFacts(id).name}
              </option>
            ))}
          </select>
        </span>
      ) : (
        <span className="text-sm text-soft">{IS_WORDS[is]}</span>
      )}
    </li>
  );
}

/** The outings found, the latest first, each beside what is noted of it. */
export function Found({ proposals, said, say, ...rest }: Props) {
  const [all, setAll] = useState(false);
  const latest = [...proposals].reverse();
  const fresh = proposals.filter((p) => p.is === 'new').length;
  return (
    <Section title={`Outings found (${proposals.length})`} aside={`${fresh} not noted yet`}>
      <ul className="sheet divide-y divide-line">
        {latest.slice(0, all ? undefined : SHOWN).map((proposal) => {
          const key = keyOfFound(proposal);
          return <FoundRow key={key} proposal={proposal} said={said[key]} say={(s) => say(key, s)} {...rest} />;
        })}
      </ul>
      {!all && latest.length > SHOWN && (
        <Button className="mt-2" onClick={() => setAll(true)}>
          Show all {latest.length}
        </Button>
      )}
    </Section>
  );
}
