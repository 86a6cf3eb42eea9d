import type { ItemPage, Teardown } from '@bright-keeper/contract';
import { routes } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { beforeOpening, closingWords, DEPTH_NAMES } from '@bright-keeper/words';
import { Camera, Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { failsAll } from '../../api/client';
import { useSavedDocument } from '../../api/useSavedDocument';
import { FileButton } from '../../ui/FilePicker';
import { Button, Failure, Loading, Page, Section } from '../../ui/parts';
import { AtWork } from '../../ui/AtWork';
import { SaveMark } from '../../ui/SaveMark';
import { WentOn } from '../../ui/WentOn';
import { useItem } from '../gear';
import { useSettings } from '../settings';
import { CautionLines } from './CautionLines';
import { cacheTeardown, saveTeardown, useEndTeardown, useSavePhoto, useTeardown } from './queries';
import { newStage, teardownReducer, type TeardownAction, type TeardownDraft } from './teardownState';
import { TouchLadder } from './TouchLadder';

const draftOf = ({ phase, stages }: Teardown): TeardownDraft => ({ phase, stages });

type StageProps = {
  record: Teardown;
  stage: care.TeardownStage;
  number: number;
  act: (action: TeardownAction) => void;
  /** Resolves once the stage is kept: only then can its photograph be. */
  settled: () => Promise<unknown>;
};

const TEXTS = [
  ['what', 'What comes off', 'front retaining ring'],
  ['parts', 'Parts, in order', 'ring, first element, convex side out'],
  ['screws', 'Screws', '3 grub screws, loosened'],
  ['mark', 'How it sat', 'notch at 12 o’clock'],
] as const;

/** One stage while opening: what came off and how it sat, with its photograph. */
function StageForm({ record, stage, number, act, settled }: StageProps) {
  const save = useSavePhoto(record.id);
  const [shown, setShown] = useState(0);
  const edit = (change: Partial<care.TeardownStage>) => act({ type: 'edit', id: stage.id, change });
  const keep = async (file: File) => {
    await settled();
    save.mutate(
      { stageId: stage.id, file },
      {
        onSuccess: () => {
          edit({ hasPhoto: true });
          setShown((n) => n + 1);
        },
      },
    );
  };
  return (
    <li className="sheet space-y-3 p-4">
      <div className="flex items-center justify-between gap-2">
        <h3 className="font-semibold">Stage {number}</h3>
        <Button look="quiet" aria-label={`Remove stage ${number}`} onClick={() => act({ type: 'remove', id: stage.id })}>
          <Trash2 size={18} aria-hidden="true" />
        </Button>
      </div>
      <div className="grid gap-3 sm:grid-cols-2">
        {TEXTS.map(([key, label, example]) => (
          <label key={key} className="block">
            <span className="mb-1 block text-sm text-soft">{label}</span>
            <input
              className="input"
              maxLength={300}
              placeholder={example}
              value={stage[key]}
              onChange={(e) => edit({ [key]: e.target.value })}
            />
          </label>
        ))}
        <label className="block">
          <span className="mb-1 block text-sm text-soft">Turns until it came off</span>
          <input
            className="input"
            type="number"
            min={0}
            max={500}
            step={0.25}
            value={stage.turns ?? ''}
            onChange={(e) => edit({ turns: Number.isNaN(e.target.valueAsNumber) ? null : e.target.valueAsNumber })}
          />
        </label>
        <div>
          <span className="mb-1 block text-sm text-soft">Photograph, before you undo it</span>
          <FileButton accept="image/jpeg,image/png,image/webp" capture="environment" onChoose={(file) => void keep(file)}>
            <Camera size={18} aria-hidden="true" /> {stage.hasPhoto ? 'Take another' : 'Take or choose'}
          </FileButton>
        </div>
      </div>
      {save.error && <Failure error={save.error} />}
      {stage.hasPhoto && (
        <img
          src={`${routes.teardownPhoto(record.id, stage.id)}?${shown}`}
          alt={`Stage ${number}: ${stage.what}`}
          className="max-h-56 rounded border border-line"
        />
      )}
    </li>
  );
}

/** The stages the other way round, to be ticked as each goes back. */
function Closing({ record, draft, act }: { record: Teardown; draft: TeardownDraft; act: (action: TeardownAction) => void }) {
  const next = care.nextToClose(draft.stages);
  return (
    <ol className="space-y-3">
      {care.closingOrder(draft.stages).map((stage, i) => (
        <li key={stage.id} className={`sheet p-4 ${stage === next ? 'border-lamp' : ''}`}>
          <label className="flex min-h-11 items-start gap-3 text-lg">
            <input
              type="checkbox"
              className="check mt-1"
              checked={stage.closed}
              disabled={!stage.closed && stage !== next}
              onChange={(e) => act({ type: 'edit', id: stage.id, change: { closed: e.target.checked } })}
            />
            <span>
              {i + 1}. {closingWords(stage)}
            </span>
          </label>
          {stage.hasPhoto && (
            <img src={routes.teardownPhoto(record.id, stage.id)} alt={`How it sat: ${stage.what}`} className="mt-2 max-h-56 rounded" />
          )}
        </li>
      ))}
    </ol>
  );
}

/** The ladder for a face that has been laid bare, for what the last look saw inside. */
function ExposedFace({ item, schools, depth }: { item: ItemPage; schools: care.Schools; depth: care.Depth }) {
  const seen = item.surfaces.find((s) => s.surface === 'inner-glass')?.findings[0] ?? { soil: 'haze' as const, severity: 2 as const };
  if (!care.mayAskToOpen(item.kind) || depth === 'deeper') return null;
  const plan = care.planExposedFace({ item: { kind: item.kind, traits: item.traits }, schools }, seen, depth);
  const surface = plan.steps[0]?.surface;
  if (!surface) return null;
  return (
    <Section title="The face laid bare" aside={`as glass, for ${care.SOILS[seen.soil].name}`}>
      <div className="sheet mb-3 p-3">
        <TouchLadder surface={surface} plan={plan} />
      </div>
      <CautionLines hazards={plan.cautions.map((c) => c.hazard)} />
    </Section>
  );
}

function Record({ record, item, schools }: { record: Teardown; item: ItemPage; schools: care.Schools }) {
  const navigate = useNavigate();
  const save = useMemo(() => saveTeardown(record.id), [record.id]);
  const doc = useSavedDocument({ name: record.id, loaded: record, draftOf, save, onSaved: cacheTeardown });
  const end = useEndTeardown(record);
  const { draft, change } = doc;
  const act = (action: TeardownAction) => change(teardownReducer(draft, action));
  const back = () => void navigate(`/gear/${item.id}`);
  const opening = draft.phase === 'opening';
  return (
    <Page
      title={<>Opened: {record.itemName}</>}
      sub={
        <>
          {DEPTH_NAMES[record.depth]} · <SaveMark id={record.id} state={doc.state} />
        </>
      }
      actions={
        opening ? (
          <Button look="filled" disabled={draft.stages.length === 0} onClick={() => act({ type: 'phase', phase: 'closing' })}>
            Close it again
          </Button>
        ) : (
          <>
            <Button onClick={() => act({ type: 'phase', phase: 'opening' })}>One stage more</Button>
            <Button
              look="filled"
              disabled={care.nextToClose(draft.stages) !== null || end.isPending}
              onClick={() => void doc.settled().then((version) => end.mutate({ version }, { onSuccess: back }))}
            >
              All is back: put it in the log
            </Button>
          </>
        )
      }
    >
      <WentOn what="record" newer={doc.newer} onTake={doc.takeNewer} />
      {end.error && <Failure error={end.error} />}
      <div className="grid gap-6 lg:grid-cols-12">
        <div className="space-y-4 lg:col-span-7">
          {opening ? (
            <>
              <ol className="space-y-3">
                {draft.stages.map((stage, i) => (
                  <StageForm key={stage.id} record={record} stage={stage} number={i + 1} act={act} settled={doc.settled} />
                ))}
              </ol>
              <Button onClick={() => act({ type: 'add', stage: newStage(crypto.randomUUID()) })}>
                {draft.stages.length === 0 ? 'Note the first stage' : 'Next stage'}
              </Button>
              {draft.stages.length === 0 && (
                <Button look="quiet" className="ml-3" onClick={() => end.mutate('drop', { onSuccess: back })}>
                  It was not opened after all
                </Button>
              )}
            </>
          ) : (
            <Closing record={record} draft={draft} act={act} />
          )}
        </div>
        <div className="space-y-6 lg:col-span-5">
          <Section title="Stop at the first doubt">
            <ul className="sheet list-disc space-y-1 py-3 pr-4 pl-8">
              {beforeOpening(record.depth).map((l) => (
                <li key={l}>{l}</li>
              ))}
            </ul>
          </Section>
          {opening && <ExposedFace item={item} schools={schools} depth={record.depth} />}
        </div>
      </div>
    </Page>
  );
}

export function TeardownPage() {
  const { id = '' } = useParams();
  const record = useTeardown(id);
  const item = useItem(record.data?.itemId);
  const settings = useSettings();
  if (failsAll(settings)) return <Failure error={settings.error!} onRetry={() => void settings.refetch()} />;
  if (!settings.data) return <Loading />;
  const { schools } = settings.data;
  return (
    <AtWork id={id} what="record" work={record} item={item}>
      {(work, thing) => <Record key={id} record={work} item={thing} schools={schools} />}
    </AtWork>
  );
}
