import type { Cleaning, ItemPage } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { ShieldAlert, Undo2, X } from 'lucide-react';
import { useCallback, useMemo, type ReactNode } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useSavedDocument } from '../../api/useSavedDocument';
import { LightPath } from '../../ui/lightpath/LightPath';
import { FacePicture } from '../../ui/lightpath/SoilPicture';
import { Button, ButtonLink, Empty, Failure, Loading, Notice } from '../../ui/parts';
import { SaveMark } from '../../ui/SaveMark';
import { capital, findingsWords, surfaceTitle } from '../../ui/words';
import { OUTCOME_WORDS } from '../gear/words';
import { useItem } from '../gear/queries';
import { useBenchKeys, type BenchCommand } from './benchKeys';
import { MotionDrawing } from './MotionDrawing';
import { cacheCleaning, saveCleaning, useCleaning, useDropCleaning, useFinishCleaning } from './queries';
import { actionFor, benchReducer, type BenchDraft } from './state';
import { ANSWER_WORDS, inHand, LEVEL_WORDS } from './words';

const draftOf = (cleaning: Cleaning): BenchDraft => ({ events: cleaning.events });

/** Big enough for a thumb in a glove and an eye without its glasses. */
const BIG = 'min-h-16 rounded px-6 text-lg';

function BigButton({ filled = false, hint, className = '', ...rest }: { filled?: boolean; hint?: string; className?: string; children: ReactNode; onClick: () => void; disabled?: boolean }) {
  const { children, ...props } = rest;
  return (
    <button type="button" {...props} className={`${BIG} ${filled ? 'bg-fill font-semibold text-on-fill' : 'border-2 border-soft bg-sheet'} disabled:opacity-50 ${className}`}>
      {children}{hint && <span className="block text-sm font-normal opacity-80">{hint}</span>}
    </button>
  );
}

const Lines = ({ title, lines }: { title: string; lines: readonly string[] }) => (
  <div>
    <h2 className="text-xl font-semibold lg:text-2xl">{title}</h2>
    <ul className="mt-4 space-y-3">{lines.map((l) => <li key={l} className="flex gap-3 text-lg"><span aria-hidden="true" className="text-lamp">–</span>{l}</li>)}</ul>
  </div>
);

const CautionLines = ({ hazards }: { hazards: readonly care.HazardId[] }) => (
  <>
    {hazards.map((h) => (
      <p key={h} className="flex gap-3 rounded bg-act-tint px-4 py-2">
        <ShieldAlert size={20} className="mt-0.5 shrink-0 text-act" aria-hidden="true" />
        <span><b>{care.HAZARDS[h].name}.</b> {care.HAZARDS[h].caution}{care.HAZARDS[h].wear.length > 0 && ` Wear: ${care.HAZARDS[h].wear.join(', ').replace('-', ' ')}.`}</span>
      </p>
    ))}
  </>
);

function StepCard({ step, attempt }: { step: care.Step; attempt: number }) {
  const facts = care.METHODS[step.method];
  return (
    <div className="space-y-4">
      <p className="text-soft"><span className="font-semibold text-ink">{surfaceTitle(step.surface)}</span> · rung {step.level}, {LEVEL_WORDS[step.level]?.toLowerCase()} {attempt > 1 && '· second try, fresh patch'}</p>
      <h2 className="text-2xl leading-none font-semibold">{facts.name}{step.completes ? ' again' : ''}</h2>
      <p className="text-lg">{step.completes ? 'The brush let go of what sat in the rim: ' : ''}{facts.how}</p>
      {inHand(step) && <p className="text-lg"><span className="text-soft">Take:</span> <b>{inHand(step)}</b></p>}
      <MotionDrawing motion={step.motion} orientation={step.orientation} />
      <CautionLines hazards={step.cautions} />
    </div>
  );
}

const LookCard = ({ step }: { step: care.Step }) => (
  <div className="space-y-4">
    <p className="text-soft"><span className="font-semibold text-ink">{surfaceTitle(step.surface)}</span> · after: {care.METHODS[step.method].name.toLowerCase()}</p>
    <h2 className="text-2xl leading-none font-semibold">{step.look!.asks === 'grains' ? 'Any grains left?' : 'Look'}</h2>
    <p className="text-lg">{step.look!.lamp}</p>
    <p className="text-lg"><span className="text-soft">Look for:</span> {step.look!.for}</p>
  </div>
);

