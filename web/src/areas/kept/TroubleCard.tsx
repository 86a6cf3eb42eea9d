import type { Cleaning, careErrors, inspectionErrors, LookAnswer } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { useState, type ReactNode } from 'react';
import type { Waiting, WaitingCleaning, WaitingLook } from '../../kept';
import { Button } from '../../ui/parts';
import { capital, findingsWords, surfaceTitle } from '../../ui/words';
import { OUTCOME_WORDS } from '@bright-keeper/words';
import { differencesIn, theirsOf, useSettle, type Side } from './useSettle';

type Code = keyof typeof careErrors | keyof typeof inspectionErrors;
type Settle = ReturnType<typeof useSettle>;

const seenWords = ({ findings, note }: LookAnswer): string =>
  [findings.length === 0 ? 'nothing' : findingsWords(findings), ...(note ? [`“${note}”`] : [])].join(' · ');

function OneSide({ title, isChosen, onChoose, children }: { title: string; isChosen: boolean; onChoose: () => void; children: ReactNode }) {
  return (
    <button
      type="button"
      aria-pressed={isChosen}
      onClick={onChoose}
      className={`flex min-h-11 w-full flex-col items-start rounded border px-3 py-2 text-left ${isChosen ? 'border-lamp bg-lamp-tint' : 'border-soft bg-sheet'}`}
    >
      <span className="block text-sm text-soft">{title}</span>
      {children}
    </button>
  );
}

/** Two looks at the same surface say different things: a person chooses, surface by surface. */
function TwoLooks({ waiting, settle }: { waiting: WaitingLook; settle: Settle }) {
  const [chosen, setChosen] = useState<Partial<Record<care.Surface, Side>>>({});
  const differing = differencesIn(waiting);
  const isWhole = differing.every(({ surface }) => chosen[surface]);
  const choose = (surface: care.Surface, side: Side) => setChosen({ ...chosen, [surface]: side });
  return (
    <>
      {differing.map(({ surface, here, there }) => (
        <fieldset key={surface}>
          <legend className="mb-1 font-semibold">{surfaceTitle(surface)}</legend>
          <div className="grid grid-cols-2 gap-2">
            <OneSide title="Seen here" isChosen={chosen[surface] === 'here'} onChoose={() => choose(surface, 'here')}>
              {capital(seenWords(here))}
            </OneSide>
            <OneSide title="Seen there" isChosen={chosen[surface] === 'there'} onChoose={() => choose(surface, 'there')}>
              {capital(seenWords(there))}
            </OneSide>
          </div>
        </fieldset>
      ))}
      <Button look="filled" disabled={!isWhole} onClick={() => void settle.takeLook(waiting, chosen)}>
        Carry it over so
      </Button>
    </>
  );
}

/** How a bench stands: what came of each surface, and how often it was touched. */
function Bench({ plan, events }: Pick<Cleaning, 'plan' | 'events'>) {
  const { contacts } = care.benchState(plan, events);
  const outcomes = Object.entries(care.outcomesOf(plan, events)) as [care.Surface, care.Outcome][];
  return (
    <ul className="text-sm">
      {outcomes.map(([surface, outcome]) => (
        <li key={surface}>
          {surfaceTitle(surface)}: {OUTCOME_WORDS[outcome]}, touched {contacts[surface] ?? 0}×
        </li>
      ))}
    </ul>
  );
}

/** The same bench was gone on with in two places, each in its own way: a person says which it was. */
function TwoBenches({ waiting, settle }: { waiting: WaitingCleaning; settle: Settle }) {
  const theirs = theirsOf<Cleaning>(waiting);
  return (
    <>
      <div className="grid grid-cols-2 gap-4">
        <div>
          <p className="text-sm text-soft">Done here</p>
          <Bench {...waiting.cleaning} />
        </div>
        <div>
          <p className="text-sm text-soft">Done there</p>
          {theirs && <Bench {...theirs} />}
        </div>
      </div>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => void settle.takeCleaning(waiting)}>It was as here</Button>
        <LetGo words="It was as there" asks="What was done here is then forgotten." onLetGo={() => void settle.letGo(waiting)} />
      </div>
    </>
  );
}

/** Lets go of it, on the second tap. */
function LetGo({ words, asks, onLetGo }: { words: string; asks: string; onLetGo: () => void }) {
  const [isAsked, ask] = useState(false);
  if (!isAsked) return <Button onClick={() => ask(true)}>{words}</Button>;
  return (
    <span className="flex flex-wrap items-center gap-2">
      {asks}
      <Button onClick={onLetGo}>Yes, let it go</Button>
      <Button onClick={() => ask(false)}>No</Button>
    </span>
  );
}

/** It ended there meanwhile, or another one is open: this one can be logged beside it. */
const BesideIt = ({ waiting, settle, words }: { waiting: WaitingLook | WaitingCleaning; settle: Settle; words: string }) => (
  <div className="flex flex-wrap gap-2">
    <Button look="filled" onClick={() => void settle.asItsOwn(waiting)}>
      {words}
    </Button>
    <LetGo words="Let it go" asks="What was seen or done here is then forgotten." onLetGo={() => void settle.letGo(waiting)} />
  </div>
);

function WhatToDo({ waiting, settle }: { waiting: Waiting; settle: Settle }) {
  const code = waiting.trouble!.code as Code;
  if (waiting.kind === 'look' && code === 'look-told-twice') return <TwoLooks waiting={waiting} settle={settle} />;
  if (waiting.kind === 'look' && code === 'look-finished')
    return <BesideIt waiting={waiting} settle={settle} words="Log what I saw as a look of its own" />;
  if (waiting.kind === 'cleaning' && code === 'cleaning-told-twice') return <TwoBenches waiting={waiting} settle={settle} />;
  if (waiting.kind === 'cleaning' && (code === 'cleaning-finished' || code === 'cleaning-open'))
    return <BesideIt waiting={waiting} settle={settle} words="Log what I did as a cleaning of its own" />;
  return (
    <div className="flex flex-wrap gap-2">
      <Button look="filled" onClick={() => void settle.again(waiting)}>
        Try again
      </Button>
      <LetGo words="Let it go" asks="It is then forgotten, and cannot be had back." onLetGo={() => void settle.letGo(waiting)} />
    </div>
  );
}

/** Why the household did not take something, and what one can do about it. */
export function TroubleCard({ waiting, title }: { waiting: Waiting; title: ReactNode }) {
  const settle = useSettle();
  return (
    <section className="sheet space-y-3 p-4" aria-label={waiting.name}>
      <div>
        <h3 className="font-semibold">{waiting.name}</h3>
        <p className="text-sm text-soft">{title}</p>
      </div>
      <p>
        {waiting.trouble!.title}. {waiting.trouble!.detail}
      </p>
      <WhatToDo waiting={waiting} settle={settle} />
    </section>
  );
}
