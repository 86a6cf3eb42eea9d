import type { ItemPage, LookAnswer, LookDoc } from '@bright-keeper/contract';
import { care, type inspection } from '@bright-keeper/core';
import { becauseWords } from '@bright-keeper/words';
import { ArrowLeft, ArrowRight, Eye, Hand, Lightbulb, RotateCw, type LucideIcon } from 'lucide-react';
import { Navigate, useNavigate, useParams } from 'react-router';
import { useGoesOnAs } from '../../api/useKept';
import { LightPath } from '../../ui/lightpath/LightPath';
import { Button, Failure, Page, VerdictChip } from '../../ui/parts';
import { AtWork } from '../../ui/AtWork';
import { SaveMark } from '../../ui/SaveMark';
import { ToldFor, useTold } from '../../ui/ToldFor';
import { WentOn } from '../../ui/WentOn';
import { surfaceTitle } from '../../ui/words';
import { useItem } from '../gear';
import { FindingsPicker } from './FindingsPicker';
import { SizeOnFront } from './SizeOnFront';
import { SurfacePhotos } from './SurfacePhotos';
import { useDropLook, useFinishLook, useLook } from './queries';
import { answerFor, type LookDraft } from './state';
import { useLooking } from './useLooking';

/** What was noted outdoors can always be tapped, whatever this surface usually shows. */
const mayShowWith = (usual: readonly care.Soil[], answer: LookAnswer | undefined): readonly care.Soil[] => [
  ...usual,
  ...(answer?.findings.map((f) => f.soil).filter((soil) => !usual.includes(soil)) ?? []),
];

function Manner({ icon: Icon, title, children }: { icon: LucideIcon; title: string; children: string }) {
  return (
    <div className="flex gap-3">
      <Icon size={22} className="mt-0.5 shrink-0 text-lamp" aria-hidden="true" />
      <p>
        <span className="block text-sm text-soft">{title}</span>
        {children}
      </p>
    </div>
  );
}

function Stepper({
  steps,
  draft,
  at,
  go,
}: {
  steps: inspection.LookStep[];
  draft: LookDraft;
  at: care.Surface;
  go: (s: care.Surface) => void;
}) {
  return (
    <ol
      aria-label="Surfaces in the order light meets them"
      className="relative flex gap-1 overflow-x-auto pb-1 md:flex-wrap md:overflow-visible"
    >
      {steps.map(({ surface }) => {
        const answer = answerFor(draft, surface);
        const mark = answer ? (answer.findings.length > 0 ? '●' : '✓') : '○';
        return (
          <li key={surface}>
            <button
              type="button"
              onClick={() => go(surface)}
              aria-current={surface === at ? 'step' : undefined}
              className={`min-h-11 rounded border px-2.5 text-sm whitespace-nowrap md:min-h-9 ${surface === at ? 'border-lamp bg-lamp-tint font-semibold' : 'border-line bg-sheet'}`}
            >
              <span aria-hidden="true" className={answer?.findings.length ? 'text-lamp' : answer ? 'text-glass' : 'text-soft'}>
                {mark}
              </span>{' '}
              {care.SURFACES[surface].name}
              <span className="sr-only">{answer ? ', looked at' : ', not looked at'}</span>
            </button>
          </li>
        );
      })}
    </ol>
  );
}

/** Which lamp, from which angle, and where the hands are. */
const HowToLook = ({ step }: { step: inspection.LookStep }) => (
  <div className="sheet space-y-2 p-4">
    <Manner icon={Lightbulb} title="Lamp">
      {step.lamp}
    </Manner>
    <Manner icon={RotateCw} title="Angle">
      {step.angle}
    </Manner>
    <Manner icon={Hand} title="Hands">
      {step.handling}
    </Manner>
  </div>
);

type Looked = ReturnType<typeof useLooking>;

/** What was tapped comes to this, at once. */
const VerdictLine = ({ verdict }: Pick<Looked, 'verdict'>) => (
  <div aria-live="polite" className="min-h-14 rounded bg-well px-3 py-2">
    {verdict ? (
      <p className="flex flex-wrap items-center gap-2">
        <VerdictChip verdict={verdict.verdict} /> <span className="text-sm">{becauseWords(verdict.because)}</span>
      </p>
    ) : (
      <p className="flex items-center gap-2 text-soft">
        <Eye size={18} aria-hidden="true" /> Tap what you see, or go on if there is nothing.
      </p>
    )}
  </div>
);

