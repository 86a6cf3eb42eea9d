import type { KeptRhythm } from '@bright-keeper/contract';
import { care, schedule } from '@bright-keeper/core';
import { rhythmTroubleWords, rhythmWords } from '@bright-keeper/words';
import { useDeferredValue, useReducer, useState } from 'react';
import { ApiError } from '../../api/http';
import { Button, Failure } from '../../ui/parts';
import { useRemoveRhythm, useRhythmPreview, useSaveRhythm } from './queries';
import { draftOf, FRESH, heldIn, keptFor, nowKept, reduceRhythm, toSave } from './rhythmState';
import { TriggerFields } from './TriggerFields';
import { YearChange } from './YearChange';

type Subject = { id: string; name: string; kind?: care.ItemKind };
type Props = { code: schedule.DutyCode; kept: readonly KeptRhythm[]; subjects: readonly Subject[]; of: string | null; today: string };

const TRIGGER_WORDS: Record<schedule.Trigger['on'], string> = {
  calendar: 'by the calendar',
  use: 'by use',
  exposure: 'after exposure',
  climate: 'by the air',
  idleness: 'after idleness',
};

/** For whom it holds: the choices there are. */
function scopesOf(subjects: readonly Subject[]): [string, string, schedule.RhythmScope][] {
  const kinds = [...new Set(subjects.flatMap((s) => s.kind ?? []))];
  return [
    ['all', 'All', { for: 'all' }],
    ...kinds.map((kind): [string, string, schedule.RhythmScope] => [
      `kind/${kind}`,
      `Every ${care.kindFacts(kind).name}`,
      { for: 'kind', kind },
    ]),
    ...subjects.map((s): [string, string, schedule.RhythmScope] => [`one/${s.id}`, `Only ${s.name}`, { for: 'subject', id: s.id }]),
  ];
}
const keyOf = (scope: schedule.RhythmScope): string =>
  scope.for === 'all' ? 'all' : scope.for === 'kind' ? `kind/${scope.kind}` : `one/${scope.id}`;