/** The rungs of this surface in order: done, the one one stands on, and those that may not be needed. */
function Rungs({ steps, standing, done }: { steps: readonly care.Step[]; standing: care.Step; done: readonly string[] }) {
  const own = steps.filter((s) => s.surface === standing.surface);
  return (
    <ol aria-label="Rungs for this surface" className="relative mt-3 flex gap-1.5 overflow-x-auto lg:mt-4 lg:flex-wrap">
      {own.map((s) => (
        <li key={s.id} aria-current={s === standing ? 'step' : undefined} className={`rounded border px-2.5 py-1 whitespace-nowrap ${s === standing ? 'border-lamp bg-lamp-tint font-semibold' : 'border-line text-soft'}`}>
          <span className="font-mono text-sm">{s.level}</span> {care.METHODS[s.method].name}{done.includes(s.id) && s !== standing && <span aria-label="done"> ✓</span>}
        </li>
      ))}
    </ol>
  );
}

/** What the last look saw here, as it showed under the lamp. */
function WhatLies({ surface, findings }: { surface: care.Surface; findings: readonly care.Finding[] }) {
  const here = findings.filter((f) => f.surface === surface);
  return (
    <div className="mt-6 hidden items-center gap-4 lg:flex">
      <FacePicture layers={here.map((f) => ({ pattern: care.SOILS[f.soil].pattern, severity: f.severity }))} className="size-28 shrink-0" />
      <p><span className="block text-sm text-soft">Seen at the last look</span>{capital(findingsWords(here))}</p>
    </div>
  );
}

function Outcomes({ cleaning, events }: { cleaning: Cleaning; events: care.BenchEvent[] }) {
  const { contacts } = care.benchState(cleaning.plan, events);
  return (
    <ul className="sheet divide-y divide-line">
      {Object.entries(care.outcomesOf(cleaning.plan, events)).map(([surface, outcome]) => (
        <li key={surface} className="flex justify-between gap-4 px-4 py-2">
          <span>{surfaceTitle(surface as care.Surface)}</span>
          <span><b>{OUTCOME_WORDS[outcome]}</b> <span className="text-soft">· {contacts[surface as care.Surface] ?? 0} touches</span></span>
        </li>
      ))}
    </ul>
  );
}

/** What the plan says and has been done so far, one card at a time. */
function Card({ cleaning, events, state }: { cleaning: Cleaning; events: care.BenchEvent[]; state: care.BenchState }) {
  const { step } = state;
  if (state.phase === 'prepare') return <Lines title="Before you begin" lines={cleaning.plan.prepare} />;
  if (state.phase === 'step' && step) return <StepCard step={step} attempt={state.attempt} />;
  if (state.phase === 'look' && step) return <LookCard step={step} />;
  return <div className="space-y-5"><Lines title="Done. Put it away" lines={cleaning.plan.close} /><Outcomes cleaning={cleaning} events={events} /></div>;
}

function Controls({ state, act, onFinish, finishing }: { state: care.BenchState; act: (event: care.BenchEvent) => void; onFinish: () => void; finishing: boolean }) {
  const { phase, step } = state;
  if (phase === 'prepare') return <BigButton filled className="w-full" onClick={() => act({ type: 'ready' })}>Ready</BigButton>;
  if (phase === 'step' && step) return <BigButton filled className="w-full" onClick={() => act({ type: 'done', step: step.id })}>Done, now look</BigButton>;
  if (phase === 'look' && step) {
    const words = ANSWER_WORDS[step.look!.asks];
    return (
      <div className="grid grid-cols-3 gap-2">
        {care.ANSWERS.map((answer) => <BigButton key={answer} className="px-2" hint={words[answer].then} onClick={() => act({ type: 'answer', step: step.id, answer })}>{words[answer].name}</BigButton>)}
      </div>
    );
  }
  return <BigButton filled className="w-full" disabled={finishing} onClick={onFinish}>Put it in the log</BigButton>;
}

