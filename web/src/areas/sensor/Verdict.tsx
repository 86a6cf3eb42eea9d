import { sensor } from '@bright-keeper/core';
import { changeWords, sensorAdvice, sensorWords, sittingWords } from '@bright-keeper/words';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { Button, Failure } from '../../ui/parts';
import { useTakeToBench } from './queries';

const TONES: Record<sensor.SensorAdvice, string> = { leave: 'text-glass', blow: 'text-lamp', swab: 'text-lamp', 'hand-over': 'text-act' };

/** What taking the specks out of a year's pictures by hand costs, against a clean. */
function RetouchCost({ shows }: { shows: number }) {
  const [frames, setFrames] = useState(200);
  if (shows === 0) return null;
  const { hours } = sensor.retouch({ shows, frames: Number.isNaN(frames) ? 0 : frames });
  return (
    <div className="text-sm">
      <label className="flex flex-wrap items-center gap-2">
        Pictures a year at that aperture
        <input
          className="input w-24"
          type="number"
          min={0}
          max={1_000_000}
          value={Number.isNaN(frames) ? '' : frames}
          onChange={(e) => setFrames(e.target.valueAsNumber)}
        />
      </label>
      <p className="mt-1 text-soft">
        By hand that is about {hours < 1.5 ? `${Math.round(hours * 60)} minutes` : `${hours.toFixed(1)} hours`} of retouching a year at{' '}
        {sensor.SECONDS_A_SPOT} s a speck; a wet clean of one’s own costs a swab, some drops and a quarter of an hour, a shop’s 40 to 75
        (common practice). A panorama repeats each speck in every picture of it.
      </p>
    </div>
  );
}

type Props = { itemId: string; chapter: sensor.FrameChapter; isFirst: boolean; isKept: boolean };

/** Does it matter, and what is the gentlest that helps? */
export function Verdict({ itemId, chapter, isFirst, isKept }: Props) {
  const navigate = useNavigate();
  const bench = useTakeToBench(itemId);
  const { judgement, spots, gone, stayed, moved, fresh } = chapter;
  const sitting = sittingWords(spots);
  const mayClean = judgement.advice === 'blow' || judgement.advice === 'swab';
  return (
    <section className="sheet space-y-3 p-4" aria-label="What it needs">
      <p className={`text-xl font-semibold ${TONES[judgement.advice]}`}>{sensorAdvice(judgement.advice)}</p>
      <p>{sensorWords(judgement.because)}</p>
      {!isFirst && (
        <p>
          <b>Since the frame before:</b> {changeWords({ gone: gone.length, stayed, moved, fresh })}
        </p>
      )}
      {sitting && <p>{sitting}</p>}
      {isKept && mayClean && (
        <Button
          look="filled"
          disabled={bench.isPending}
          onClick={() => bench.mutate(judgement.shows, { onSuccess: () => void navigate(`/gear/${itemId}/plan`) })}
        >
          Plan the clean
        </Button>
      )}
      {bench.error && <Failure error={bench.error} />}
      <RetouchCost shows={judgement.shows} />
    </section>
  );
}
