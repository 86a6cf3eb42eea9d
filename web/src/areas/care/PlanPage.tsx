import type { Drawer, ItemPage } from '@bright-keeper/contract';
import { care, supplies } from '@bright-keeper/core';
import { becauseWords, summaryWords } from '@bright-keeper/words';
import { useMemo } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { LightPath } from '../../ui/lightpath/LightPath';
import { Button, ButtonLink, Empty, Failure, Loading, Notice, Page, Section } from '../../ui/parts';
import { capital, surfaceTitle } from '../../ui/words';
import { useItem, useSetStatus } from '../gear/queries';
import { useSettings } from '../settings/queries';
import { useDrawer } from '../supplies/queries';
import { CompareSchools } from './CompareSchools';
import { AIR_WORDS, comparedFrom, conditionsFrom, CONDITION_WORDS, placeFrom, schoolsFrom, withChoice } from './planChoices';
import { AlsoLook, Openings } from './PlanOffers';
import { AirField, Cautions, DrawerNote, Missing, ReasonList, SchoolSwitches, SurfaceTabs, Toggle, Totals } from './PlanParts';
import { useStartCleaning } from './queries';
import { KeepForHome } from './KeepForHome';
import { SchoolNotes } from './SchoolNotes';
import { StrokesDrawing } from './StrokesDrawing';
import { TouchLadder } from './TouchLadder';

function Isolate({ item, plan }: { item: ItemPage; plan: care.CleaningPlan }) {
  const setStatus = useSetStatus(item.id);
  if (!plan.isolate) return null;
  return (
    <Notice tone="act">
      <p className="font-semibold">Move it away from the rest now.</p>
      <p>
        {surfaceTitle(plan.isolate.surface)}: {becauseWords(plan.isolate)}
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

/** A finish turned tacky is not left: it is aired. */
const isAired = ({ soil }: care.CleaningPlan['leaveAlone'][number]): boolean => soil === 'sticky-coating';

function Plan({
  item,
  mySchools,
  currency,
  drawer,
  sensorRehearsed,
}: {
  item: ItemPage;
  mySchools: care.Schools;
  currency: string;
  drawer: Drawer;
  sensorRehearsed: boolean;
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
    // An empty drawer means that none is kept.
    ...(drawer.supplies.length > 0 ? { onHand: supplies.onHandFrom(drawer.supplies), moreOnHand: !drawer.isAll } : {}),
    sensorRehearsed,
  };
  const requestText = JSON.stringify(request);
  // The request is small; its text tells reliably when it has changed.
  const plan = useMemo(() => care.planCleaning(JSON.parse(requestText) as care.PlanRequest), [requestText]);
  const set = (key: string, value: string | null) => setParams(withChoice(params, key, value), { replace: true });

  const inPlan = [...new Set([...plan.steps, ...plan.refused, ...plan.handOver, ...plan.openings].map((s) => s.surface))];
  const surfaces = care.inWorkingOrder(inPlan);
  const asked = params.get('surface') as care.Surface | null;
  const selected =
    asked && surfaces.includes(asked) ? asked : (surfaces.find((s) => plan.steps.some((t) => t.surface === s)) ?? surfaces[0] ?? null);
  const strokes = plan.steps.find((s) => s.surface === selected && s.sensor)?.sensor?.strokes;
  // Cold and damp are asked for only where a fluid would be used out there, or is held back by them.
  const airDecides =
    place === 'field' &&
    (plan.steps.some((s) => s.fluidGoes || s.method === 'wet-wipe') || plan.refused.some((r) => r.rule === 'no-fluid-in-frost-or-dew'));
  const begin = () => start.mutate({ itemId: item.id, place, conditions, schools }, { onSuccess: (c) => void navigate(`/bench/${c.id}`) });

  return (
    <Page
      title={<>Plan: {item.name}</>}
      sub={summaryWords(plan.summary)}
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
        {airDecides &&
          (Object.keys(AIR_WORDS) as (keyof typeof AIR_WORDS)[]).map((key) => (
            <AirField key={key} label={AIR_WORDS[key]} value={params.get(key) ?? ''} onChange={(text) => set(key, text || null)} />
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
          {plan.steps.length > 0 && drawer.supplies.length > 0 && !drawer.isAll && <DrawerNote />}
          <SchoolSwitches
            schools={schools}
            used={care.CARE_SCHOOL_IDS}
            onChange={(school, choice) => set(`school.${school}`, choice === mySchools[school] ? null : choice)}
          />
        </div>
        <div className="min-w-0 space-y-6 lg:col-span-6">
          {selected ? (
            <Section title={surfaceTitle(selected)} aside="begin at the foot; stop at the first rung that does it">
              <div className="sheet p-3">
                <TouchLadder surface={selected} plan={plan} />
                {strokes && <StrokesDrawing strokes={strokes} format={item.traits.sensorFormat ?? 'full-frame'} />}
              </div>
              <SchoolNotes steps={plan.steps.filter((s) => s.surface === selected)} />
            </Section>
          ) : (
            <Empty title="Leave it" action={<ButtonLink to={`/gear/${item.id}`}>Back to the thing</ButtonLink>}>
              {findings.length === 0 && item.surfaces.length === 0
                ? 'It has not been looked at yet. Look first; a clean without evidence is only wear.'
                : summaryWords(plan.summary)}
            </Empty>
          )}
          <Openings itemId={item.id} openings={plan.openings} />
          <ReasonList
            title="What for"
            entries={plan.worthIt.filter((w) => w.surface === selected)}
            named={({ soil }) => capital(care.SOILS[soil].name)}
          />
          <Cautions cautions={plan.cautions} />
          <Missing missing={plan.missing} />
          <ReasonList title="Waits for home" entries={plan.deferred} />
          {plan.deferred.length > 0 && <KeepForHome itemId={item.id} conditions={conditions} schools={schools} />}
          <ReasonList title="Air it" entries={plan.leaveAlone.filter(isAired)} />
          <ReasonList title="Leave alone" entries={plan.leaveAlone.filter((l) => !isAired(l))} />
          <AlsoLook itemId={item.id} entries={plan.alsoLook} />
        </div>
      </div>
      {selected && (
        <CompareSchools
          request={request}
          schools={schools}
          surface={selected}
          currency={currency}
          compared={comparedFrom(params)}
          onCompare={(school) => set('compare', school)}
        />
      )}
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
  return (
    <Plan
      item={item.data}
      mySchools={settings.data.schools}
      currency={settings.data.currency}
      drawer={drawer.data}
      sensorRehearsed={settings.data.sensorRehearsedOn !== null}
    />
  );
}
