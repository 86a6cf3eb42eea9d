import type { ItemPage, LookDoc } from '@bright-keeper/contract';
import { care, inspection } from '@bright-keeper/core';
import { useReducer, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { failsAll } from '../../api/client';
import { newerIn } from '../../api/http';
import { Fold } from '../../ui/Fold';
import { Button, ButtonLink, Failure, Loading, Notice, Page } from '../../ui/parts';
import { At } from '../../ui/when';
import { findingsWords, surfaceTitle } from '../../ui/words';
import { useCorrectLook, useItem } from '../gear';
import { FindingsPicker } from './FindingsPicker';
import { useLook } from './queries';
import { answerFor, lookReducer, withoutAnswer, type LookAction, type LookDraft } from './state';

type Step = { step: inspection.LookStep; draft: LookDraft; act: (action: LookAction) => void; onUnseen: () => void };

/** One surface: what was said of it, and what is said after all. */
function OneSurface({ step: { surface, mayShow }, draft, act, onUnseen }: Step) {
  const answer = answerFor(draft, surface);
  const findings = answer?.findings ?? [];
  const told = findings.map((f) => f.soil).filter((soil) => !mayShow.includes(soil));
  return (
    <Fold
      title={surfaceTitle(surface)}
      aside={answer ? (findings.length > 0 ? findingsWords(findings) : 'nothing found') : 'not looked at'}
    >
      <div className="space-y-3 px-4 pb-4">
        <FindingsPicker
          mayShow={[...mayShow, ...told]}
          findings={findings}
          onSee={(soil, severity) => act({ type: 'see', surface, soil, severity })}
        />
        <label className="block">
          <span className="mb-1 block text-sm text-soft">Notes on this surface</span>
          <textarea
            rows={2}
            maxLength={2000}
            className="input"
            value={answer?.note ?? ''}
            onChange={(e) => act({ type: 'note', surface, note: e.target.value })}
          />
        </label>
        <div className="flex flex-wrap gap-2">
          <Button onClick={() => act({ type: 'nothing-here', surface })}>Nothing was there</Button>
          {answer && (
            <Button look="quiet" onClick={onUnseen}>
              It was not looked at
            </Button>
          )}
        </div>
      </div>
    </Fold>
  );
}

function Correcting({ look, item }: { look: LookDoc; item: ItemPage }) {
  const navigate = useNavigate();
  const correct = useCorrectLook(look.id);
  const steps = inspection.protocolFor(item.kind, item.traits);
  const [draft, change] = useReducer(
    (state: LookDraft, how: LookAction | { type: 'unseen'; surface: care.Surface }) =>
      how.type === 'unseen' ? withoutAnswer(state, how.surface) : lookReducer(state, how),
    // Of what its traits were changed to since, it may have fewer surfaces.
    { at: null, answers: look.answers.filter((a) => steps.some(({ surface }) => surface === a.surface)) },
  );
  const [version, setVersion] = useState(look.version);
  const newer = newerIn<LookDoc>(correct.error);
  const save = (asVersion: number) =>
    correct.mutate({ version: asVersion, answers: draft.answers }, { onSuccess: () => void navigate(`/gear/${item.id}`) });
  return (
    <Page
      title={`Correct a look at ${item.name}`}
      sub={
        <>
          Of <At instant={look.finishedAt ?? look.startedAt} />. What is said here counts as if it had been said then; the log keeps what
          was said before.
        </>
      }
    >
      <div className="max-w-3xl space-y-4">
        <div className="sheet divide-y divide-line">
          {steps.map((step) => (
            <OneSurface
              key={step.surface}
              step={step}
              draft={draft}
              act={change}
              onUnseen={() => change({ type: 'unseen', surface: step.surface })}
            />
          ))}
        </div>
        {newer && (
          <Notice tone="attention">
            <p>It was corrected elsewhere in the meantime. What you changed is still here.</p>
            <Button
              onClick={() => {
                setVersion(newer.version);
                save(newer.version);
              }}
            >
              Keep mine
            </Button>
          </Notice>
        )}
        {correct.error && !newer && <Failure error={correct.error} />}
        <div className="flex gap-3">
          <Button look="filled" disabled={correct.isPending} onClick={() => save(version)}>
            Save the correction
          </Button>
          <ButtonLink to={`/gear/${item.id}`}>Leave it as it was said</ButtonLink>
        </div>
      </div>
    </Page>
  );
}

/** A look that is over, corrected: what was seen after all, surface by surface. */
export function CorrectLookPage() {
  const { id = '' } = useParams();
  const look = useLook(id);
  const item = useItem(look.data?.itemId);
  for (const query of [look, item]) if (failsAll(query)) return <Failure error={query.error!} onRetry={() => void query.refetch()} />;
  if (!look.data || !item.data) return <Loading />;
  return <Correcting key={id} look={look.data} item={item.data} />;
}
