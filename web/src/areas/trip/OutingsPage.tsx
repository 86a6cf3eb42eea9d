import type { Outing, OutingInput } from '@bright-keeper/contract';
import { schedule, trip } from '@bright-keeper/core';
import { Link } from 'react-router';
import { useChoices, withChoice } from '../../ui/choices';
import { Button, ButtonLink, Empty, Failure, Loading, Page, Section } from '../../ui/parts';
import { shortDate } from '../../ui/dates';
import { Day } from '../../ui/when';
import { useToday } from '../../ui/zone';
import { Fold } from '../../ui/Fold';
import { useWholeShelf } from '../gear';
import { OutingAsks } from './OutingAsks';
import { OutingForm } from './OutingForm';
import { outingAt, packFor } from './outingView';
import { useOpened } from '../../api/useOpened';
import { useAddOuting, useOutings, useRemoveOuting, useUpdateOuting } from './queries';
import { outingWords } from './words';

const blank = (today: string): OutingInput => ({
  name: '',
  from: today,
  to: today,
  place: 'town',
  also: [],
  weather: [],
  travel: 'own-way',
  kit: null,
  itemIds: [],
  met: [],
  frames: null,
  lensChanges: null,
  hours: null,
  note: '',
});

type ChangingProps = { outing: Outing; things: readonly { id: string; name: string }[]; onDone: () => void };

function Changing({ outing, things, onDone }: ChangingProps) {
  const update = useUpdateOuting();
  const { opened, saveOver } = useOpened(outing);
  const { id, version: _, ...input } = opened;
  return (
    <OutingForm
      begin={input}
      things={things}
      verb="Save"
      save={(next) => saveOver((version) => update.mutateAsync({ ...next, id, version }))}
      error={update.error}
      onDone={onDone}
      onCancel={onDone}
    />
  );
}

function OutingRow({
  outing,
  things,
  open,
  onToggle,
}: {
  outing: Outing;
  things: readonly { id: string; name: string }[];
  open: boolean;
  onToggle: () => void;
}) {
  const remove = useRemoveOuting();
  const today = useToday();
  const along = things.filter((t) => outing.itemIds.includes(t.id));
  return (
    <li className="px-4 py-3">
      <div className="flex flex-wrap items-start gap-3">
        <div className="min-w-0 flex-1 basis-60">
          <p>
            <Link to={`/outings/${outing.id}`} className="font-semibold hover:underline">
              {outing.name}
            </Link>{' '}
            <span className="text-soft">
              · {[outing.place, ...outing.also].map((id) => trip.groundFacts(id).name.toLowerCase()).join(', ')}
            </span>
          </p>
          <p className="text-sm text-soft">
            {outing.to === outing.from ? <Day day={outing.from} /> : `${shortDate(outing.from)} to ${shortDate(outing.to)}`}
            {outingWords(outing) && ` · ${outingWords(outing)}`}
          </p>
          <p className="text-sm">
            {along.map((thing, i) => (
              <span key={thing.id}>
                {i > 0 && ', '}
                <Link to={`/gear/${thing.id}`} className="hover:underline">
                  {thing.name}
                </Link>
              </span>
            ))}
          </p>
        </div>
        {outing.to >= today && (
          <ButtonLink to={packFor(outing)} aria-label={`Pack for it: ${outing.name}`}>
            Pack for it
          </ButtonLink>
        )}
        <Button aria-expanded={open} aria-label={`${open ? 'Close' : 'Change'} ${outing.name}`} onClick={onToggle}>
          {open ? 'Close' : 'Change'}
        </Button>
      </div>
      {schedule.daysBetween(outing.to, today) <= trip.ASKS_FOR_DAYS && (
        <Fold title={`What it asks for: ${outing.name}`}>
          <OutingAsks id={outing.id} />
        </Fold>
      )}
      {open && (
        <div className="mt-3 space-y-2">
          <Changing outing={outing} things={things} onDone={onToggle} />
          {remove.error && <Failure error={remove.error} />}
          <Button disabled={remove.isPending} onClick={() => remove.mutate(outing.id)}>
            Remove this outing
          </Button>
        </div>
      )}
    </li>
  );
}

/** Where the gear went, what came along and what it met: what the rhythms of use and exposure count. */
export function OutingsPage() {
  const [params, setParams] = useChoices();
  const outings = useOutings();
  const shelf = useWholeShelf();
  const today = useToday();
  const add = useAddOuting();
  const failed = [outings, shelf].find((q) => q.isError);
  if (failed) return <Failure error={failed.error} onRetry={() => void failed.refetch()} />;
  if (!outings.data || !shelf.data) return <Loading />;
  const things = shelf.data;
  const open = params.get('outing');
  const choose = (id: string | null) => setParams(withChoice(params, 'outing', id), { replace: true });
  const [ahead, underWay, past] = (['ahead', 'under-way', 'over'] as const).map((stands) =>
    outings.data.filter((o) => outingAt(o, today) === stands),
  ) as [Outing[], Outing[], Outing[]];
  const list = (all: readonly Outing[]) => (
    <ul className="sheet divide-y divide-line">
      {all.map((outing) => (
        <OutingRow
          key={outing.id}
          outing={outing}
          things={things}
          open={open === outing.id}
          onToggle={() => choose(open === outing.id ? null : outing.id)}
        />
      ))}
    </ul>
  );
  return (
    <Page
      title="Outings"
      sub="Ten outings use up a clean sensor, and salt does not wait for a Sunday: note where the gear went, and the calendar counts."
      actions={
        <>
          <ButtonLink to="/calendar">Calendar</ButtonLink>
          <ButtonLink to="/outings/pack">What to pack</ButtonLink>
          <ButtonLink to="/outings/lens-change">Change a lens</ButtonLink>
          <ButtonLink to="/outings/shut-in">Port and sun</ButtonLink>
          <ButtonLink to="/outings/pictures">From pictures</ButtonLink>
          <Button look="filled" onClick={() => choose('new')}>
            Note an outing
          </Button>
        </>
      }
    >
      <div className="space-y-8">
        {open === 'new' && (
          <OutingForm
            begin={blank(today)}
            things={things}
            verb="Note it"
            save={(input) => add.mutateAsync(input)}
            error={add.error}
            onDone={() => choose(null)}
            onCancel={() => choose(null)}
          />
        )}
        {outings.data.length === 0 && open !== 'new' && (
          <Empty title="No outing is noted yet">Days, place, what came along, what it met: four taps after you come home.</Empty>
        )}
        {underWay.length > 0 && <Section title="Under way">{list(underWay)}</Section>}
        {ahead.length > 0 && <Section title="To come">{list(ahead.toReversed())}</Section>}
        {past.length > 0 && <Section title="Past">{list(past)}</Section>}
      </div>
    </Page>
  );
}
