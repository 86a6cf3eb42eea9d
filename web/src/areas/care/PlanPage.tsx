import type { ItemPage } from '@bright-keeper/contract';
import { care, supplies } from '@bright-keeper/core';
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/react';
import { ChevronDown, ShieldAlert } from 'lucide-react';
import { useMemo } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { LightPath } from '../../ui/lightpath/LightPath';
import { Button, ButtonLink, Empty, Failure, Loading, Notice, Page, Section } from '../../ui/parts';
import { surfaceTitle } from '../../ui/words';
import { useItem, useSetStatus } from '../gear/queries';
import { useSettings } from '../settings/queries';
import { useDrawer } from '../supplies/queries';
import { conditionsFrom, CONDITION_WORDS, placeFrom, schoolsFrom, withChoice } from './planChoices';
import { useStartCleaning } from './queries';
import { SchoolNotes } from './SchoolNotes';
import { TouchLadder } from './TouchLadder';
import { amountWords, minutesWords, money } from './words';

function Toggle({ on, onChange, children }: { on: boolean; onChange: (on: boolean) => void; children: string }) {
  return (
    <button
      type="button"
      aria-pressed={on}
      onClick={() => onChange(!on)}
      className={`min-h-11 rounded border px-4 ${on ? 'border-lamp bg-lamp-tint font-semibold' : 'border-soft bg-sheet'}`}
    >
      {children}
    </button>
  );
}

/** The schools that touch this plan, each switchable here for this one clean. */
function SchoolSwitches({
  schools,
  used,
  onChange,
}: {
  schools: care.Schools;
  used: readonly care.SchoolId[];
  onChange: (school: care.SchoolId, choice: string) => void;
}) {
  return (
    <Disclosure>
      <DisclosureButton className="group flex min-h-11 items-center gap-2 font-medium">
        <ChevronDown size={18} className="group-data-open:rotate-180" aria-hidden="true" /> Do it by another school
      </DisclosureButton>
      <DisclosurePanel className="grid gap-3 pb-2 sm:grid-cols-2">
        {used.map((id) => {
          const facts = care.schoolFacts(id);
          return (
            <label key={id} className="block">
              <span className="mb-1 block text-sm text-soft">{facts.question}</span>
              <select className="input" aria-label={facts.name} value={schools[id]} onChange={(e) => onChange(id, e.target.value)}>
                {Object.entries(facts.choices).map(([choice, { name }]) => (
                  <option key={choice} value={choice}>
                    {name}
                  </option>
                ))}
              </select>
              <span className="mt-1 block text-sm text-soft">{facts.choices[schools[id]]?.reason}</span>
            </label>
          );
        })}
      </DisclosurePanel>
    </Disclosure>
  );
}

const SurfaceTabs = ({
  surfaces,
  plan,
  selected,
  onSelect,
}: {
  surfaces: readonly care.Surface[];
  plan: care.CleaningPlan;
  selected: care.Surface;
  onSelect: (s: care.Surface) => void;
}) => (
  <ol aria-label="Surfaces in working order" className="mt-3 space-y-1">
    {surfaces.map((surface, i) => {
      const steps = plan.steps.filter((s) => s.surface === surface);
      const touches = steps.filter((s) => s.contact).length;
      return (
        <li key={surface}>
          <button
            type="button"
            aria-pressed={surface === selected}
            onClick={() => onSelect(surface)}
            className={`flex min-h-11 w-full items-center gap-3 rounded border px-3 text-left ${surface === selected ? 'border-lamp bg-lamp-tint font-semibold' : 'border-line bg-sheet hover:bg-well'}`}
          >
            <span className="font-mono text-soft">{i + 1}</span>
            <span className="flex-1">{surfaceTitle(surface)}</span>
            <span className={`text-sm font-normal ${surface === selected ? '' : 'text-soft'}`}>
              {steps.length === 0 ? 'no steps' : `at most ${touches} ${touches === 1 ? 'touch' : 'touches'}`}
            </span>
          </button>
        </li>
      );
    })}
  </ol>
);

