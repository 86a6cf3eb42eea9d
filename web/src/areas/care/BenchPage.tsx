import type { Cleaning, ItemPage } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { Undo2, Volume2, X } from 'lucide-react';
import { useCallback, useEffect, useMemo, useRef } from 'react';
import { useNavigate, useParams } from 'react-router';
import { ApiError } from '../../api/http';
import type { SaveState } from '../../api/SavedDocument';
import { useSavedDocument } from '../../api/useSavedDocument';
import { AtWork } from '../../ui/AtWork';
import { LightPath } from '../../ui/lightpath/LightPath';
import { Button, Failure, Notice } from '../../ui/parts';
import { outside } from '../../outside';
import { SaveMark } from '../../ui/SaveMark';
import { WentOn } from '../../ui/WentOn';
import { capital } from '../../ui/words';
import { useItem } from '../gear';
import { Card, Controls, Rungs, WhatLies } from './BenchCards';
import { useBenchKeys, type BenchCommand } from './benchKeys';
import { ToldFor, useTold } from '../../ui/ToldFor';
import { cacheCleaning, saveCleaning, useCleaning, useDropCleaning, useFinishCleaning, useRemakePlan } from './queries';
import { useReadAloud } from '../../ui/useReadAloud';
import { actionFor, benchReducer, type BenchDraft } from './state';

const draftOf = (cleaning: Cleaning): BenchDraft => ({ events: cleaning.events });

/** The drawer held less than was used: the bench asks instead of counting below nothing. */
const StockShort = ({ fields, onAccept }: { fields: Record<string, string>; onAccept: () => void }) => (
  <Notice tone="attention">
    <p className="font-semibold">The drawer held less than was used.</p>
    <ul>
      {Object.entries(fields).map(([material, message]) => (
        <li key={material}>{capital(message)}</li>
      ))}
    </ul>
    <Button className="mt-2" onClick={onAccept}>
      Count it as used up
    </Button>
  </Notice>
);

const STALE_WORDS: Record<care.StaleBecause, string> = { drawer: 'the drawer', schools: 'your schools' };

/** The plan no longer is the one that would be made: it can be remade without losing what was done. */
const Stale = ({ because, pending, onRemake }: { because: Cleaning['staleBecause']; pending: boolean; onRemake: () => void }) => (
  <Notice tone="attention">
    This plan was made before {because.map((b) => STALE_WORDS[b]).join(' and ')} changed.{' '}
    <Button className="ml-2" disabled={pending} onClick={onRemake}>
      Remake what is ahead
    </Button>
  </Notice>
);

/** Which of the surfaces one is at, or how many the round has. */
function whereWords({ phase, step, round }: care.BenchState, surfaces: readonly care.Surface[]): string {
  if (round) return `${round.steps.length} surfaces of ${surfaces.length}`;
  const at = step ? surfaces.indexOf(step.surface) + 1 : phase === 'close' ? surfaces.length : 0;
  return at > 0 ? `surface ${at} of ${surfaces.length}` : `${surfaces.length} ${surfaces.length === 1 ? 'surface' : 'surfaces'}`;
}

type HeaderProps = {
  id: string;
  name: string;
  where: string;
  saved: SaveState;
  /** Null while there is nothing to take back. */
  undo: (() => void) | null;
  /** Reads each card aloud; null where this device has no voice of its own. */
  voice: { on: boolean; toggle: () => void } | null;
  /** The way off the bench: a clean that was begun is stopped, one in which nothing was touched is left; null at its end. */
  out: { words: string; go: () => void; busy: boolean } | null;
};

/** What is on the bench, where one is, whether it is saved; and the two ways back. */
const Header = ({ id, name, where, saved, undo, voice, out }: HeaderProps) => (
  <header className="flex items-center justify-between gap-3 border-b border-line bg-sheet px-4 py-2">
    <div className="min-w-0">
      <h1 className="truncate font-semibold">{name}</h1>
      <p className="flex flex-wrap items-center gap-x-2 text-sm text-soft">
        {where} <SaveMark id={id} state={saved} />
      </p>
    </div>
    <div className="flex shrink-0 gap-2 whitespace-nowrap">
      {voice && (
        <Button aria-pressed={voice.on} onClick={voice.toggle}>
          <Volume2 size={18} aria-hidden="true" /> <span className="max-sm:sr-only">Read aloud</span>
        </Button>
      )}
      <Button onClick={undo ?? undefined} disabled={undo === null}>
        <Undo2 size={18} aria-hidden="true" /> <span className="max-sm:sr-only">Undo</span>
      </Button>
      {out && (
        <Button disabled={out.busy} onClick={out.go}>
          <X size={18} aria-hidden="true" /> {out.words}
        </Button>
      )}
    </div>
  </header>
);

