import { schedule, storage } from '@bright-keeper/core';
import { seasonWords } from '@bright-keeper/words';
import { shortDate } from '../../ui/dates';
import { Section } from '../../ui/parts';
import { useToday, useZone } from '../../ui/zone';
import { useExplanation } from './queries';

const WIDTH = 530;
const HEIGHT = 90;
/** What a strip shows, % RH. */
const FROM_PCT = 20;
const TO_PCT = 90;
const yOf = (pct: number): number => HEIGHT - ((Math.min(TO_PCT, Math.max(FROM_PCT, pct)) - FROM_PCT) / (TO_PCT - FROM_PCT)) * HEIGHT;
/** A month apart, as weeks go. */
const LABEL_EVERY = 9;

/** The mean of each week ahead against the limits of the place. */
function Weeks({ weeksPct, highPct }: { weeksPct: readonly number[]; highPct: number }) {
  const today = useToday();
  const width = WIDTH / weeksPct.length;
  const colourOf = (pct: number) => (pct > highPct ? 'fill-act' : pct < storage.TOO_DRY_PCT ? 'fill-lamp' : 'fill-glass');
  const [driest, dampest] = [Math.min(...weeksPct), Math.max(...weeksPct)].map(Math.round);
  const weekOf = (i: number) => shortDate(schedule.addDays(today, i * 7));
  const labels = weeksPct.map((_, i) => i).filter((i) => i % LABEL_EVERY === 0 && i < weeksPct.length - LABEL_EVERY / 2);
  return (
    <div>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        preserveAspectRatio="none"
        className="h-24 w-full"
        role="img"
        aria-label={`The year ahead by weeks: between ${driest} and ${dampest} %, with the upper end of its band at ${highPct} %.`}
      >
        {weeksPct.map((pct, i) => (
          <rect key={i} x={i * width + 0.5} y={yOf(pct)} width={width - 1} height={HEIGHT - yOf(pct)} className={colourOf(pct)}>
            <title>{`Week from ${weekOf(i)}: ${Math.round(pct)} %`}</title>
          </rect>
        ))}
        <line
          x1={0}
          x2={WIDTH}
          y1={yOf(highPct)}
          y2={yOf(highPct)}
          className="stroke-soft"
          strokeDasharray="4 3"
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      <p aria-hidden="true" className="relative h-5 text-xs text-soft">
        {labels.map((i) => (
          <span key={i} className="absolute" style={{ left: `${(100 * i) / weeksPct.length}%` }}>
            {weekOf(i)}
          </span>
        ))}
      </p>
      <p className="text-sm text-soft">A bar is the mean of a week; the dashed line is the upper end of its band, {highPct} %.</p>
    </div>
  );
}

/** How the year ahead goes in a place if nothing is done. */
export function SeasonCard({ placeId, highPct }: { placeId: string; highPct: number }) {
  const { data } = useExplanation(placeId);
  const timeZone = useZone();
  if (!data?.season) return null;
  const { season } = data;
  return (
    <Section title="The year ahead">
      <div className="sheet space-y-2 p-4">
        {seasonWords(season, highPct, (instant) => schedule.localDay(instant, timeZone)).map((line) => (
          <p key={line}>{line}</p>
        ))}
        {!('cannot' in season) && <Weeks weeksPct={season.weeksPct} highPct={highPct} />}
      </div>
    </Section>
  );
}