type Reasoned = { surface: care.Surface; reason: string };
const ReasonList = ({ title, entries }: { title: string; entries: readonly Reasoned[] }) =>
  entries.length === 0 ? null : (
    <Section title={title}>
      <ul className="sheet divide-y divide-line">
        {entries.map((e, i) => (
          <li key={i} className="px-4 py-2">
            <span className="font-medium">{surfaceTitle(e.surface)}</span>
            <span className="block text-sm text-soft">{e.reason}</span>
          </li>
        ))}
      </ul>
    </Section>
  );

const Cautions = ({ cautions }: { cautions: readonly care.Caution[] }) =>
  cautions.length === 0 ? null : (
    <Section title="Take care">
      <ul className="space-y-2">
        {cautions.map(({ hazard, caution, wear }) => (
          <li key={hazard} className="flex gap-3 rounded bg-act-tint px-4 py-3">
            <ShieldAlert className="mt-0.5 shrink-0 text-act" size={20} aria-hidden="true" />
            <p>
              <span className="font-semibold">{care.HAZARDS[hazard].name}.</span> {caution}{' '}
              {wear.length > 0 && <span className="font-medium">Wear: {wear.join(', ').replace('-', ' ')}.</span>}
            </p>
          </li>
        ))}
      </ul>
    </Section>
  );

const Missing = ({ missing }: { missing: readonly care.Missing[] }) =>
  missing.length === 0 ? null : (
    <Section title="Missing">
      <ul className="sheet divide-y divide-line">
        {missing.map((m, i) => (
          <li key={i} className="px-4 py-2">
            {m.reason}
            {m.substitute && <span className="text-soft"> Instead: {care.thingName(m.substitute)}.</span>}
          </li>
        ))}
      </ul>
    </Section>
  );