function Bench({ cleaning, item }: { cleaning: Cleaning; item: ItemPage }) {
  const navigate = useNavigate();
  const save = useMemo(() => saveCleaning(cleaning.id), [cleaning.id]);
  const doc = useSavedDocument({ loaded: cleaning, draftOf, save, onSaved: cacheCleaning });
  const finish = useFinishCleaning(cleaning.id);
  const drop = useDropCleaning(cleaning);
  const { draft, change } = doc;
  const state = useMemo(() => care.benchState(cleaning.plan, draft.events), [cleaning.plan, draft.events]);
  const act = (event: care.BenchEvent) => change(benchReducer(draft, { type: 'event', event }));
  const undo = () => change(benchReducer(draft, { type: 'undo' }));
  const onCommand = useCallback((command: BenchCommand) => {
    const action = actionFor(command, state);
    if (action) change(benchReducer(draft, action));
  }, [state, draft, change]);
  useBenchKeys(onCommand);

  const touched = Object.keys(state.contacts).length > 0;
  const end = async () => finish.mutate(await doc.settled(), { onSuccess: () => void navigate(`/gear/${item.id}`) });
  const leave = async () => {
    await doc.settled();
    drop.mutate(undefined, { onSuccess: () => void navigate(`/gear/${item.id}/plan`) });
  };
  const surfaces = [...new Set(cleaning.plan.steps.map((s) => s.surface))];
  const at = state.step ? surfaces.indexOf(state.step.surface) + 1 : state.phase === 'close' ? surfaces.length : 0;

  return (
    <main className="flex h-dvh flex-col bg-page">
      <header className="flex items-center justify-between gap-3 border-b border-line bg-sheet px-4 py-2">
        <div className="min-w-0">
          <h1 className="truncate font-semibold">{cleaning.itemName}</h1>
          <p className="flex flex-wrap items-center gap-x-2 text-sm text-soft">{at > 0 ? `surface ${at} of ${surfaces.length}` : `${surfaces.length} ${surfaces.length === 1 ? 'surface' : 'surfaces'}`} <SaveMark state={doc.state} /></p>
        </div>
        <div className="flex shrink-0 gap-2 whitespace-nowrap">
          <Button className="max-sm:px-3" onClick={undo} disabled={draft.events.length === 0}><Undo2 size={18} aria-hidden="true" /> Undo</Button>
          {touched || state.phase === 'close'
            ? state.phase !== 'close' && <Button className="max-sm:px-3" onClick={() => act({ type: 'stop' })}><X size={18} aria-hidden="true" /> Stop here</Button>
            : <Button disabled={drop.isPending} onClick={() => void leave()}><X size={18} aria-hidden="true" /> Back to the plan</Button>}
        </div>
      </header>
      {doc.newer && <Notice tone="attention">This cleaning went on in another window. <Button className="ml-2" onClick={() => doc.takeNewer(doc.newer!)}>Take that state</Button></Notice>}
      {(finish.error ?? drop.error) && <Failure error={finish.error ?? drop.error} />}
      <div className="grid min-h-0 flex-1 overflow-y-auto lg:grid-cols-2">
        <div className="border-line p-4 max-lg:pb-0 lg:border-r lg:p-8">
          <div className="mx-auto max-w-md lg:max-w-none"><LightPath kind={item.kind} traits={item.traits} states={item.surfaces} selected={state.step?.surface ?? null} /></div>
          {state.step && <Rungs steps={cleaning.plan.steps} standing={state.step} done={state.done} />}
          {state.step && <WhatLies surface={state.step.surface} findings={cleaning.request.findings} />}
          {state.step && <p className="mt-6 hidden text-soft lg:block">Space or → does the big button; 1, 2, 3 answer a look; ← undoes. A foot pedal works too.</p>}
        </div>
        <div className="p-4 lg:p-8" aria-live="polite"><Card cleaning={cleaning} events={draft.events} state={state} /></div>
      </div>
      <footer className="border-t border-line bg-sheet p-3 pb-[max(12px,env(safe-area-inset-bottom))]">
        <div className="mx-auto max-w-3xl space-y-2">
          <Controls state={state} act={act} onFinish={() => void end()} finishing={finish.isPending} />
          {state.step && <Button look="quiet" className="w-full" onClick={() => act({ type: 'leave-surface', surface: state.step!.surface })}>Leave the {care.SURFACES[state.step.surface].name} as it is</Button>}
        </div>
      </footer>
    </main>
  );
}

export function BenchPage() {
  const { id = '' } = useParams();
  const cleaning = useCleaning(id);
  const item = useItem(cleaning.data?.itemId ?? '');
  if (cleaning.isError) return <Failure error={cleaning.error} onRetry={() => void cleaning.refetch()} />;
  if (cleaning.isPending) return <Loading />;
  if (item.isError) return <Failure error={item.error} onRetry={() => void item.refetch()} />;
  if (item.isPending) return <Loading />;
  if (cleaning.data.finishedAt) return <Empty title="This cleaning is finished" action={<ButtonLink look="filled" to={`/gear/${item.data.id}`}>Back to the {item.data.name}</ButtonLink>}>It is in the log.</Empty>;
  return <Bench key={id} cleaning={cleaning.data} item={item.data} />;
}
