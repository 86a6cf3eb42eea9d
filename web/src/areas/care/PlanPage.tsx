import type { ItemPage } from '@bright-keeper/contract';
import { care, supplies } from '@bright-keeper/core';
import { becauseWords, summaryWords } from '@bright-keeper/words';
import type { ReactNode } from 'react';
import { useNavigate, useParams } from 'react-router';
import { LightPath } from '../../ui/lightpath/LightPath';
import { Button, ButtonLink, Empty, Failure, Loading, Notice, Page, Section } from '../../ui/parts';
import { capital, surfaceTitle } from '../../ui/words';
import { useInSlices } from '../../ui/useInSlices';
import { useItem, useSetStatus } from '../gear';
import { LookButton } from '../inspection';
import { useSettings } from '../settings';
import { useDrawer } from '../supplies';
import { CompareSchools } from './CompareSchools';
import { comparedFrom } from './planChoices';
import { AlsoLook, Openings } from './PlanOffers';
import { Cautions, DrawerNote, Missing, PractiseFirst, ReasonList, SurfaceTabs, Totals } from './PlanParts';
import { airDecides, type PlanOf } from './planView';
import { useRungs, useStartCleaning } from './queries';
import { aheadWords, ladderOdds, type LadderOdds } from './ladderOdds';
import { KeepForHome } from './KeepForHome';
import { SchoolNotes } from './SchoolNotes';
import { SchoolSwitches } from './SchoolSwitches';
import { StrokesDrawing } from './StrokesDrawing';
import { TouchLadder } from './TouchLadder';
import { usePlan } from './usePlan';
import { Where } from './Where';

