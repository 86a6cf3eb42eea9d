import type { PracticeRun } from '@bright-keeper/contract';
import { practice, schedule } from '@bright-keeper/core';
import {
  askWords,
  caseWords,
  count,
  longDate,
  othersWords,
  PRACTICE_WORDS,
  practiceChoiceWords,
  practiceWhyWords,
} from '@bright-keeper/words';
import { Volume2 } from 'lucide-react';
import { useCallback, useMemo, useRef, useState } from 'react';
import { v4 as uuid } from 'uuid';
import { outside } from '../../outside';
import { chosenOf, useChoices, withChoice } from '../../ui/choices';
import { LightPath } from '../../ui/lightpath/LightPath';
import { Button, Empty, Failure, Loading, Page } from '../../ui/parts';
import { useReadAloud } from '../../ui/useReadAloud';
import { WayButtons } from '../../ui/WayButtons';
import { useZone } from '../../ui/zone';
import { useSettings } from '../settings';
import { useAddRun, usePracticeRuns } from './queries';
import { beginRun, chosenIn, onIn, questionOf, type Run, usePracticeKeys, usePracticeNow } from './usePractice';

const WAYS = practice.PRACTICES.map((id) => [id, PRACTICE_WORDS[id].name] as const);
const WHY_NOW: Record<practice.NextCase['because'], string> = {
  due: 'It comes back today: it is due again.',
  new: 'A new one.',
  soonest: 'Nothing is due: the one that comes back soonest.',
};

/** What lies there and what the lamp shows: drawn, unless one wants it told. */
function CaseCard({ one, isTold }: { one: practice.PracticeCase; isTold: boolean }) {
  const { item, findings } = one.request;
  const surfaces = [...new Set(findings.map((f) => f.surface))];
  const states = surfaces.map((surface) => ({
    surface,
    findings: findings.filter((f) => f.surface === surface),
    verdict: 'clean' as const,
  }));
  return (
    <>
      <h2 className="text-lg font-semibold">“{one.told}”</h2>
      {!isTold && <LightPath kind={item.kind} traits={item.traits} states={states} />}
      {caseWords(one).map((line) => (
        <p key={line}>{line}</p>
      ))}
    </>
  );
}

const MARKS = { right: 'border-glass bg-glass-tint font-semibold', wrong: 'border-act bg-act-tint', other: 'border-soft bg-sheet' };

/** One question: what may be chosen, and once something was, what that would have done and why. */
function QuestionCard({ run, onChoose }: { run: Run; onChoose: (choice: number) => void }) {
  const question = questionOf(run)!;
  const answered = run.chosen !== null;
  const picked = answered ? question.choices[run.chosen!]! : null;
  const markOf = (choice: practice.PracticeChoice, i: number) =>
    !answered ? MARKS.other : choice.right ? MARKS.right : i === run.chosen ? MARKS.wrong : MARKS.other;
  const right = question.choices.find((choice) => choice.right)!;
  return (
    <>
      <h2 className="text-lg font-semibold">{askWords(question.ask)}</h2>
      <ol className="space-y-2">
        {question.choices.map((choice, i) => (
          <li key={i}>
            <button
              type="button"
              disabled={answered}
              onClick={() => onChoose(i)}
              className={`flex min-h-14 w-full items-center gap-3 rounded border px-4 text-left ${markOf(choice, i)}`}
            >
              <span className="font-mono text-soft" aria-hidden="true">
                {i + 1}
              </span>
              {practiceChoiceWords(choice.choice)}
            </button>
          </li>
        ))}
      </ol>
      {picked && (
        <div role="status" className={`rounded px-4 py-3 ${picked.right ? 'bg-glass-tint' : 'bg-lamp-tint'}`}>
          <p className="font-semibold">{picked.right ? 'Yes.' : `No: ${practiceChoiceWords(right.choice).toLowerCase()}.`}</p>
          <p>{practiceWhyWords(picked.why)}</p>
          {!picked.right && practiceWhyWords(right.why) !== practiceWhyWords(picked.why) && <p>{practiceWhyWords(right.why)}</p>}
          {othersWords(question.others).map((line) => (
            <p key={line} className="mt-1 text-sm">
              {line}
            </p>
          ))}
        </div>
      )}
    </>
  );
}

/** How the run went, and when the case comes back. */
function Ended({ run, runs }: { run: Run; runs: readonly PracticeRun[] }) {
  const timeZone = useZone();
  const ended = { caseId: run.one.id, asked: run.one.questions.length, right: run.right, at: outside.now().toISOString() };
  const back = practice.comesBack([...runs.filter((r) => r.caseId === run.one.id && r.at < ended.at), ended]).get(run.one.id)!;
  return (
    <div role="status" className="rounded bg-glass-tint px-4 py-3">
      <p className="text-xl font-semibold">
        {run.right} of {run.one.questions.length}
      </p>
      <p>It comes back on {longDate(schedule.localDay(back, timeZone))}.</p>
    </div>
  );
}

