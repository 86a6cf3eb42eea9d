import { LARGEST_PICTURE_BYTES, type SensorFrame } from '@bright-keeper/contract';
import { sensor } from '@bright-keeper/core';
import { unfitWords } from '@bright-keeper/words';
import { useState } from 'react';
import { Link } from 'react-router';
import { Button, Failure, Notice } from '../../ui/parts';
import { toNumber } from '../../ui/toNumber';
import { WayButtons } from '../../ui/WayButtons';
import { comparedWith } from './comparedWith';
import { type Draft, STOPS } from './framesView';

const TRIES: { tries: sensor.SensorTry[]; label: string }[] = [
  { tries: [], label: 'Nothing' },
  { tries: ['blow'], label: 'Blown' },
  { tries: ['swab'], label: 'Swabbed' },
  { tries: ['blow', 'swab'], label: 'Both' },
];

const sameTries = (a: readonly string[], b: readonly string[]): boolean => a.join() === b.join();

/** What was done since the frame before: it tells what stayed through it. */
export const TriesChoice = ({ tries, onChange }: { tries: readonly sensor.SensorTry[]; onChange: (tries: sensor.SensorTry[]) => void }) => (
  <fieldset>
    <legend className="mb-1 text-sm text-soft">Since the frame before</legend>
    <div className="flex flex-wrap gap-2">
      {TRIES.map((t) => (
        <Button
          key={t.label}
          look={sameTries(t.tries, tries) ? 'filled' : 'plain'}
          aria-pressed={sameTries(t.tries, tries)}
          onClick={() => onChange(t.tries)}
        >
          {t.label}
        </Button>
      ))}
    </div>
  </fieldset>
);

const isFNumber = (value: unknown): value is number => typeof value === 'number' && value >= 0.7 && value <= 128;

/** Apertures a test frame is taken at. */
const TEST_STOPS = STOPS.filter((stop) => stop >= 8).map((stop) => [String(stop), `f/${stop}`] as const);

type NumberProps = { label: string; typed: string; onChange: (typed: string) => void };
const FNumber = ({ label, typed, onChange }: NumberProps) => (
  <label className="flex flex-col gap-1 text-sm text-soft">
    {label}
    <input className="input w-28 text-base text-ink" inputMode="decimal" value={typed} onChange={(e) => onChange(e.target.value)} />
  </label>
);

/** The smallest aperture used at work. */
export const WorkingAt = ({ value, onChange }: { value: number; onChange: (stop: number) => void }) => (
  <label className="flex flex-col gap-1 text-sm text-soft">
    Smallest aperture you use
    <select className="input text-base text-ink" value={value} onChange={(e) => onChange(Number(e.target.value))}>
      {[...new Set([...STOPS, value])]
        .sort((a, b) => a - b)
        .map((stop) => (
          <option key={stop} value={stop}>
            f/{stop}
          </option>
        ))}
    </select>
  </label>
);

type Props = {
  draft: Draft;
  before: SensorFrame | null;
  /** What is wrong with it, as far as the verdict does not say it. */
  unfit: readonly sensor.Unfit[];
  /** Does the body say which sensor it has? */
  hasFormat: boolean;
  /** So many files wait to be read after this one. */
  waiting: number;
  pending: boolean;
  error: unknown;
  onChange: (draft: Draft) => void;
  /** Searches the file once more, at an aperture its keeper tells. */
  onAperture: (fNumber: number) => void;
  onKeep: (withOriginal: boolean) => void;
  onDrop: () => void;
};

/** What of a frame a refusal means, for what has no field of its own. */
const FIELD_WORDS: Record<string, string> = {
  spots: 'What was found in it',
  fNumber: 'Aperture',
  workingAt: 'Smallest aperture you use',
  lens: 'Lens',
  takenAt: 'When it was taken',
};

const foundWords = (spots: number): string =>
  spots === 0
    ? 'Nothing dark was found in it.'
    : spots === 1
      ? 'One dark place was found in it.'
      : `${spots} dark places were found in it.`;