function Isolate({ item, plan }: { item: ItemPage; plan: care.CleaningPlan }) {
  const setStatus = useSetStatus(item.id);
  if (!plan.isolate) return null;
  return (
    <Notice tone="act">
      <p className="font-semibold">{item.status === 'quarantined' ? 'It lies apart from the rest.' : 'Move it away from the rest now.'}</p>
      <p>
        {surfaceTitle(plan.isolate.surface)}: {becauseWords(plan.isolate)}
      </p>
      {item.status === 'quarantined' ? (
        <p className="mt-2 text-sm">The next looks are scheduled; it stays apart until three of them in a row were clean.</p>
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

const WAITS_WORDS: Record<care.WaitsUntil, string> = {
  home: 'Waits for home',
  clear: 'After the fog has cleared',
  dry: 'After it has dried',
  'filter-off': 'When the filter is off',
};

/** A finish turned tacky is not left: it is aired. */
const isAired = ({ soil }: care.CleaningPlan['leaveAlone'][number]): boolean => soil === 'sticky-coating';

type BesidesProps = { plan: care.CleaningPlan; indoors: boolean; selected: care.Surface | null; keep: ReactNode };
/** Everything that is not a rung: what for, with what care, and what is left, missing or put off. */
function Besides({ plan, indoors, selected, keep }: BesidesProps) {
  return (
    <>
      <ReasonList
        title="What for"
        entries={plan.worthIt.filter((w) => w.surface === selected)}
        named={({ soil }) => capital(care.SOILS[soil].name)}
      />
      <Cautions cautions={plan.cautions} uses={indoors ? plan.steps.flatMap((step) => step.uses) : []} />
      <Missing missing={plan.missing} />
      {care.WAITS_UNTIL.map((until) => (
        <ReasonList key={until} title={WAITS_WORDS[until]} entries={plan.deferred.filter((d) => d.until === until)} />
      ))}
      {plan.deferred.some((d) => d.until === 'home') && keep}
      <ReasonList title="Renew" entries={plan.replace} />
      <ReasonList title="Air it" entries={plan.leaveAlone.filter(isAired)} />
      <ReasonList title="Leave alone" entries={plan.leaveAlone.filter((l) => !isAired(l))} />
    </>
  );
}

/** Of what nobody has looked at a plan says nothing, not even that it may be left. */
const isUnseen = (item: ItemPage): boolean => item.surfaces.length === 0 && item.noted.length === 0;

/** The rungs of one surface, or why there are none. */
type RungsProps = { item: ItemPage; plan: care.CleaningPlan; findings: readonly care.Finding[]; selected: care.Surface | null };
function Rungs({ item, plan, findings, selected }: RungsProps) {
  const rungs = useRungs();
  if (!selected)
    return (
      <Empty
        title={isUnseen(item) ? 'Look first' : 'Leave it'}
        action={
          isUnseen(item) && !item.archivedAt ? (
            <LookButton item={item} />
          ) : (
            <ButtonLink to={`/gear/${item.id}`}>Back to the thing</ButtonLink>
          )
        }
      >
        {isUnseen(item) ? 'A clean without evidence is only wear.' : summaryWords(plan.summary)}
      </Empty>
    );
  const own = plan.steps.filter((s) => s.surface === selected);
  const strokes = own.find((s) => s.sensor)?.sensor?.strokes;
  const odds = rungs.data ? ladderOdds(plan, selected, findings, rungs.data.rungs) : null;
  return (
    <Section title={surfaceTitle(selected)} aside="begin at the foot; stop at the first step that does it">
      <div className="sheet p-3">
        <TouchLadder surface={selected} plan={plan} odds={odds?.byStep} />
        {odds && <LadderAhead odds={odds} />}
        {strokes && <StrokesDrawing strokes={strokes} format={item.traits.sensorFormat ?? 'full-frame'} />}
      </div>
      <SchoolNotes steps={own} />
      {selected === 'sensor-cover' && <ButtonLink to={`/gear/${item.id}/frames`}>Its test frames</ButtonLink>}
    </Section>
  );
}

/** What the whole ladder is likely to take, and from where on it wears more than the mark costs. */
const LadderAhead = ({ odds }: { odds: LadderOdds }) => (
  <p className="mt-3 text-sm text-soft">
    {aheadWords(odds)}
    {odds.stopAfter !== null &&
      (odds.stopAfter === 'none'
        ? ' By your own tries no touch is worth its wear here: weigh it before you begin.'
        : ` By your own tries another touch after “${care.METHODS[odds.stopAfter.method].name.toLowerCase()}” wears more than what is left costs in the picture: stop there, unless it shows in yours.`)}
  </p>
);

/** The one thing to do with a plan: begin, go on, or go back. */
function Begin({ item, plan, onBegin, pending }: { item: ItemPage; plan: care.CleaningPlan; onBegin: () => void; pending: boolean }) {
  if (item.openCleaningId)
    return (
      <ButtonLink look="filled" to={`/bench/${item.openCleaningId}`}>
        Go on at the bench
      </ButtonLink>
    );
  if (plan.steps.length === 0) return <ButtonLink to={`/gear/${item.id}`}>Back to the thing</ButtonLink>;
  return (
    <Button look="filled" disabled={pending} onClick={onBegin}>
      Start cleaning
    </Button>
  );
}

function Plan({ currency, ...of }: PlanOf & { currency: string }) {
  const { item, mySchools, drawer } = of;
  const navigate = useNavigate();
  const start = useStartCleaning();
  const { params, request, plan, changes, surfaces, selected, set } = usePlan(of);
  const { place, conditions = {} } = request;
  const schools = { ...mySchools, ...request.schools };
  const begin = () =>
    start.mutate(
      { itemId: item.id, place, conditions, schools, kit: request.kit ?? null, request },
      { onSuccess: (c) => void navigate(`/bench/${c.id}`) },
    );
  const select = (surface: care.Surface) => surfaces.includes(surface) && set('surface', surface);
  return (
    <Page
      title={<>Plan: {item.name}</>}
      sub={isUnseen(item) ? 'It has not been looked at yet.' : summaryWords(plan.summary)}
      actions={<Begin item={item} plan={plan} onBegin={begin} pending={start.isPending} />}
    >
      {start.error && <Failure error={start.error} />}
      <Where
        params={params}
        place={place}
        asksForAir={airDecides(plan, place)}
        kits={supplies.kitsOf(drawer.supplies)}
        kit={request.kit ?? null}
        set={set}
      />
      <div className="grid gap-6 lg:grid-cols-12">
        <div className="min-w-0 space-y-4 lg:col-span-6">
          <Isolate item={item} plan={plan} />
          <div className="sheet p-3">
            <LightPath kind={item.kind} traits={item.traits} states={item.surfaces} selected={selected} onSelect={select} />
            {selected && <SurfaceTabs surfaces={surfaces} plan={plan} selected={selected} onSelect={select} />}
          </div>
          {plan.steps.some((s) => s.sensor?.rehearseFirst) && <PractiseFirst />}
          {plan.steps.length > 0 && <Totals plan={plan} currency={currency} />}
          {plan.steps.length > 0 && request.moreOnHand && <DrawerNote />}
          <SchoolSwitches
            schools={schools}
            changes={changes}
            onChange={(school, choice) => set(`school.${school}`, choice === mySchools[school] ? null : choice)}
          />
        </div>
        <div className="min-w-0 space-y-6 lg:col-span-6">
          <Rungs item={item} plan={plan} findings={request.findings} selected={selected} />
          <Openings itemId={item.id} openings={plan.openings} />
          <Besides
            plan={plan}
            indoors={place === 'home'}
            selected={selected}
            keep={<KeepForHome itemId={item.id} conditions={conditions} schools={schools} kit={request.kit ?? null} />}
          />
          <AlsoLook itemId={item.id} entries={plan.alsoLook} />
        </div>
      </div>
      {selected && (
        <CompareSchools
          request={request}
          schools={schools}
          changes={changes}
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
  const drawing = useInSlices(!item.data || !settings.data || !drawer.data);
  const failed = [item, settings, drawer].find((q) => q.isError);
  if (failed) return <Failure error={failed.error} onRetry={() => void failed.refetch()} />;
  if (drawing || !item.data || !settings.data || !drawer.data) return <Loading />;
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
