import type { Cleaning } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { howTo, lineWords, lookWords, OUTCOME_WORDS } from '@bright-keeper/words';
import { outside } from '../../outside';
import { FacePicture } from '../../ui/lightpath/SoilPicture';
import { capital, findingsWords, surfaceTitle, touchesWords } from '../../ui/words';
import { BigButton } from './BigButton';
import { CautionLines } from './CautionLines';
import { VapourLines } from './VapourLines';
import { MotionDrawing } from './MotionDrawing';
import { DryRun, PowerCheck, RunningExposure, StartExposure } from './SensorCards';
import { SpecksAtTheBench } from '../sensor';
import { StrokesDrawing } from './StrokesDrawing';
import { Late, Reading } from './EndingCards';
import { doneEvent } from './state';
import { RoundCard, RoundControls, RoundLook } from './RoundCards';
import { ThingChoice } from './ThingChoice';
import { ANSWER_WORDS, EFFORT_WORDS, FLUID_WORDS, inHand, LEVEL_WORDS } from './words';

const Lines = ({ title, lines }: { title: string; lines: readonly string[] }) => (
  <div>
    <h2 className="text-xl font-semibold lg:text-2xl">{title}</h2>
    <ul className="mt-4 space-y-3">
      {lines.map((l) => (
        <li key={l} className="flex gap-3 text-lg">
          <span aria-hidden="true" className="text-lamp">
            –
          </span>
          {l}
        </li>
      ))}
    </ul>
  </div>
);

/** How hard it turns, from free to stuck: before the first drop, then after each. */
const TurningButtons = ({ step, act }: { step: care.Step; act: (event: care.BenchEvent) => void }) => (
  <div className="grid grid-cols-5 gap-1.5">
    {care.EFFORTS.map((effort) => (
      <BigButton key={effort} className="px-1" onClick={() => act({ type: 'turning', step: step.id, effort })}>
        {EFFORT_WORDS[effort]}
      </BigButton>
    ))}
  </div>
);

const hasSensor = (step: care.Step): step is care.Step & { sensor: care.SensorWork } => step.sensor !== null;

type StepCardProps = {
  itemId: string;
  step: care.Step;
  state: care.BenchState;
  traits: care.Traits;
  act: (event: care.BenchEvent) => void;
};

function StepCard({ itemId, step, state, traits, act }: StepCardProps) {
  const facts = care.METHODS[step.method];
  const { attempt } = state;
  return (
    <div className="space-y-4">
      <p className="text-soft">
        <span className="font-semibold text-ink">{surfaceTitle(step.surface)}</span> · {LEVEL_WORDS[step.level]?.toLowerCase()}{' '}
        {attempt > 1 && '· second try, fresh patch'}
      </p>
      <h2 className="text-2xl leading-none font-semibold">
        {facts.name}
        {step.completes ? ' again' : ''}
      </h2>
      <p className="text-lg">
        {step.completes ? 'The brush let go of what sat in the rim: ' : ''}
        {howTo(step)}
      </p>
      {inHand(step) && (
        <p className="text-lg">
          <span className="text-soft">Take:</span> <b>{inHand(step)}</b>
        </p>
      )}
      <ThingChoice step={step} taken={state.taken[step.id] ?? {}} act={act} />
      {step.fluidGoes && <p className="text-lg">{FLUID_WORDS[step.fluidGoes]}</p>}
      {step.sensor ? (
        <>
          <StrokesDrawing strokes={step.sensor.strokes} format={traits.sensorFormat ?? 'full-frame'} />
          <SpecksAtTheBench itemId={itemId} />
        </>
      ) : (
        <MotionDrawing motion={step.motion} orientation={step.orientation} />
      )}
      <CautionLines hazards={step.cautions} />
      <VapourLines uses={step.uses} />
    </div>
  );
}

const LOOK_TITLES: Record<care.Look['asks'], string> = {
  grains: 'Any grains left?',
  crystals: 'Any salt left?',
  clean: 'Look',
  turning: 'Feel how it turns',
};

const LookCard = ({ step, asks }: { step: care.Step; asks: care.Look['asks'] }) => (
  <div className="space-y-4">
    <p className="text-soft">
      <span className="font-semibold text-ink">{surfaceTitle(step.surface)}</span> · after: {care.METHODS[step.method].name.toLowerCase()}
    </p>
    <h2 className="text-2xl leading-none font-semibold">
      {asks === 'clean' && step.look!.asks !== 'clean' ? 'And the rest of it?' : LOOK_TITLES[asks]}
    </h2>
    <p className="text-lg">{lookWords(step)!.lamp}</p>
    <p className="text-lg">
      <span className="text-soft">Look for:</span>{' '}
      {asks === step.look!.asks ? lookWords(step)!.for : 'Whatever else lies there: the grains or the salt are gone.'}
    </p>
  </div>
);

/** The rungs of this surface in order: done, the one one stands on, and those that may not be needed. */
export function Rungs({ steps, standing, done }: { steps: readonly care.Step[]; standing: care.Step; done: readonly string[] }) {
  const own = steps.filter((s) => s.surface === standing.surface);
  return (
    <ol aria-label="Ways to clean this surface, gentlest first" className="mt-3 flex flex-wrap gap-1.5 lg:mt-4">
      {own.map((s) => (
        <li
          key={s.id}
          aria-current={s === standing ? 'step' : undefined}
          className={`rounded border px-2.5 py-1 whitespace-nowrap ${s === standing ? 'border-lamp bg-lamp-tint font-semibold' : 'border-line text-soft'}`}
        >
          {care.METHODS[s.method].name}
          {done.includes(s.id) && s !== standing && <span aria-label="done"> ✓</span>}
        </li>
      ))}
    </ol>
  );
}