/** One surface: what is seen on it, in taps and words, and on to the next. */
function OneSurface({
  lookId,
  item,
  index,
  steps,
  step,
  answer,
  verdict,
  previous,
  next,
  act,
  go,
  goOn,
}: Looked & { lookId: string; item: ItemPage }) {
  const measured = answer?.findings.find((f) => care.isMeasured(step.surface, f.soil));
  return (
    <section className="sheet min-w-0 space-y-4 p-4 lg:col-span-6" aria-label={care.SURFACES[step.surface].name}>
      <div className="flex items-start justify-between gap-4">
        <h2 className="text-xl font-semibold">{surfaceTitle(step.surface)}</h2>
        <span className="pt-1 text-sm whitespace-nowrap text-soft">
          {index + 1} of {steps.length}
        </span>
      </div>
      {answer?.noted && (
        <p className="rounded bg-lamp-tint px-3 py-2">Noted outdoors: {care.HAPPENINGS[answer.noted].name.toLowerCase()}. Is it there?</p>
      )}
      <FindingsPicker
        key={step.surface}
        mayShow={mayShowWith(step.mayShow, answer)}
        findings={answer?.findings ?? []}
        onSee={(soil, severity) => act({ type: 'see', surface: step.surface, soil, severity })}
      />
      {measured && <SizeOnFront item={item} finding={measured} onSize={(sizeMm) => act({ type: 'size', surface: step.surface, sizeMm })} />}
      <label className="block">
        <span className="mb-1 block text-sm text-soft">Notes on this surface</span>
        <textarea
          rows={2}
          maxLength={2000}
          className="input"
          value={answer?.note ?? ''}
          onChange={(e) => act({ type: 'note', surface: step.surface, note: e.target.value })}
        />
      </label>
      <SurfacePhotos lookId={lookId} surface={step.surface} />
      <VerdictLine verdict={verdict} />
      <div className="flex justify-between gap-2">
        <Button disabled={!previous} onClick={() => previous && go(previous.surface)}>
          <ArrowLeft size={18} aria-hidden="true" /> Back
        </Button>
        {(next || !answer || answer.noted) && (
          <Button look="filled" onClick={goOn}>
            {answer?.noted ? 'Yes, it is there' : answer ? 'Next surface' : 'Nothing here'} <ArrowRight size={18} aria-hidden="true" />
          </Button>
        )}
      </div>
    </section>
  );
}

function Looking({ look, item }: { look: LookDoc; item: ItemPage }) {
  const navigate = useNavigate();
  const looking = useLooking(look, item);
  const { doc, draft, steps, states, step, next, go } = looking;
  const finish = useFinishLook(look.id);
  const drop = useDropLook(look);
  const told = useTold();
  const end = async () =>
    finish.mutate(
      { version: await doc.settled(), at: told.at },
      {
        onSuccess: (page) => void navigate(page.surfaces.some((s) => s.verdict !== 'leave') ? `/gear/${page.id}/plan` : `/gear/${page.id}`),
      },
    );
  return (
    <Page
      title={<>Look: {look.itemName}</>}
      sub={`${draft.answers.length} of ${steps.length} surfaces looked at. Saved as you tap; you can stop any time.`}
      actions={
        <>
          <SaveMark id={look.id} state={doc.state} />
          {draft.answers.length === 0 && (
            <Button onClick={() => drop.mutate(undefined, { onSuccess: () => void navigate(`/gear/${item.id}`) })}>Drop this look</Button>
          )}
          {draft.answers.length > 0 && <ToldFor told={told} id="looked-on" label="you looked on" />}
          <Button
            className="self-end"
            look={next ? 'plain' : 'filled'}
            disabled={draft.answers.length === 0 || finish.isPending || told.wrong !== null}
            onClick={() => void end()}
          >
            Finish the look
          </Button>
        </>
      }
    >
      <WentOn what="look" newer={doc.newer} onTake={doc.takeNewer} />
      {(finish.error ?? drop.error) && <Failure error={finish.error ?? drop.error} />}
      <div className="grid gap-4 lg:grid-cols-12">
        <div className="min-w-0 space-y-3 lg:col-span-6">
          <div className="sheet p-3">
            <LightPath kind={item.kind} traits={item.traits} states={states} selected={step.surface} onSelect={go} />
          </div>
          <HowToLook step={step} />
          <Stepper steps={steps} draft={draft} at={step.surface} go={go} />
        </div>
        <OneSurface {...looking} lookId={look.id} item={item} />
      </div>
    </Page>
  );
}

export function LookPage() {
  const { id = '' } = useParams();
  const look = useLook(id);
  const item = useItem(look.data?.itemId);
  // It joined a look of the same thing that was open at home.
  const goesOnAs = useGoesOnAs(id);
  if (goesOnAs) return <Navigate to={`/look/${goesOnAs}`} replace />;
  return (
    <AtWork id={id} what="look" work={look} item={item}>
      {(work, thing) => <Looking key={id} look={work} item={thing} />}
    </AtWork>
  );
}
