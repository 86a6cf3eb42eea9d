import { care, type record } from '@bright-keeper/core';
import { becauseWords } from '@bright-keeper/words';
import { Fragment } from 'react';
import { Link } from 'react-router';
import { capital } from '../../ui/words';
import { rungWords, type StepOdds } from './ladderOdds';
import { inHand, LEVEL_WORDS, minutesWords } from './words';

type Props = {
  surface: care.Surface;
  plan: care.CleaningPlan;
  /** The step one stands on, lit. */
  standing?: string | null;
  /** What each step came to at one's own bench, where that is known. */
  odds?: StepOdds | undefined;
};

const LEVELS = [1, 2, 3, 4, 5, 6, 7] as const;

function StepOnRung({
  step,
  order,
  standing,
  odds,
}: {
  step: care.Step;
  order: number;
  standing: boolean;
  odds: record.RungAhead | undefined;
}) {
  const known = odds && rungWords(odds);
  return (
    <li className={`rounded px-2 py-1 ${standing ? 'bg-lamp-tint' : ''}`}>
      <span className="mr-2 inline-block min-w-5 rounded bg-well px-1 text-center text-sm" aria-label={`step ${order}`}>
        {order}
      </span>
      <Link className="font-semibold hover:underline" to={`/handbook#method-${step.method}`}>
        {care.METHODS[step.method].name}
      </Link>
      {step.completes && <span className="text-soft"> again, after the brush</span>}
      {!step.completes && step.pass > 1 && step.method === 'blow' && <span className="text-soft"> again, before the next touch</span>}
      <span className="block text-sm text-soft">{[inHand(step), minutesWords(step.minutes)].filter(Boolean).join(' · ')}</span>
      {known && <span className="block text-sm">{known}</span>}
    </li>
  );
}

const refusedName = (r: care.Refusal) => {
  if (r.method) return care.METHODS[r.method].name;
  return r.tool ? care.TOOLS[r.tool].name : r.material!.replaceAll('-', ' ');
};

/**
 * The rungs are contact levels, the least touch at the foot; steps hang on their rungs, what is ruled out is struck
 * through with its reason beside it.
 */
export function TouchLadder({ surface, plan, standing = null, odds }: Props) {
  const steps = plan.steps.filter((s) => s.surface === surface);
  const refused = plan.refused.filter((r) => r.surface === surface);
  const handOver = plan.handOver.filter((h) => h.surface === surface);
  const openings = plan.openings.filter((o) => o.surface === surface);
  const levelOf = (r: care.Refusal) => (r.method ? care.METHODS[r.method].level : null);
  const top = Math.max(
    4,
    ...steps.map((s) => s.level),
    ...refused.map((r) => levelOf(r) ?? 0),
    handOver.length > 0 ? 7 : 0,
    openings.length > 0 ? 6 : 0,
  );
  const loose = refused.filter((r) => levelOf(r) === null);
  return (
    <div>
      <ol className="flex flex-col-reverse border-x-4 border-line" aria-label={`Touch ladder for the ${care.SURFACES[surface].name}`}>
        {LEVELS.filter((l) => l <= top).map((level) => {
          const here = steps.filter((s) => s.level === level);
          const out = refused.filter((r) => levelOf(r) === level);
          const handed = level === 7 ? handOver : [];
          const offered = level === 6 ? openings : [];
          const lit = here.some((s) => s.id === standing);
          return (
            <li key={level} className={`grid grid-cols-[7.5rem_1fr] border-t-2 ${lit ? 'border-lamp' : 'border-line'}`}>
              <p className={`px-3 py-2 text-sm ${here.length + handed.length + offered.length > 0 ? 'font-semibold' : 'text-soft'}`}>
                {level} {LEVEL_WORDS[level]}
              </p>
              <ul className="min-h-9 space-y-1 py-1 pr-2">
                {here.map((step) => (
                  <StepOnRung
                    key={step.id}
                    step={step}
                    order={steps.indexOf(step) + 1}
                    standing={step.id === standing}
                    odds={odds?.get(step.id)}
                  />
                ))}
                {offered.map((o) => (
                  <li key={o.soil} className="px-2 py-1">
                    <span className="font-semibold">
                      {care.METHODS[o.method].name}: {care.SOILS[o.soil].name}
                    </span>
                    <span className="block text-sm text-soft">Only after the go or no-go: {becauseWords(o)}</span>
                  </li>
                ))}
                {handed.map((h, i) => (
                  <li key={i} className="px-2 py-1">
                    <span className="font-semibold text-act">Hand over{h.soil ? `: ${care.SOILS[h.soil].name}` : ''}</span>
                    <span className="block text-sm text-soft">{becauseWords(h)}</span>
                  </li>
                ))}
                {out.map((r, i) => (
                  <li key={`${r.rule}-${i}`} className="px-2 py-1 text-sm">
                    <s className="text-soft">{refusedName(r)}</s>{' '}
                    <Link className="hover:underline" to={`/handbook#rule-${r.rule}`}>
                      {becauseWords(r)}
                    </Link>
                  </li>
                ))}
              </ul>
            </li>
          );
        })}
      </ol>
      {loose.length > 0 && (
        <dl className="mt-3 grid grid-cols-[auto_1fr] gap-x-3 gap-y-1 text-sm" aria-label="Never on this surface">
          {loose.map((r, i) => (
            <Fragment key={i}>
              <dt>
                <s className="text-soft">{capital(refusedName(r))}</s>
              </dt>
              <dd>{becauseWords(r)}</dd>
            </Fragment>
          ))}
        </dl>
      )}
    </div>
  );
}
