import type { SensorFrame } from '@bright-keeper/contract';
import { sensor } from '@bright-keeper/core';
import { changeWords, count, fStop, sensorAdvice } from '@bright-keeper/words';
import { At } from '../../ui/when';

const TRY_WORDS: Record<sensor.SensorTry, string> = { blow: 'blown', swab: 'swabbed' };

const sureOf = ({ spots }: sensor.FrameChapter): number => spots.filter(sensor.isSure).length;

type Props = { frames: readonly SensorFrame[]; story: sensor.SensorStory; selected: string | null; onSelect: (id: string) => void };

/** The frames of a body over time, the newest first, each with what changed since the one before. */
export const Chapters = ({ frames, story, selected, onSelect }: Props) => (
  <ol className="sheet divide-y divide-line">
    {[...frames].reverse().map((frame) => {
      const chapter = story.chapters.find((c) => c.id === frame.id);
      if (!chapter) return null;
      const isFirst = frame === frames[0];
      return (
        <li key={frame.id}>
          <button
            type="button"
            aria-current={selected === frame.id ? 'true' : undefined}
            className={`block w-full px-4 py-2.5 text-left hover:bg-well ${selected === frame.id ? 'bg-well' : ''}`}
            onClick={() => onSelect(frame.id)}
          >
            <span className="flex flex-wrap justify-between gap-2">
              <b>
                <At instant={frame.takenAt} />, {fStop(frame.fNumber)}
              </b>
              <span className="text-soft">{sensorAdvice(chapter.judgement.advice)}</span>
            </span>
            <span className="block text-sm text-soft">
              {sureOf(chapter)} {sureOf(chapter) === 1 ? 'speck' : 'specks'}, {chapter.judgement.shows} at {fStop(frame.workingAt)}
              {chapter.judgement.unsure > 0 && `, ${chapter.judgement.unsure} unsure`}
              {!isFirst && (
                <>
                  {' · '}
                  {frame.tries.length > 0 ? `${frame.tries.map((t) => TRY_WORDS[t]).join(' and ')}: ` : ''}
                  {changeWords({ gone: chapter.gone.length, stayed: chapter.stayed, moved: chapter.moved, fresh: chapter.fresh })}
                </>
              )}
            </span>
          </button>
        </li>
      );
    })}
  </ol>
);

const days = (n: number): string =>
  n < 21 ? `${Math.round(n)} days` : n < 90 ? `${Math.round(n / 7)} weeks` : `${Math.round(n / 30.4)} months`;

/** Few come with a change: a rate below a half is told to a hundredth. */
const rate = (n: number): string => n.toFixed(n < 0.5 ? 2 : 1);

/** How fast specks come, and when a clean will be worth it. */
export function GrowthWords({ story: { growth, perChange, next } }: { story: sensor.SensorStory }) {
  if (!growth)
    return <p className="text-sm text-soft">How fast specks come is known after two frames with outings of this body between them.</p>;
  return (
    <p className="text-sm">
      About {growth.perExposure.toFixed(1)} new specks that show an outing ({growth.low.toFixed(1)} to {growth.high.toFixed(1)}, from{' '}
      {growth.fresh} on {growth.exposures} {growth.exposures === 1 ? 'outing' : 'outings'}).{' '}
      {perChange &&
        `For each lens change that was counted ${rate(perChange.perExposure)} (${rate(perChange.low)} to ${rate(perChange.high)}, from ${perChange.fresh} on ${count(perChange.exposures, 'change', 'changes')}), as if all had come in that way. `}
      {next &&
        (next.likelyDays < 1
          ? 'Enough show for a clean to be worth it.'
          : `At that rate a clean is worth it ${days(next.likelyDays)} after the last frame (${days(next.earlyDays)} to ${Number.isFinite(next.lateDays) && next.lateDays < 3650 ? days(next.lateDays) : 'years'}), with ${sensor.WORTH_A_CLEAN} that show.`)}
    </p>
  );
}
