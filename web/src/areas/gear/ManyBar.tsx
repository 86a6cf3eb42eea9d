import type { NotMoved } from '@bright-keeper/contract';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Failure } from '../../ui/parts';
import { ToldFor, useTold } from '../../ui/ToldFor';
import { usePlaces } from '../storage';
import { LendMany } from './many/LendMany';
import { LookedAtMany } from './many/LookedAtMany';
import { backWords, things, type Done } from './many/many';
import { OutingMany } from './many/OutingMany';
import { RhythmMany } from './many/RhythmMany';
import { useArchiveMany, useMoveMany, useMatching, useTagMany, useTakeMovesBack, type ShelfFilters } from './queries';

/** What is asked for in a form of its own. */
const FORMS = { lend: LendMany, looked: LookedAtMany, outing: OutingMany, rhythm: RhythmMany } as const;
type Form = keyof typeof FORMS;
const FORM_WORDS: Record<Form, string> = {
  lend: 'Lend them…',
  looked: 'They were looked at…',
  outing: 'On an outing…',
  rhythm: 'How often…',
};

type Props = {
  chosen: ReadonlySet<string>;
  filters: ShelfFilters;
  /** So many match the filters. */
  total: number;
  onAlso: (ids: readonly string[]) => void;
  /** What was done is done: nothing is chosen any more. */
  onNone: () => void;
};

/** What can be done with all that is chosen on the shelf, and one step back for the lot. */
export function ManyBar({ chosen, filters, total, onAlso, onNone }: Props) {
  const places = usePlaces();
  const [move, takeMovesBack, archive, matching] = [useMoveMany(), useTakeMovesBack(), useArchiveMany(), useMatching()];
  const tagging = useTagMany();
  const [done, setDone] = useState<Done | null>(null);
  const taking = useMutation({ mutationFn: (back: NonNullable<Done['takeBack']>) => back(), onSuccess: setDone });
  const [tag, setTag] = useState('');
  const told = useTold();
  const [to, setTo] = useState('');
  const itemIds = [...chosen];
  const [form, setForm] = useState<Form | null>(null);
  const Asking = form && FORMS[form];
  const isArchived = filters.archived !== undefined && String(filters.archived) === 'true';
  const busy = taking.isPending || tagging.isPending || move.isPending || archive.isPending || matching.isPending;
  const error = taking.error ?? tagging.error ?? move.error ?? archive.error ?? matching.error;
  const isHeld = busy || chosen.size === 0;
  const finish = (result: Done) => {
    setDone(result);
    told.setLocal(null);
    setForm(null);
    onNone();
  };

  const moveTo = (placeId: string | null) => {
    const name = places.data?.places.find((p) => p.id === placeId)?.name;
    move.mutate(
      { itemIds, placeId, since: told.at },
      {
        onSuccess: ({ entryIds, refused }) => {
          const where = name ? `moved to ${name}` : 'taken out of their places';
          const stayed = refused.map(stayedWords).join('; ');
          finish({
            words: `${things(entryIds.length)} ${where}.${stayed && ` Not moved: ${stayed}.`}`,
            takeBack: () => takeMovesBack.mutateAsync({ entryIds }).then(({ takenBack, kept }) => backWords(takenBack, kept)),
          });
        },
      },
    );
  };
  const archiveAll = (archived: boolean) =>
    archive.mutate(
      { itemIds, archived },
      {
        onSuccess: ({ itemIds: changed }) =>
          finish({
            words: `${things(changed.length)} ${archived ? 'taken off the shelf' : 'put back on the shelf'}.`,
            takeBack: () => archive.mutateAsync({ itemIds: changed, archived: !archived }).then(() => backWords(changed.length, 0)),
          }),
      },
    );

  const tagAll = (has: boolean) =>
    tagging.mutate(
      { itemIds, tag: tag.trim(), has },
      {
        onSuccess: ({ itemIds: changed }) =>
          finish({
            words: `${things(changed.length)} ${has ? 'tagged' : 'no more tagged'} “${tag.trim()}”.${has ? alreadyWords(chosen.size - changed.length) : ''}`,
            takeBack: () =>
              tagging
                .mutateAsync({ itemIds: changed, tag: tag.trim(), has: !has })
                .then((back) => backWords(back.itemIds.length, changed.length - back.itemIds.length)),
          }),
      },
    );

  return (
    <div role="group" aria-label="With all that is chosen" className="sheet mb-4 space-y-2 p-3 md:sticky md:top-2 md:z-10">
      <div className="flex flex-wrap items-center gap-2">
        <span className="font-semibold" aria-live="polite">
          {things(chosen.size)} chosen
        </span>
        <Button
          disabled={busy || total === 0}
          onClick={() => matching.mutate(filters, { onSuccess: onAlso })}
        >{`Choose all ${total} that match`}</Button>
        {chosen.size > 0 && (
          <Button look="quiet" onClick={onNone}>
            Choose none
          </Button>
        )}
      </div>
      <div className="flex flex-wrap items-center gap-2">
        <label className="flex items-center gap-2">
          <span className="text-sm text-soft">{told.local === null ? 'Move them to' : 'They lie in'}</span>
          <select className="input w-auto" value={to} disabled={!places.data} onChange={(e) => setTo(e.target.value)}>
            <option value="" disabled>
              choose a place
            </option>
            {(places.data?.places ?? []).map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
            <option value={NO_PLACE}>no place we know</option>
          </select>
        </label>
        <ToldFor told={told} id="many-since" label="since" />
        <Button disabled={isHeld || to === '' || told.wrong !== null} onClick={() => moveTo(to === NO_PLACE ? null : to)}>
          Move them
        </Button>
        <label className="flex items-center gap-2">
          <span className="text-sm text-soft">Tag with</span>
          <input className="input w-32" value={tag} maxLength={40} autoComplete="off" onChange={(e) => setTag(e.target.value)} />
        </label>
        <Button disabled={isHeld || tag.trim() === ''} onClick={() => tagAll(true)}>
          Tag them
        </Button>
        <Button look="quiet" disabled={isHeld || tag.trim() === ''} onClick={() => tagAll(false)}>
          Untag
        </Button>
        <Button disabled={isHeld} onClick={() => archiveAll(!isArchived)}>
          {isArchived ? 'Put them back on the shelf' : 'Archive them'}
        </Button>
        {(isArchived ? [] : (Object.keys(FORMS) as Form[])).map((one) => (
          <Button key={one} disabled={isHeld} aria-expanded={form === one} onClick={() => setForm(form === one ? null : one)}>
            {FORM_WORDS[one]}
          </Button>
        ))}
      </div>
      {Asking && <Asking key={form} itemIds={itemIds} onDone={finish} onLeave={() => setForm(null)} />}
      {done && (
        <p role="status" className="flex flex-wrap items-center gap-3">
          {done.words}
          {done.takeBack && (
            <Button disabled={busy} onClick={() => taking.mutate(done.takeBack!)}>
              Take it back
            </Button>
          )}
        </p>
      )}
      {error && <Failure error={error} />}
    </div>
  );
}

const stayedWords = (r: NotMoved): string =>
  r.because === 'quarantined' ? `${r.name} is in quarantine and stays apart` : `${r.name} still lay in ${r.placeName} then`;

/** What a tag did not change has it already, or has no room for one more. */
const alreadyWords = (n: number): string => (n === 0 ? '' : ` ${things(n)} had it already, or as many tags as there is room for.`);

const NO_PLACE = 'none';
