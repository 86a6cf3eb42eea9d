import { care } from '@bright-keeper/core';
import { howTo, lookWords } from '@bright-keeper/words';
import { surfaceTitle } from '../../ui/words';
import { BigButton } from './BigButton';
import { CautionLines } from './CautionLines';
import { MotionDrawing } from './MotionDrawing';
import { ANSWER_WORDS } from './words';

type Props = { state: care.BenchState; act: (event: care.BenchEvent) => void };

/** Surfaces that are blown the same way, told once. */
function byManner(steps: readonly care.Step[]): { how: string; steps: care.Step[] }[] {
  const manners = new Map<string, care.Step[]>();
  for (const step of steps) manners.set(howTo(step), [...(manners.get(howTo(step)) ?? []), step]);
  return [...manners].map(([how, own]) => ({ how, steps: own }));
}

/** One round of air for everything that lies open now. */
export function RoundCard({ state }: Pick<Props, 'state'>) {
  const { steps } = state.round!;
  const [first] = steps;
  return (
    <div className="space-y-4">
      <p className="text-soft">One round of air{state.attempt > 1 && ', once more'}</p>
      <h2 className="text-2xl leading-none font-semibold">Blow {steps.length === 1 ? 'it' : `all ${steps.length}`}</h2>
      <ul className="space-y-3 text-lg">
        {byManner(steps).map(({ how, steps: own }) => (
          <li key={how}>
            <b>{own.map((s) => surfaceTitle(s.surface)).join(' · ')}</b>
            <span className="block">{how}</span>
          </li>
        ))}
      </ul>
      <MotionDrawing motion={first!.motion} orientation={first!.orientation} />
      <CautionLines hazards={care.cautionsTogether(steps)} />
    </div>
  );
}

/** What one looks for on these surfaces under one lamp, each thing once. */
function lookedFor(steps: readonly care.Step[]): string {
  return [...new Set(steps.map((s) => lookWords(s)?.for ?? ''))].join(' ');
}

/** One look at all that was blown: each surface is answered by itself, in any order. */
export function RoundLook({ state, act }: Props) {
  const { steps, answers } = state.round!;
  const looked = steps.filter((s) => s.look);
  return (
    <div className="space-y-4">
      <h2 className="text-2xl leading-none font-semibold">Look</h2>
      <p className="text-lg">{lookWords(looked[0]!)?.lamp}</p>
      <p className="text-lg">
        <span className="text-soft">Look for:</span> {lookedFor(looked)}
      </p>
      <ul className="space-y-2" aria-label="Each surface">
        {looked.map((step) => (
          <li key={step.id} className={`rounded border p-2 ${step === state.step ? 'border-lamp' : 'border-line'}`}>
            <p className="mb-1 font-semibold">{surfaceTitle(step.surface)}</p>
            <div className="grid grid-cols-3 gap-2" role="group" aria-label={surfaceTitle(step.surface)}>
              {care.ANSWERS.map((answer) => (
                <button
                  key={answer}
                  type="button"
                  aria-pressed={answers[step.surface] === answer}
                  disabled={answers[step.surface] !== undefined}
                  onClick={() => act({ type: 'answer', step: step.id, answer })}
                  className={`min-h-11 rounded border px-1 ${answers[step.surface] === answer ? 'border-lamp bg-lamp-tint font-semibold' : 'border-soft bg-sheet disabled:opacity-50'}`}
                >
                  {ANSWER_WORDS.clean[answer].name}
                </button>
              ))}
            </div>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** The one tap that most looks end with. */
export function RoundControls({ state, act }: Props) {
  const { step, phase } = state;
  if (phase === 'round')
    return (
      <BigButton filled className="w-full" onClick={() => act({ type: 'done', step: step!.id })}>
        Done, now look
      </BigButton>
    );
  const answered = Object.keys(state.round!.answers).length > 0;
  return (
    <BigButton filled className="w-full" onClick={() => act({ type: 'rest-clean', step: step!.id })}>
      {answered ? 'The rest is clean enough' : 'All clean enough'}
    </BigButton>
  );
}
