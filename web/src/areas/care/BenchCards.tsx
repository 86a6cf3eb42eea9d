import type { Cleaning } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { ShieldAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import { FacePicture } from '../../ui/lightpath/SoilPicture';
import { capital, findingsWords, surfaceTitle, wearWords } from '../../ui/words';
import { OUTCOME_WORDS } from '../gear/words';
import { MotionDrawing } from './MotionDrawing';
import { ANSWER_WORDS, FLUID_WORDS, inHand, LEVEL_WORDS } from './words';

/** Big enough for a thumb in a glove and an eye without its glasses. */
const BIG = 'min-h-16 rounded px-6 text-lg';

function BigButton({
  filled = false,
  hint,
  className = '',
  ...rest
}: {
  filled?: boolean;
  hint?: string;
  className?: string;
  children: ReactNode;
  onClick: () => void;
  disabled?: boolean;
}) {
  const { children, ...props } = rest;
  return (
    <button
      type="button"
      {...props}
      className={`${BIG} ${filled ? 'bg-fill font-semibold text-on-fill' : 'border-2 border-soft bg-sheet'} disabled:opacity-50 ${className}`}
    >
      {children}
      {hint && <span className="block text-sm font-normal opacity-80">{hint}</span>}
    </button>
  );
}

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

const CautionLines = ({ hazards }: { hazards: readonly care.HazardId[] }) => (
  <>
    {hazards.map((h) => (
      <p key={h} className="flex gap-3 rounded bg-act-tint px-4 py-2">
        <ShieldAlert size={20} className="mt-0.5 shrink-0 text-act" aria-hidden="true" />
        <span>
          <b>{care.HAZARDS[h].name}.</b> {care.HAZARDS[h].caution} {wearWords(care.HAZARDS[h].wear)}
        </span>
      </p>
    ))}
  </>
);

function StepCard({ step, attempt }: { step: care.Step; attempt: number }) {
  const facts = care.METHODS[step.method];
  return (
    <div className="space-y-4">
      <p className="text-soft">
        <span className="font-semibold text-ink">{surfaceTitle(step.surface)}</span> · rung {step.level},{' '}
        {LEVEL_WORDS[step.level]?.toLowerCase()} {attempt > 1 && '· second try, fresh patch'}
      </p>
      <h2 className="text-2xl leading-none font-semibold">
        {facts.name}
        {step.completes ? ' again' : ''}
      </h2>
      <p className="text-lg">
        {step.completes ? 'The brush let go of what sat in the rim: ' : ''}
        {facts.how}
      </p>
      {inHand(step) && (
        <p className="text-lg">
          <span className="text-soft">Take:</span> <b>{inHand(step)}</b>
        </p>
      )}
      {step.fluidGoes && <p className="text-lg">{FLUID_WORDS[step.fluidGoes]}</p>}
      <MotionDrawing motion={step.motion} orientation={step.orientation} />
      <CautionLines hazards={step.cautions} />
    </div>
  );
}

const LookCard = ({ step }: { step: care.Step }) => (
  <div className="space-y-4">
    <p className="text-soft">
      <span className="font-semibold text-ink">{surfaceTitle(step.surface)}</span> · after: {care.METHODS[step.method].name.toLowerCase()}
    </p>
    <h2 className="text-2xl leading-none font-semibold">{step.look!.asks === 'grains' ? 'Any grains left?' : 'Look'}</h2>
    <p className="text-lg">{step.look!.lamp}</p>
    <p className="text-lg">
      <span className="text-soft">Look for:</span> {step.look!.for}
    </p>
  </div>
);

/** The rungs of this surface in order: done, the one one stands on, and those that may not be needed. */
export function Rungs({ steps, standing, done }: { steps: readonly care.Step[]; standing: care.Step; done: readonly string[] }) {
  const own = steps.filter((s) => s.surface === standing.surface);
  return (
    <ol aria-label="Rungs for this surface" className="relative mt-3 flex gap-1.5 overflow-x-auto lg:mt-4 lg:flex-wrap">
      {own.map((s) => (
        <li
          key={s.id}
          aria-current={s === standing ? 'step' : undefined}
          className={`rounded border px-2.5 py-1 whitespace-nowrap ${s === standing ? 'border-lamp bg-lamp-tint font-semibold' : 'border-line text-soft'}`}
        >
          <span className="font-mono text-sm">{s.level}</span> {care.METHODS[s.method].name}
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
            <b>{OUTCOME_WORDS[outcome]}</b> <span className="text-soft">· {contacts[surface as care.Surface] ?? 0} touches</span>
          </span>
        </li>
      ))}
    </ul>
  );
}

/** What the plan says and has been done so far, one card at a time. */
export function Card({ cleaning, events, state }: { cleaning: Cleaning; events: care.BenchEvent[]; state: care.BenchState }) {
  const { step } = state;
  if (state.phase === 'prepare') return <Lines title="Before you begin" lines={cleaning.plan.prepare} />;
  if (state.phase === 'step' && step) return <StepCard step={step} attempt={state.attempt} />;
  if (state.phase === 'look' && step) return <LookCard step={step} />;
  return (
    <div className="space-y-5">
      <Lines title="Done. Put it away" lines={cleaning.plan.close} />
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
  if (phase === 'step' && step)
    return (
      <BigButton filled className="w-full" onClick={() => act({ type: 'done', step: step.id })}>
        Done, now look
      </BigButton>
    );
  if (phase === 'look' && step) {
    const words = ANSWER_WORDS[step.look!.asks];
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