/** The rhythm of one duty: for whom, what makes it due, how far it may slip; and what that makes of the next year. */
export function RhythmEditor({ code, kept: keptNow, subjects, of, today }: Props) {
  // As they were when the editor was opened, and as its own saving made them: it writes over nothing unseen.
  const [kept, setKept] = useState(keptNow);
  const kindOf = (id: string) => subjects.find((s) => s.id === id)?.kind;
  const begin: schedule.RhythmScope = of && subjects.some((s) => s.id === of) ? { for: 'subject', id: of } : { for: 'all' };
  const [draft, dispatch] = useReducer(reduceRhythm, null, () => draftOf(code, begin, heldIn(kept, code, begin, kindOf)));
  const own = keptFor(kept, code, draft.scope);
  const save = useSaveRhythm();
  const remove = useRemoveRhythm();
  const troubles = draft.on ? schedule.rhythmTroubles(draft.rhythm, today) : [];
  const troubleAt = (index: number) => troubles.find((t) => 'trigger' in t && t.trigger === index);
  const input = toSave(draft, own);
  const asked = useDeferredValue({ code: input.code, scope: input.scope, rhythm: input.rhythm });
  // What was changed since is not saved.
  const isSaved = save.isSuccess && JSON.stringify({ ...save.variables, version: 0 }) === JSON.stringify({ ...input, version: 0 });
  const window = (field: 'earlyDays' | 'lateDays' | 'minutes', label: string) => (
    <label className="flex flex-col gap-1">
      {label}
      <input
        type="number"
        inputMode="numeric"
        min="0"
        className="input w-28"
        value={draft.rhythm[field]}
        onChange={(e) => dispatch({ type: 'window', field, value: Math.max(0, Math.round(Number(e.target.value))) })}
      />
    </label>
  );
  return (
    <form
      aria-label={`Rhythm: ${schedule.dutyFacts(code).name}`}
      className="sheet space-y-4 p-4"
      onSubmit={(e) => {
        e.preventDefault();
        if (troubles.length > 0) return;
        save.mutate(input, { onSuccess: (saved) => setKept(nowKept(kept, input, saved)) });
      }}
    >
      <p className="text-soft">{schedule.dutyFacts(code).what}</p>
      <label className="flex flex-wrap items-center gap-2">
        For
        <select
          className="input w-auto max-w-full"
          value={keyOf(draft.scope)}
          onChange={(e) => {
            const scope = scopesOf(subjects).find(([key]) => key === e.target.value)![2];
            dispatch({ type: 'scope', scope, held: heldIn(kept, code, scope, kindOf) });
          }}
        >
          {scopesOf(subjects).map(([key, words]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
        </select>
      </label>
      <label className="flex min-h-11 items-center gap-2">
        <input type="checkbox" className="check" checked={draft.on} onChange={(e) => dispatch({ type: 'on', on: e.target.checked })} /> Ask
        for it
      </label>
      {draft.on && (
        <>
          <fieldset>
            <legend className="font-medium">It is due{draft.rhythm.triggers.length > 1 ? ', whichever comes first' : ''}</legend>
            <ul className="divide-y divide-line">
              {draft.rhythm.triggers.map((trigger, index) => {
                const trouble = troubleAt(index);
                return (
                  <TriggerFields
                    key={index}
                    trigger={trigger}
                    today={today}
                    set={(next) => dispatch({ type: 'trigger', index, trigger: next })}
                    drop={draft.rhythm.triggers.length > 1 ? () => dispatch({ type: 'drop', index }) : null}
                    error={trouble && rhythmTroubleWords(trouble)}
                  />
                );
              })}
            </ul>
            <div className="mt-1 flex flex-wrap items-center gap-2 text-sm">
              Also
              {(Object.keys(FRESH) as schedule.Trigger['on'][]).map((on) => (
                <Button key={on} look="quiet" onClick={() => dispatch({ type: 'add', trigger: FRESH[on] })}>
                  {TRIGGER_WORDS[on]}
                </Button>
              ))}
            </div>
          </fieldset>
          <div className="flex flex-wrap gap-4">
            {window('earlyDays', 'Days early')}
            {window('lateDays', 'Days late')}
            {window('minutes', 'Minutes')}
          </div>
        </>
      )}
      {troubles
        .filter((t) => !('trigger' in t))
        .map((t) => (
          <p key={t.trouble} className="text-sm text-act">
            {rhythmTroubleWords(t)}
          </p>
        ))}
      <p className="rounded bg-well px-3 py-2">{draft.on ? `Due ${rhythmWords(draft.rhythm)}.` : 'It is not asked for.'}</p>
      {troubles.length === 0 && <Preview asked={asked} today={today} />}
      {save.error && <Failure error={save.error} />}
      {save.error instanceof ApiError && save.error.problem.code === 'stale' && (
        <p className="text-sm">Close it and open it again to see the newer one.</p>
      )}
      {remove.error && <Failure error={remove.error} />}
      <div className="flex flex-wrap items-center gap-3">
        <Button type="submit" look="filled" disabled={save.isPending || troubles.length > 0}>
          Save this rhythm
        </Button>
        {own && (
          <Button
            disabled={remove.isPending}
            onClick={() =>
              remove.mutate(own.id, {
                onSuccess: () => {
                  const rest = nowKept(kept, own, null);
                  setKept(rest);
                  dispatch({ type: 'scope', scope: draft.scope, held: heldIn(rest, code, draft.scope, kindOf) });
                },
              })
            }
          >
            Back to the usual
          </Button>
        )}
        {isSaved && <span role="status">Saved.</span>}
      </div>
    </form>
  );
}

function Preview({ asked, today }: { asked: Parameters<typeof useRhythmPreview>[0]; today: string }) {
  const preview = useRhythmPreview(asked);
  if (preview.isError) return <Failure error={preview.error} />;
  return preview.data ? <YearChange preview={preview.data} today={today} /> : <p className="text-sm text-soft">Reckoning the next year…</p>;
}
