import type { ItemPage } from '@bright-keeper/contract';
import type { sensor } from '@bright-keeper/core';
import { changeWords, pixelWords, sensorAdvice, sensorWords, sittingWords, unsureWords } from '@bright-keeper/words';
import { useNavigate } from 'react-router';
import { Button, Failure } from '../../ui/parts';
import { useTakeToBench } from './queries';
import { RetouchCost } from './RetouchCost';

const TONES: Record<sensor.SensorAdvice, string> = {
  leave: 'text-glass',
  'look-again': 'text-lamp',
  blow: 'text-lamp',
  swab: 'text-lamp',
  'hand-over': 'text-act',
};

type Props = {
  item: ItemPage;
  chapter: sensor.FrameChapter;
  isFirst: boolean;
  isKept: boolean;
  /** Places of this sensor that are dark at every aperture. */
  pixels: number;
};

/** Does it matter, and what is the gentlest that helps? */
export function Verdict({ item, chapter, isFirst, isKept, pixels }: Props) {
  const navigate = useNavigate();
  const bench = useTakeToBench(item.id);
  const { judgement, spots, gone, stayed, moved, fresh } = chapter;
  const sitting = sittingWords(spots);
  // What is left is noted as well: the plan must not go on asking for what an earlier look saw. A workshop's work has no plan here.
  const hasPlan = judgement.advice !== 'look-again' && judgement.advice !== 'hand-over';
  return (
    <section className="sheet space-y-3 p-4" aria-label="What it needs">
      <p className={`text-xl font-semibold ${TONES[judgement.advice]}`}>{sensorAdvice(judgement.advice)}</p>
      <p>{sensorWords(judgement.because)}</p>
      {judgement.unsure > 0 && judgement.because.because !== 'unsure' && <p className="text-soft">{unsureWords(judgement.unsure)}</p>}
      {pixels > 0 && <p className="text-soft">{pixelWords(pixels)}</p>}
      {!isFirst && (
        <p>
          <b>Since the frame before:</b> {changeWords({ gone: gone.length, stayed, moved, fresh })}
        </p>
      )}
      {sitting && <p>{sitting}</p>}
      {isKept && hasPlan && (
        <Button
          look="filled"
          disabled={bench.isPending}
          onClick={() => bench.mutate(judgement.shows, { onSuccess: () => void navigate(`/gear/${item.id}/plan`) })}
        >
          See the plan
        </Button>
      )}
      {bench.error && <Failure error={bench.error} />}
      <RetouchCost item={item} shows={judgement.shows} />
    </section>
  );
}