function Running({
  next,
  runs,
  isTold,
  onNext,
}: {
  next: practice.NextCase;
  runs: readonly PracticeRun[];
  isTold: boolean;
  onNext: () => void;
}) {
  const [run, setRun] = useState(() => beginRun(next.case));
  const add = useAddRun();
  const [id] = useState(() => uuid());
  // The runs of before: what is kept of this one is not counted twice.
  const [before] = useState(runs);
  const isOver = questionOf(run) === null;
  const choose = useCallback((choice: number) => setRun((now) => chosenIn(now, choice)), []);
  const { mutate } = add;
  const keep = useCallback(({ one, right }: Run) => mutate({ id, caseId: one.id, asked: one.questions.length, right }), [mutate, id]);
  const go = useCallback(() => {
    if (isOver) return onNext();
    const then = onIn(run);
    if (then === run) return;
    setRun(then);
    if (questionOf(then) === null) keep(then);
  }, [run, isOver, keep, onNext]);
  usePracticeKeys(choose, go, isOver || run.chosen !== null);
  const card = useRef<HTMLDivElement>(null);
  const { can, ...voice } = useReadAloud(card, `${run.one.id}/${run.at}/${run.chosen}`);
  return (
    <div className="space-y-4">
      <div ref={card} className="sheet grid gap-x-8 gap-y-3 p-4 lg:grid-cols-2">
        <p className="text-sm text-soft lg:col-span-2">
          {WHY_NOW[next.because]} {isOver ? '' : `Question ${run.at + 1} of ${run.one.questions.length}.`}
        </p>
        <div className="min-w-0 space-y-3">
          <CaseCard one={run.one} isTold={isTold} />
        </div>
        <div className="min-w-0 space-y-3">
          {isOver ? <Ended run={run} runs={before} /> : <QuestionCard run={run} onChoose={choose} />}
          {add.error && <Failure error={add.error} />}
        </div>
      </div>
      <div className="flex flex-wrap gap-2">
        {(isOver || run.chosen !== null) && (
          <Button look="filled" className="min-h-14 px-8" onClick={go}>
            {isOver ? 'Next case' : run.at + 1 === run.one.questions.length ? 'End' : 'On'}
          </Button>
        )}
        {add.error && <Button onClick={() => keep(run)}>Keep it again</Button>}
        {can && (
          <Button aria-pressed={voice.on} onClick={voice.toggle}>
            <Volume2 size={18} aria-hidden="true" /> Read aloud
          </Button>
        )}
      </div>
    </div>
  );
}

/** How it stands: what is known, what is due, and how much was right lately. */
const State = ({ state: { practised, of, due, right, asked } }: { state: practice.PracticeState }) => (
  <p className="text-soft">
    {practised} of {of} cases practised{due > 0 && `, ${due} due again`}.
    {asked > 0 && ` Of the last ${count(asked, 'answer', 'answers')} ${right} ${right === 1 ? 'was' : 'were'} right.`}
  </p>
);

/** A trainer on the planner's own rules: a thing, what the lamp shows, and what one would do. */
export function PracticePage() {
  const [params, setParams] = useChoices();
  const of = chosenOf<practice.Practice>(PRACTICE_WORDS, params.get('run'), 'all');
  const runs = usePracticeRuns();
  const settings = useSettings();
  const kept = runs.data?.runs;
  const { now, error } = usePracticeNow(kept, of, settings.data?.schools);
  const [held, setHeld] = useState<{ of: practice.Practice; next: practice.NextCase; nth: number } | null>(null);
  const offered = useMemo(() => now?.next ?? null, [now]);
  // The case that was begun stays until one goes on, whatever has come meanwhile.
  const shown = held?.of === of ? held : offered && { of, next: offered, nth: 0 };
  if (shown && held !== shown) setHeld(shown);
  if (runs.isError) return <Failure error={runs.error} onRetry={() => void runs.refetch()} />;
  if (error) return <Failure error={error} />;
  return (
    <Page title="Practice" sub={PRACTICE_WORDS[of].what}>
      <div className="space-y-4">
        <WayButtons
          legend={<span className="sr-only">What is practised</span>}
          ways={WAYS}
          chosen={of}
          onChoose={(way) => setParams(withChoice(params, 'run', way === 'all' ? null : way), { replace: true })}
        />
        {now && <State state={now.state} />}
        {!now && <Loading />}
        {now && !shown && <Empty title="Nothing to practise here" />}
        {now && shown && kept && (
          <Running
            key={`${of}/${shown.next.case.id}/${shown.nth}`}
            next={shown.next}
            runs={kept}
            isTold={of === 'dark'}
            onNext={() => offered && setHeld({ of, next: offered, nth: shown.nth + 1 })}
          />
        )}
        <p className="text-sm text-soft">
          It follows the planner’s rules and the book of situations, by your own schools. What a maker says of a thing of yours stands above
          it. Keys: a number chooses, Enter goes on.
        </p>
      </div>
    </Page>
  );
}