function Totals({ plan, currency }: { plan: care.CleaningPlan; currency: string }) {
  const { minutes, contacts, materials, cost } = plan.totals;
  return (
    <div>
      <dl className="grid grid-cols-3 gap-4 text-center">
        {[
          ['At most', minutesWords(minutes)],
          ['Touches', `${contacts} at most`],
          ['Materials', money(cost, currency)],
        ].map(([term, value]) => (
          <div key={term} className="rounded bg-well py-2">
            <dt className="text-sm text-soft">{term}</dt>
            <dd className="text-lg font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
      {materials.length > 0 && <p className="mt-2 text-sm text-soft">Have ready: {materials.map(amountWords).join(', ')}.</p>}
    </div>
  );
}

function Isolate({ item, plan }: { item: ItemPage; plan: care.CleaningPlan }) {
  const setStatus = useSetStatus(item.id);
  if (!plan.isolate) return null;
  return (
    <Notice tone="act">
      <p className="font-semibold">Move it away from the rest now.</p>
      <p>
        {surfaceTitle(plan.isolate.surface)}: {plan.isolate.reason}
      </p>
      {item.status === 'quarantined' ? (
        <p className="mt-2 text-sm">It is in quarantine; the next looks are scheduled.</p>
      ) : (
        <Button
          className="mt-2"
          disabled={setStatus.isPending}
          onClick={() => setStatus.mutate({ version: item.version, status: 'quarantined' })}
        >
          Move to quarantine
        </Button>
      )}
      {setStatus.error && <Failure error={setStatus.error} />}
    </Notice>
  );
}

function Plan({
  item,
  mySchools,
  currency,
  onHand,
}: {
  item: ItemPage;
  mySchools: care.Schools;
  currency: string;
  onHand: care.OnHand[] | null;
}) {
  const navigate = useNavigate();
  const [params, setParams] = useSearchParams();
  const start = useStartCleaning();
  const place = placeFrom(params);
  const conditions = conditionsFrom(params);
  const schools = schoolsFrom(params, mySchools);
  const findings = item.surfaces.flatMap((s) => s.findings.map((f) => ({ ...f, surface: s.surface })));
  const request: care.PlanRequest = {
    item: { kind: item.kind, traits: item.traits },
    findings,
    place,
    conditions,
    schools,
    ...(onHand ? { onHand } : {}),
  };
  const requestText = JSON.stringify(request);
  // The request is small; its text tells reliably when it has changed.
  const plan = useMemo(() => care.planCleaning(JSON.parse(requestText) as care.PlanRequest), [requestText]);
  const set = (key: string, value: string | null) => setParams(withChoice(params, key, value), { replace: true });

  const inPlan = [...new Set([...plan.steps, ...plan.refused, ...plan.handOver].map((s) => s.surface))];
  const surfaces = care.inWorkingOrder(inPlan);
  const asked = params.get('surface') as care.Surface | null;
  const selected =
    asked && surfaces.includes(asked) ? asked : (surfaces.find((s) => plan.steps.some((t) => t.surface === s)) ?? surfaces[0] ?? null);
  const begin = () => start.mutate({ itemId: item.id, place, conditions, schools }, { onSuccess: (c) => void navigate(`/bench/${c.id}`) });

  return (
    <Page
      title={<>Plan: {item.name}</>}
      sub={plan.summary}
      actions={
        item.openCleaningId ? (
          <ButtonLink look="filled" to={`/bench/${item.openCleaningId}`}>
            Go on at the bench
          </ButtonLink>
        ) : plan.steps.length > 0 ? (
          <Button look="filled" disabled={start.isPending} onClick={begin}>
            Start cleaning
          </Button>
        ) : (
          <ButtonLink to={`/gear/${item.id}`}>Back to the thing</ButtonLink>
        )
      }
    >
      {start.error && <Failure error={start.error} />}
      <div className="mb-4 flex flex-wrap items-center gap-2" role="group" aria-label="Where">
        <Toggle on={place === 'home'} onChange={() => set('place', null)}>
          At home
        </Toggle>
        <Toggle on={place === 'field'} onChange={() => set('place', 'field')}>
          In the field
        </Toggle>
        {place === 'field' &&
          Object.entries(CONDITION_WORDS).map(([key, words]) => (
            <Toggle key={key} on={params.has(key)} onChange={(on) => set(key, on ? '1' : null)}>
              {words}
            </Toggle>
          ))}
      </div>
      <div className="grid gap-6 lg:grid-cols-12">
        <div className="min-w-0 space-y-4 lg:col-span-6">
          <Isolate item={item} plan={plan} />
          <div className="sheet p-3">
            <LightPath
              kind={item.kind}
              traits={item.traits}
              states={item.surfaces}
              selected={selected}
              onSelect={(s) => surfaces.includes(s) && set('surface', s)}
            />
            {surfaces.length > 0 && selected && (
              <SurfaceTabs surfaces={surfaces} plan={plan} selected={selected} onSelect={(s) => set('surface', s)} />
            )}
          </div>
          {plan.steps.length > 0 && <Totals plan={plan} currency={currency} />}
          <SchoolSwitches
            schools={schools}
            used={care.SCHOOL_IDS}
            onChange={(school, choice) => set(`school.${school}`, choice === mySchools[school] ? null : choice)}
          />
        </div>
        <div className="min-w-0 space-y-6 lg:col-span-6">
          {selected ? (
            <Section title={surfaceTitle(selected)} aside="begin at the foot; stop at the first rung that does it">
              <div className="sheet p-3">
                <TouchLadder surface={selected} plan={plan} />
              </div>
              <SchoolNotes steps={plan.steps.filter((s) => s.surface === selected)} />
            </Section>
          ) : (
            <Empty title="Leave it" action={<ButtonLink to={`/gear/${item.id}`}>Back to the thing</ButtonLink>}>
              {findings.length === 0 && item.surfaces.length === 0
                ? 'It has not been looked at yet. Look first; a clean without evidence is only wear.'
                : plan.summary}
            </Empty>
          )}
          <Cautions cautions={plan.cautions} />
          <Missing missing={plan.missing} />
          <ReasonList title="Waits for home" entries={plan.deferred} />
          <ReasonList title="Leave alone" entries={plan.leaveAlone} />
        </div>
      </div>
    </Page>
  );
}

export function PlanPage() {
  const { id = '' } = useParams();
  const item = useItem(id);
  const settings = useSettings();
  const drawer = useDrawer();
  const failed = [item, settings, drawer].find((q) => q.isError);
  if (failed) return <Failure error={failed.error} onRetry={() => void failed.refetch()} />;
  if (!item.data || !settings.data || !drawer.data) return <Loading />;
  const { supplies: things } = drawer.data;
  // An empty drawer means that none is kept.
  const onHand = things.length > 0 ? supplies.onHandFrom(things) : null;
  return <Plan item={item.data} mySchools={settings.data.schools} currency={settings.data.currency} onHand={onHand} />;
}
