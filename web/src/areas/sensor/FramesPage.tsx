import type { ItemPage, SensorFrame, SensorFrameInput, SensorFrames } from '@bright-keeper/contract';
import { sensor } from '@bright-keeper/core';
import { fStop } from '@bright-keeper/words';
import { useMemo, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { outside } from '../../outside';
import { Button, Empty, Failure, Loading, Page, Section } from '../../ui/parts';
import type { FrameReading } from '../../workers/frame.worker';
import { useItem } from '../gear';
import { useSettings } from '../settings';
import { Chapters, GrowthWords } from './Chapters';
import { DraftForm, TriesChoice, WorkingAt } from './DraftForm';
import { FacingMap } from './FacingMap';
import { ApertureSlider, FrameView } from './FrameView';
import { type Draft, draftOf, factsOf, rowsOf, sensorOf, spotOf, STOPS, stopNear, type SpeckRow } from './framesView';
import { useChangeFrame, useDismiss, useFramePicture, useFrames, useKeepFrame, useRemoveFrame, useTakeBack } from './queries';
import { ReadFrame, ReadingState } from './ReadFrame';
import { DismissedList, SpeckTable } from './SpeckTable';
import { maskOf, overlayOf, save, saveCanvas, specksCsv, specksJson } from './takeAway';
import { useReading } from './useReading';
import { Verdict } from './Verdict';
import { useChoices, withChoice } from '../../ui/choices';

/** A speck put in by hand: as wide as most, seen, and sure. */
const byHand = ({ x, y }: sensor.Point, frame: SensorFrameInput): SensorFrameInput['spots'][number] => ({
  x,
  y,
  depth: 0.05,
  fwhmPx: frame.width * 0.005,
  diameterPx: frame.width * 0.007,
  kind: 'dust',
  confidence: 1,
  by: 'hand',
});

const TakeAway = ({ frame, rows, picture }: { frame: SensorFrameInput; rows: readonly SpeckRow[]; picture: Blob | null }) => {
  const name = frame.fileName.replace(/\.[^.]*$/, '') || 'frame';
  const text = (content: string, type: string) => new Blob([content], { type });
  return (
    <div className="flex flex-wrap gap-2 print:hidden">
      <Button onClick={() => save(`${name}-specks.csv`, text(specksCsv(rows), 'text/csv'))}>Table (CSV)</Button>
      <Button onClick={() => save(`${name}-specks.json`, text(specksJson(rows, frame), 'application/json'))}>JSON</Button>
      <Button disabled={!picture} onClick={() => void overlayOf(frame, rows, picture!).then((c) => saveCanvas(`${name}-numbered.png`, c))}>
        Numbered picture
      </Button>
      <Button onClick={() => saveCanvas(`${name}-mask.png`, maskOf(frame, rows))}>Mask for retouching</Button>
      <Button onClick={() => window.print()}>Print</Button>
    </div>
  );
};

type ViewProps = {
  item: ItemPage;
  frame: SensorFrameInput;
  kept: SensorFrame | null;
  chapter: sensor.FrameChapter;
  isFirst: boolean;
  picture: Blob | null;
  /** Places of this sensor that are dark at every aperture. */
  pixels: number;
  onSpots: (spots: SensorFrameInput['spots']) => void;
};

/** One frame: the picture, what it means, and the sensor as one faces it. */
function OneFrame({ item, frame, kept, chapter, isFirst, picture, pixels, onSpots }: ViewProps) {
  const [params, setParams] = useChoices();
  const [selected, setSelected] = useState<number | null>(null);
  const [adding, setAdding] = useState(false);
  const [strong, setStrong] = useState(false);
  const dismiss = useDismiss(item.id);
  const format = sensorOf(item.traits);
  const set = (key: string, value: string) => setParams(withChoice(params, key, value), { replace: true });
  const stop = STOPS.find((s) => String(s) === params.get('f')) ?? stopNear(frame.workingAt);
  const view = sensor.SENSOR_VIEWS.find((v) => v === params.get('view')) ?? 'upright';
  const rows = rowsOf(chapter, frame, format, view, stop);
  const add = (at: sensor.Point) => {
    setAdding(false);
    onSpots([...frame.spots, byHand(at, frame)]);
  };
  const drop = (row: SpeckRow) => {
    const spot = spotOf(frame, row);
    // What a hand put there a hand takes away; what the frame shows is no dust from now on, in every frame.
    if (spot?.by === 'hand') onSpots(frame.spots.filter((s) => s !== spot));
    else dismiss.mutate({ itemId: item.id, x: row.x, y: row.y });
  };
  return (
    <div className="grid gap-6 lg:grid-cols-12">
      <div className="min-w-0 space-y-3 lg:col-span-8">
        <FrameView
          frame={frame}
          rows={rows}
          gone={chapter.gone}
          picture={picture}
          stop={stop}
          strong={strong}
          selected={selected}
          onSelect={setSelected}
          onAdd={adding ? add : undefined}
        />
        <ApertureSlider stop={stop} rows={rows} onChange={(s) => set('f', String(s))} />
        <div className="flex flex-wrap items-center gap-3 print:hidden">
          <Button aria-pressed={adding} look={adding ? 'filled' : 'plain'} onClick={() => setAdding(!adding)}>
            {adding ? 'Tap where it is' : 'Add one by hand'}
          </Button>
          <Button aria-pressed={strong} look={strong ? 'filled' : 'plain'} onClick={() => setStrong(!strong)}>
            More contrast
          </Button>
          <span className="text-sm text-soft">
            Rings are specks: red new ones, dashed what does not show at {fStop(stop)}, with a question mark what is not sure, crosses what
            is gone.
          </span>
        </div>
        {dismiss.error && <Failure error={dismiss.error} />}
      </div>
      <div className="min-w-0 space-y-6 lg:col-span-4">
        <Verdict item={item} chapter={chapter} isFirst={isFirst} isKept={kept !== null} pixels={pixels} />
        <Section title="As you face the sensor">
          <div className="sheet p-4">
            <FacingMap rows={rows} format={format} view={view} selected={selected} onView={(v) => set('view', v)} />
          </div>
        </Section>
      </div>
      <div className="min-w-0 space-y-3 lg:col-span-12">
        <SpeckTable rows={rows} selected={selected} onSelect={setSelected} onDismiss={drop} />
        <TakeAway frame={frame} rows={rows} picture={picture} />
      </div>
    </div>
  );
}

/** What was said of a kept frame can be corrected; or it is removed. */
function Corrections({ itemId, frame, isFirst }: { itemId: string; frame: SensorFrame; isFirst: boolean }) {
  const change = useChangeFrame(itemId);
  const remove = useRemoveFrame(itemId);
  const { id, version, workingAt, spots, tries, note } = frame;
  const set = (more: object) => change.mutate({ id, version, workingAt, spots, tries, note, ...more });
  return (
    <div className="sheet space-y-3 p-4 print:hidden">
      <div className="flex flex-wrap items-end gap-4">
        <WorkingAt value={workingAt} onChange={(stop) => set({ workingAt: stop })} />
        {!isFirst && <TriesChoice tries={tries} onChange={(next) => set({ tries: next })} />}
        <Button disabled={remove.isPending} onClick={() => remove.mutate(id)}>
          Remove this frame
        </Button>
      </div>
      {(change.error ?? remove.error) && <Failure error={change.error ?? remove.error} />}
    </div>
  );
}

function Frames({ item, data, wet }: { item: ItemPage; data: SensorFrames; wet: sensor.Wetting }) {
  const [params, setParams] = useChoices();
  // The aperture of the file that is being read, where its keeper told it.
  const told = useRef<number | null>(null);
  const { sensorFormat } = item.traits;
  const sensorWidthMm = sensorFormat ? sensor.formats[sensorFormat].widthMm : null;
  const { reading, failed, waiting, read, next, again, cancel } = useReading((api, file, onProgress) =>
    api.readFrame(file, { fNumber: told.current, sensorWidthMm }, onProgress),
  );
  const [draft, setDraft] = useState<Draft | null>(null);
  const [seen, setSeen] = useState<FrameReading | null>(null);
  const [toldFNumber, setToldFNumber] = useState<number | null>(null);
  const tell = (fNumber: number | null) => {
    told.current = fNumber;
    setToldFNumber(fNumber);
  };
  const keep = useKeepFrame(item.id);
  const change = useChangeFrame(item.id);
  const takeBack = useTakeBack(item.id);
  const { frames, dismissed } = data;
  // A reading that has come becomes the draft once.
  if (reading.state === 'read' && reading.read !== seen) {
    setSeen(reading.read);
    const fresh = draftOf(item, reading.file, reading.read, frames, outside.now(), toldFNumber);
    // Searched once more, it keeps what was said of it.
    const { lens, workingAt, tries } = draft?.file === reading.file ? draft.input : fresh.input;
    setDraft({ ...fresh, input: { ...fresh.input, lens, workingAt, tries } });
  }
  // Nothing is said of a frame before its aperture is known.
  const judged = draft?.fNumber == null ? null : draft;
  const all = useMemo(
    () => [...frames, ...(judged ? [judged.input] : [])].sort((a, b) => a.takenAt.localeCompare(b.takenAt)),
    [frames, judged],
  );
  const story = useMemo(() => sensor.storyOf(all.map(factsOf), dismissed, wet), [all, dismissed, wet]);
  const kept = draft ? null : (frames.find((f) => f.id === params.get('frame')) ?? frames.at(-1) ?? null);
  const shown = draft ? judged?.input : kept;
  const saved = useFramePicture(kept?.preview ?? null);
  const picture = draft ? draft.reading.preview : (saved.data ?? null);
  const chapter = story.chapters.find((c) => c.id === (kept?.id ?? 'draft'));
  const toldUnfit = chapter?.judgement.because.because === 'unfit' ? chapter.judgement.because.unfit : [];
  const forget = () => {
    setDraft(null);
    tell(null);
    next();
  };
  const searchAt = (file: File, fNumber: number) => {
    tell(fNumber);
    again(file);
  };
  const keepIt = (original: boolean) =>
    draft &&
    keep.mutate(
      { input: draft.input, preview: draft.reading.preview, original: original ? draft.file : null },
      {
        onSuccess: ({ id }) => {
          forget();
          setParams(withChoice(params, 'frame', id), { replace: true });
        },
      },
    );
  const setSpots = (spots: SensorFrameInput['spots']) => {
    if (draft) setDraft({ ...draft, input: { ...draft.input, spots } });
    else if (kept)
      change.mutate({ id: kept.id, version: kept.version, workingAt: kept.workingAt, tries: kept.tries, note: kept.note, spots });
  };
  return (
    <div className="space-y-6">
      {draft && <ReadingState reading={reading} failed={failed} waiting={waiting} onCancel={cancel} />}
      {draft ? (
        <DraftForm
          draft={draft}
          unfit={draft.input.unfit.filter((u) => !toldUnfit.includes(u))}
          hasFormat={sensorFormat !== undefined}
          before={frames.findLast((f) => f.takenAt <= draft.input.takenAt) ?? null}
          waiting={waiting}
          pending={keep.isPending}
          error={keep.error}
          onChange={setDraft}
          onAperture={(fNumber) => searchAt(draft.file, fNumber)}
          onKeep={keepIt}
          onDrop={forget}
        />
      ) : (
        <div className="print:hidden">
          <ReadFrame reading={reading} failed={failed} waiting={waiting} onRead={read} onCancel={cancel} />
        </div>
      )}
      {change.error && <Failure error={change.error} />}
      {shown && chapter && (
        <OneFrame
          key={kept?.id ?? 'draft'}
          item={item}
          frame={shown}
          kept={kept}
          chapter={chapter}
          isFirst={story.chapters[0] === chapter}
          picture={picture}
          pixels={story.pixels.length}
          onSpots={setSpots}
        />
      )}
      {!shown && !draft && (
        <Empty title="There is no frame of this body yet.">
          Drop one above: it tells how much dust there is, where, and whether it matters.
        </Empty>
      )}
      {kept && <Corrections itemId={item.id} frame={kept} isFirst={frames[0] === kept} />}
      {frames.length > 0 && !draft && (
        <Section title="Over time">
          <div className="space-y-3">
            <Chapters
              frames={frames}
              story={story}
              selected={kept?.id ?? null}
              onSelect={(id) => setParams(withChoice(params, 'frame', id), { replace: true })}
            />
            <GrowthWords story={story} />
            <DismissedList dismissed={dismissed} onTakeBack={(id) => takeBack.mutate(id)} />
          </div>
        </Section>
      )}
    </div>
  );
}

/** The frames of a body: which specks there are, where, whether they matter, and whether the clean helped. */
export function FramesPage() {
  const { id = '' } = useParams();
  const item = useItem(id);
  const frames = useFrames(id);
  const settings = useSettings();
  if (item.isPending || frames.isPending || settings.isPending) return <Loading />;
  if (item.isError) return <Failure error={item.error} onRetry={() => void item.refetch()} />;
  if (frames.isError) return <Failure error={frames.error} onRetry={() => void frames.refetch()} />;
  if (settings.isError) return <Failure error={settings.error} onRetry={() => void settings.refetch()} />;
  return (
    <Page
      title={`Dust on the sensor: ${item.data.name}`}
      sub={
        <Link className="link" to={`/gear/${id}`}>
          Back to {item.data.name}
        </Link>
      }
    >
      <Frames item={item.data} data={frames.data} wet={settings.data.schools.sensor} />
    </Page>
  );
}