/** What the last look saw here, as it showed under the lamp. */
export function WhatLies({ surface, findings }: { surface: care.Surface; findings: readonly care.Finding[] }) {
  const here = findings.filter((f) => f.surface === surface);
  return (
    <div className="mt-6 hidden items-center gap-4 lg:flex">
      <FacePicture layers={here.map((f) => ({ pattern: care.SOILS[f.soil].pattern, severity: f.severity }))} className="size-28 shrink-0" />
      <p>
        <span className="block text-sm text-soft">Seen at the last look</span>
        {capital(findingsWords(here))}
      </p>
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
          <span>
            <b>{OUTCOME_WORDS[outcome]}</b> <span className="text-soft">· {touchesWords(contacts[surface as care.Surface] ?? 0)}</span>
          </span>
        </li>
      ))}
    </ul>
  );
}

/** What has to happen before a swab goes in: a dry run, safe power, an open shutter. */
function SensorWaiting({
  waiting,
  step,
  format,
  act,
}: {
  waiting: Exclude<care.Waiting, 'turning'>;
  step: care.Step & { sensor: care.SensorWork };
  format: care.SensorFormatId;
  act: (event: care.BenchEvent) => void;
}) {
  switch (waiting) {
    case 'dry-run':
      return <DryRun step={step} act={act} format={format} />;
    case 'power':
      return <PowerCheck step={step} act={act} />;
    case 'exposure':
      return <StartExposure step={step} act={act} />;
    default:
      return waiting satisfies never;
  }
}

/** What the plan says and has been done so far, one card at a time. */
export function Card({
  cleaning,
  events,
  state,
  act,
}: {
  cleaning: Cleaning;
  events: care.BenchEvent[];
  state: care.BenchState;
  act: (event: care.BenchEvent) => void;
}) {
  const { step } = state;
  const waiting = state.phase === 'step' ? care.waitingFor(state) : null;
  if (step && hasSensor(step) && waiting && waiting !== 'turning')
    return <SensorWaiting waiting={waiting} step={step} format={cleaning.request.item.traits.sensorFormat ?? 'full-frame'} act={act} />;
  if (state.phase === 'prepare') return <Lines title="Before you begin" lines={cleaning.plan.prepare.map(lineWords)} />;
  if (state.phase === 'round') return <RoundCard state={state} />;
  if (state.phase === 'round-look') return <RoundLook state={state} act={act} />;
  if (state.phase === 'step' && step)
    return <StepCard itemId={cleaning.itemId} step={step} state={state} traits={cleaning.request.item.traits} act={act} />;
  if (state.phase === 'look' && step) return <LookCard step={step} asks={care.asksNow(state, step)} />;
  if (state.phase === 'late' && step) return <Late step={step} act={act} />;
  if (state.phase === 'reading' && step) return <Reading step={step} act={act} />;
  return (
    <div className="space-y-5">
      <Lines title="Done. Put it away" lines={care.closingAsDone(cleaning.plan.close, state.contacts).map(lineWords)} />
      <Outcomes cleaning={cleaning} events={events} />
    </div>
  );
}

export function Controls({
  state,
  act,
  onFinish,
  finishing,
}: {
  state: care.BenchState;
  act: (event: care.BenchEvent) => void;
  onFinish: () => void;
  finishing: boolean;
}) {
  const { phase, step } = state;
  if (phase === 'prepare')
    return (
      <BigButton filled className="w-full" onClick={() => act({ type: 'ready' })}>
        Ready
      </BigButton>
    );
  if (state.round) return <RoundControls state={state} act={act} />;
  const waiting = phase === 'step' ? care.waitingFor(state) : null;
  if (waiting === 'turning' && step)
    return (
      <div className="space-y-2">
        <p className="text-center">Before the first drop: how hard does it turn?</p>
        <TurningButtons step={step} act={act} />
      </div>
    );
  // Before a swab goes in, and where one is asked what a mark is, what to do stands on the card.
  if (waiting || phase === 'late' || phase === 'reading') return null;
  if (phase === 'step' && step)
    return (
      <div className="space-y-3">
        {hasSensor(step) && state.exposure && <RunningExposure exposure={state.exposure} />}
        <BigButton filled className="w-full" onClick={() => act(doneEvent(state, step, outside.now()))}>
          {step.sensor ? 'I am out, nothing is inside' : step.look ? 'Done, now look' : 'Done'}
        </BigButton>
      </div>
    );
  if (phase === 'look' && step?.look?.asks === 'turning') return <TurningButtons step={step} act={act} />;
  if (phase === 'look' && step) {
    const asks = care.asksNow(state, step);
    const words = ANSWER_WORDS[asks === 'turning' ? 'clean' : asks];
    return (
      <div className="grid grid-cols-3 gap-2">
        {care.ANSWERS.map((answer) => (
          <BigButton key={answer} className="px-2" hint={words[answer].then} onClick={() => act({ type: 'answer', step: step.id, answer })}>
            {words[answer].name}
          </BigButton>
        ))}
      </div>
    );
  }
  return (
    <BigButton filled className="w-full" disabled={finishing} onClick={onFinish}>
      Put it in the log
    </BigButton>
  );
}