/** A frame that was read: what the file did not say, what is wrong with it, and whether it is kept. */
export function DraftForm({ draft, before, unfit, hasFormat, waiting, pending, error, onChange, onAperture, onKeep, onDrop }: Props) {
  const [original, setOriginal] = useState(false);
  const { input, reading } = draft;
  const set = (change: Partial<Draft['input']>) => onChange({ ...draft, input: { ...input, ...change } });
  const [typed, setTyped] = useState(draft.fNumber === null ? '' : String(draft.fNumber));
  const asked = toNumber(typed);
  const isOther = isFNumber(asked) && asked !== draft.fNumber;
  return (
    <section className="sheet space-y-4 p-4" aria-label="The frame that was read">
      <p>
        <b>{input.fileName}</b>{' '}
        <span className="text-soft">
          {input.width} × {input.height}
          {input.body && `, ${input.body}`}
          {input.lens && `, ${input.lens}`}
          {input.focalMm && `, ${Math.round(input.focalMm)} mm`}
          {input.iso && `, ISO ${input.iso}`}
        </span>
      </p>
      {unfit.map((u) => (
        <Notice key={u} tone="attention">
          <b>{unfitWords(u).what}</b> {unfitWords(u).instead}
        </Notice>
      ))}
      {comparedWith(before, input).map((words) => (
        <Notice key={words} tone="attention">
          {words}
        </Notice>
      ))}
      <div className="flex flex-wrap items-end gap-4">
        {draft.fNumber === null && (
          <WayButtons
            legend="At which aperture was it taken? The file does not say."
            ways={TEST_STOPS}
            chosen={null}
            onChoose={(stop) => {
              setTyped(stop);
              onAperture(Number(stop));
            }}
          />
        )}
        <FNumber label={draft.fNumber === null ? 'or f/' : 'Taken at f/'} typed={typed} onChange={setTyped} />
        {isOther && (
          <Button look="filled" onClick={() => onAperture(asked)}>
            Search it at f/{asked}
          </Button>
        )}
        {reading.taken.lens === null && (
          <label className="flex flex-col gap-1 text-sm text-soft">
            Lens (the file does not say)
            <input
              className="input w-48 text-base text-ink"
              maxLength={200}
              value={input.lens ?? ''}
              onChange={(e) => set({ lens: e.target.value === '' ? null : e.target.value })}
            />
          </label>
        )}
        <WorkingAt value={input.workingAt} onChange={(workingAt) => set({ workingAt })} />
        {before && <TriesChoice tries={input.tries} onChange={(tries) => set({ tries })} />}
      </div>
      {typed !== '' && !isFNumber(asked) && <p className="text-sm text-act">Give an f-number from 0.7 to 128.</p>}
      {draft.fNumber === null && (
        <p>
          {foundWords(input.spots.length)} How narrow a shadow can be, and whether it shows at the apertures you use, hangs on the aperture:
          so nothing is said of them before it is told.
        </p>
      )}
      {reading.isPreview && <p className="text-soft">Read from the picture inside the raw file, as the camera rendered it.</p>}
      {!hasFormat && (
        <p className="text-soft">
          Which sensor this body has is not told: sizes are as on full frame, and pixels that are narrower than any shadow cannot be left
          out.{' '}
          <Link className="link" to={`/gear/${input.itemId}/edit`}>
            Tell its sensor
          </Link>
        </p>
      )}
      <div className="flex flex-wrap items-center gap-3">
        <Button look="filled" disabled={pending || draft.fNumber === null || isOther || !isFNumber(asked)} onClick={() => onKeep(original)}>
          Keep this frame
        </Button>
        <Button disabled={pending} onClick={onDrop}>
          Drop it
        </Button>
        {waiting > 0 && <span className="text-sm text-soft">{waiting} more to read after it</span>}
        {draft.file.size <= LARGEST_PICTURE_BYTES && (
          <label className="flex min-h-11 items-center gap-2 text-sm">
            <input type="checkbox" className="check" checked={original} onChange={(e) => setOriginal(e.target.checked)} /> Keep the file as
            it came, too
          </label>
        )}
      </div>
      {error !== null && error !== undefined && <Failure error={error} whereWords={(path) => FIELD_WORDS[path.split('.')[0]!] ?? path} />}
    </section>
  );
}
