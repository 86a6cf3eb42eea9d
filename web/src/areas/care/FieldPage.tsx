import { care } from '@bright-keeper/core';
import { useAwaySince } from '../../api/useKept';
import { Button, ButtonLink, Failure, Loading, Notice, Page, Section } from '../../ui/parts';
import { useShelf } from '../gear';
import { BigButton } from './BigButton';
import { CautionLines } from './CautionLines';
import { useChoices, withChoice } from '../../ui/choices';
import { useHappened } from './queries';

const happeningFrom = (params: URLSearchParams): care.HappeningId | null =>
  care.HAPPENING_IDS.find((id) => id === params.get('happened')) ?? null;

/** The things it happened to; what is ticked stands in the address. */
function Things({ chosen, onChange }: { chosen: readonly string[]; onChange: (ids: string[]) => void }) {
  const shelf = useShelf({ sort: 'name' });
  if (shelf.isError) return <Failure error={shelf.error} onRetry={() => void shelf.refetch()} />;
  if (!shelf.data) return <Loading />;
  const items = shelf.data.pages.flatMap((p) => p.items);
  const toggle = (id: string) => onChange(chosen.includes(id) ? chosen.filter((c) => c !== id) : [...chosen, id]);
  return (
    <>
      <ul className="sheet max-h-80 divide-y divide-line overflow-y-auto">
        {items.map((item) => (
          <li key={item.id}>
            <label className="flex min-h-11 items-center gap-3 px-4 py-1">
              <input type="checkbox" className="check" checked={chosen.includes(item.id)} onChange={() => toggle(item.id)} />
              {item.name} <span className="text-sm text-soft">{care.kindFacts(item.kind).name}</span>
            </label>
          </li>
        ))}
      </ul>
      {shelf.hasNextPage && <Button onClick={() => void shelf.fetchNextPage()}>Show more</Button>}
    </>
  );
}

function Happened({ id, chosen, onChoose }: { id: care.HappeningId; chosen: readonly string[]; onChoose: (ids: string[]) => void }) {
  const { now, never, atHome, homeWithinDays, hazards } = care.happeningFacts(id);
  const happened = useHappened();
  const isAway = useAwaySince() !== null;
  const when = homeWithinDays === 0 ? 'the same day' : `within ${homeWithinDays} days`;
  return (
    <div className="space-y-6">
      <Section title="Now">
        <ol className="sheet list-decimal space-y-2 py-4 pr-4 pl-9 text-lg">
          {now.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ol>
        {never && <p className="mt-2 rounded bg-act-tint px-4 py-3 font-semibold">{never}</p>}
        <div className="mt-2 space-y-2">
          <CautionLines hazards={hazards} />
        </div>
      </Section>
      {id === 'lens-change' && (
        <ButtonLink look="filled" to="/outings/lens-change">
          In the weather of this hour
        </ButtonLink>
      )}
      <Section title="Leave for home" aside={when}>
        <ul className="sheet list-disc space-y-1 py-3 pr-4 pl-8">
          {atHome.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      </Section>
      <Section title="Which things?">
        <Things chosen={chosen} onChange={onChoose} />
        {happened.error && <Failure error={happened.error} />}
        {happened.isSuccess ? (
          <div className="mt-3 space-y-2">
            <Notice tone="good">
              {isAway
                ? 'Noted and kept here. It stands on Today once it is carried over.'
                : 'Noted. It waits on Today for when you are home.'}
            </Notice>
            {chosen.length === 1 && <ButtonLink to={`/gear/${chosen[0]}/plan?place=field`}>Its plan out here</ButtonLink>}
          </div>
        ) : (
          <BigButton
            filled
            className="mt-3 w-full"
            disabled={chosen.length === 0 || happened.isPending}
            onClick={() => happened.mutate({ happening: id, itemIds: [...chosen] })}
          >
            Note it, and keep the rest for home
          </BigButton>
        )}
      </Section>
    </div>
  );
}

/** What happened out here: what to do now, and what waits for home. */
export function FieldPage() {
  const [params, setParams] = useChoices();
  const happened = happeningFrom(params);
  const chosen = (params.get('things') ?? '').split(',').filter(Boolean);
  return (
    <Page title="Out in the field" sub="Air, brush, and only if it spoils the picture a sealed wipe. Everything else waits for home.">
      <div className="grid gap-6 lg:grid-cols-12">
        <Section title="What happened?" className="lg:col-span-4">
          <ul className="grid grid-cols-2 gap-2 lg:grid-cols-1">
            {care.HAPPENING_IDS.map((id) => (
              <li key={id}>
                <button
                  type="button"
                  aria-pressed={id === happened}
                  onClick={() => setParams(withChoice(params, 'happened', id))}
                  className={`min-h-14 w-full rounded border px-3 text-left ${id === happened ? 'border-lamp bg-lamp-tint font-semibold' : 'border-soft bg-sheet'}`}
                >
                  {care.HAPPENINGS[id].name}
                </button>
              </li>
            ))}
          </ul>
        </Section>
        <div className="lg:col-span-8">
          {happened && (
            <Happened
              key={happened}
              id={happened}
              chosen={chosen}
              onChoose={(ids) => setParams(withChoice(params, 'things', ids.length > 0 ? ids.join(',') : null), { replace: true })}
            />
          )}
        </div>
      </div>
    </Page>
  );
}
