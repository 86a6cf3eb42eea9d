import { care } from '@bright-keeper/core';
import { useNavigate } from 'react-router';
import { Button, ButtonLink, Failure, Loading, Notice, Page, Section } from '../../ui/parts';
import { surfaceTitle } from '../../ui/words';
import { useShelf } from '../gear';
import { useStartLook } from './queries';
import { useChoices, withChoice } from '../../ui/choices';

/** The answers live in the address: back takes one back, a link shows the same case. */
function observationsFrom(params: URLSearchParams): care.Observations {
  const observations: care.Observations = {};
  for (const id of care.QUESTION_IDS) {
    const answer = params.get(id);
    if (answer && answer in care.question(id).answers) observations[id] = answer;
  }
  return observations;
}

function Ask({ id, onAnswer }: { id: care.QuestionId; onAnswer: (answer: string) => void }) {
  const { ask, how, answers } = care.question(id);
  return (
    <section className="sheet space-y-4 p-5">
      <h2 className="text-xl font-semibold">{ask}</h2>
      <p className="text-soft">{how}</p>
      <div className="grid gap-2 sm:grid-cols-2">
        {Object.entries(answers).map(([answer, { name }]) => (
          <Button key={answer} className="min-h-14" onClick={() => onAnswer(answer)}>
            {name.charAt(0).toUpperCase() + name.slice(1)}
          </Button>
        ))}
      </div>
    </section>
  );
}

/** Which of the keeper's things has that surface, to look at it there. */
function ChooseThing({ surface }: { surface: care.Surface }) {
  const navigate = useNavigate();
  const shelf = useShelf({});
  const look = useStartLook();
  if (shelf.isPending) return <Loading />;
  if (shelf.isError) return <Failure error={shelf.error} onRetry={() => void shelf.refetch()} />;
  const items = shelf.data.pages.flatMap((p) => p.items).filter((i) => care.surfacesOf(i.kind, i.traits).includes(surface));
  if (items.length === 0)
    return (
      <p>
        Nothing on your shelf has a {care.SURFACES[surface].name}. <ButtonLink to="/gear/new">Add it</ButtonLink>
      </p>
    );
  return (
    <>
      {look.error && <Failure error={look.error} />}
      <ul className="grid gap-2 sm:grid-cols-2">
        {items.map((item) => (
          <li key={item.id}>
            <Button
              className="w-full"
              disabled={look.isPending}
              onClick={() => look.mutate({ itemId: item.id, at: surface }, { onSuccess: (doc) => void navigate(`/look/${doc.id}`) })}
            >
              Look at {item.name}
            </Button>
          </li>
        ))}
      </ul>
      {shelf.hasNextPage && <Button onClick={() => void shelf.fetchNextPage()}>Show more</Button>}
    </>
  );
}

const Learnt = ({ because }: { because: readonly string[] }) =>
  because.length === 0 ? null : (
    <Section title="What that tells">
      <ol className="sheet list-inside list-decimal space-y-1 p-4">
        {because.map((b) => (
          <li key={b}>{b}</li>
        ))}
      </ol>
    </Section>
  );

/** A short guided diagnosis that ends in the surface to look at. */
export function DiagnosePage() {
  const [params, setParams] = useChoices();
  const { suspects, because, next, surface, contradiction } = care.diagnose(observationsFrom(params));
  const answer = (id: care.QuestionId, value: string) => setParams(withChoice(params, id, value));
  return (
    <Page
      title="Where is the dirt?"
      sub="A few questions, each with a quick test."
      actions={params.size > 0 && <Button onClick={() => setParams({})}>Begin again</Button>}
    >
      <div className="grid gap-6 lg:grid-cols-12">
        <div className="space-y-6 lg:col-span-7">
          {next && <Ask id={next} onAnswer={(value) => answer(next, value)} />}
          {contradiction && (
            <Notice tone="attention">These answers contradict each other. Begin again, and take the test pictures anew.</Notice>
          )}
          {surface && (
            <section className="sheet space-y-4 p-5">
              <h2 className="text-xl font-semibold">Look at the {care.SURFACES[surface].name}</h2>
              <ChooseThing surface={surface} />
            </section>
          )}
          <Learnt because={because} />
        </div>
        <Section title={suspects.length === 1 ? 'There it lies' : 'It may lie on'} className="lg:col-span-5">
          <ul className="sheet divide-y divide-line">
            {suspects.map((s, i) => (
              <li key={s.surface} className={`px-4 py-2.5 ${i === 0 && because.length > 0 ? 'bg-lamp-tint font-semibold' : ''}`}>
                {surfaceTitle(s.surface)}
              </li>
            ))}
          </ul>
        </Section>
      </div>
    </Page>
  );
}