function Bench({ cleaning, item }: { cleaning: Cleaning; item: ItemPage }) {
  const navigate = useNavigate();
  const save = useMemo(() => saveCleaning(cleaning.id), [cleaning.id]);
  const doc = useSavedDocument({ name: cleaning.id, loaded: cleaning, draftOf, save, onSaved: cacheCleaning });
  const finish = useFinishCleaning(cleaning.id);
  const drop = useDropCleaning(cleaning);
  const remake = useRemakePlan(cleaning.id);
  const { draft, change } = doc;
  const state = useMemo(() => care.benchState(cleaning.plan, draft.events), [cleaning.plan, draft.events]);
  const act = (event: care.BenchEvent) => change(benchReducer(draft, { type: 'event', event }));
  const undo = () => change(benchReducer(draft, { type: 'undo' }));
  const onCommand = useCallback(
    (command: BenchCommand) => {
      const action = actionFor(command, state);
      if (action) change(benchReducer(draft, action));
    },
    [state, draft, change],
  );
  useBenchKeys(onCommand);
  // Whoever holds a lens in one hand does not tap a screen awake with the other.
  useEffect(() => outside.stayAwake(), []);
  const card = useRef<HTMLDivElement>(null);
  const { can, ...voice } = useReadAloud(card, `${state.phase}/${state.step?.id ?? ''}/${state.attempt}/${draft.events.length}`);

  const short =
    finish.error instanceof ApiError && finish.error.problem.code === 'stock-short' ? (finish.error.problem.fields ?? {}) : null;
  const told = useTold();
  const touched = Object.keys(state.contacts).length > 0;
  const end = async (acceptShort = false) =>
    finish.mutate({ version: await doc.settled(), acceptShort, at: told.at }, { onSuccess: () => void navigate(`/gear/${item.id}`) });
  const leave = async () => {
    await doc.settled();
    drop.mutate(undefined, { onSuccess: () => void navigate(`/gear/${item.id}/plan`) });
  };
  const out = touched
    ? { words: 'Stop here', go: () => act({ type: 'stop' }), busy: false }
    : { words: 'Back to the plan', go: () => void leave(), busy: drop.isPending };
  const surfaces = [...new Set(cleaning.plan.steps.map((s) => s.surface))];
  return (
    <main className="flex h-dvh flex-col bg-page">
      <Header
        id={cleaning.id}
        name={cleaning.itemName}
        where={whereWords(state, surfaces)}
        saved={doc.state}
        undo={draft.events.length > 0 ? undo : null}
        voice={can ? voice : null}
        out={state.phase === 'close' ? null : out}
      />
      <WentOn what="cleaning" newer={doc.newer} onTake={doc.takeNewer} />
      {cleaning.staleBecause.length > 0 && state.phase !== 'close' && (
        <Stale
          because={cleaning.staleBecause}
          pending={remake.isPending}
          onRemake={() => void doc.settled().then((version) => remake.mutate(version, { onSuccess: doc.takeNewer }))}
        />
      )}
      {remake.error && <Failure error={remake.error} />}
      {short && <StockShort fields={short} onAccept={() => void end(true)} />}
      {!short && (finish.error ?? drop.error) && <Failure error={finish.error ?? drop.error} />}
      <div
        data-scrolls
        className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] content-start overflow-x-hidden overflow-y-auto lg:grid-cols-2 lg:content-stretch"
      >
        <div className="min-w-0 border-line p-4 max-lg:pb-0 lg:border-r lg:p-8">
          <div className="mx-auto max-w-md lg:max-w-none">
            <LightPath kind={item.kind} traits={item.traits} states={item.surfaces} selected={state.step?.surface ?? null} />
          </div>
          {state.step && !state.round && <Rungs steps={cleaning.plan.steps} standing={state.step} done={state.done} />}
          {state.step && !state.round && <WhatLies surface={state.step.surface} findings={cleaning.request.findings} />}
          {state.step && (
            <p className="mt-6 hidden text-soft lg:block">
              Space or → does the big button; 1, 2, 3 answer a look, 0 says the rest is clean; ← undoes. A foot pedal works too.
            </p>
          )}
        </div>
        <div ref={card} className="min-w-0 p-4 lg:p-8" aria-live="polite">
          <Card cleaning={cleaning} events={draft.events} state={state} act={act} />
        </div>
      </div>
      <footer className="border-t border-line bg-sheet p-3 pb-[max(12px,env(safe-area-inset-bottom))]">
        <div className="mx-auto max-w-3xl space-y-2">
          {state.phase === 'close' && <ToldFor told={told} id="cleaned-on" label="you cleaned it on" />}
          <Controls state={state} act={act} onFinish={() => void end()} finishing={finish.isPending || told.wrong !== null} />
          {state.step && (
            <Button look="quiet" className="w-full" onClick={() => act({ type: 'leave-surface', surface: state.step!.surface })}>
              Leave the {care.SURFACES[state.step.surface].name} as it is
            </Button>
          )}
        </div>
      </footer>
    </main>
  );
}

export function BenchPage() {
  const { id = '' } = useParams();
  const cleaning = useCleaning(id);
  const item = useItem(cleaning.data?.itemId);
  return (
    <AtWork id={id} what="cleaning" work={cleaning} item={item}>
      {(work, thing) => <Bench key={id} cleaning={work} item={thing} />}
    </AtWork>
  );
}
