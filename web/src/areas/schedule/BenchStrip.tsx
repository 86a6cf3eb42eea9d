import { schedule } from '@bright-keeper/core';
import type { BenchDays } from '@bright-keeper/contract';
import { dutyWords } from '@bright-keeper/words';

type Day = BenchDays['plan']['days'][number];
export type Piece = { setUp: schedule.SetUpId | null; from: number; minutes: number; words: string; laying: boolean };

/** A day as pieces of minutes: each set-up laid out once, then its tasks in their order. */
export function piecesOf({ tasks }: Pick<Day, 'tasks'>): Piece[] {
  const pieces: Piece[] = [];
  let at = 0;
  const add = (setUp: schedule.SetUpId | null, minutes: number, words: string, laying: boolean) => {
    if (minutes > 0) pieces.push({ setUp, from: at, minutes, words, laying });
    at += minutes;
  };
  const laid = new Set<string>();
  for (const task of tasks) {
    const setUp = task.setUp ?? null;
    if (setUp && !laid.has(setUp)) {
      laid.add(setUp);
      const { name, minutes } = schedule.setUpFacts(setUp);
      add(setUp, minutes, `Lay out: ${name.toLowerCase()}`, true);
    }
    add(setUp, task.minutes, `${task.duty.subject.name}: ${dutyWords(task.duty).title}`, false);
  }
  return pieces;
}

const WIDTH = 1000;
const HEIGHT = 34;
/** Set-ups take turns in two fills, so that their borders show without any colour. */
const FILLS = ['fill-glass', 'fill-soft'] as const;

/** A bench day as a strip of minutes; what is laid out is hatched. */
export function BenchStrip({ day }: { day: Day }) {
  const pieces = piecesOf(day);
  const order = [...new Set(pieces.map((p) => p.setUp))];
  const scale = WIDTH / Math.max(1, day.minutes);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="my-1 h-8 w-full"
      preserveAspectRatio="none"
      role="img"
      aria-label={`${day.minutes} minutes: ${pieces.map((p) => `${p.words}, ${p.minutes} min`).join('; ')}`}
    >
      <defs>
        <pattern id="laying" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="3" height="8" className="fill-lamp" />
        </pattern>
      </defs>
      {pieces.map((piece) => (
        <g key={piece.from}>
          <rect
            x={piece.from * scale}
            y={piece.laying ? 8 : 0}
            width={Math.max(1, piece.minutes * scale - 2)}
            height={piece.laying ? HEIGHT - 16 : HEIGHT}
            className={piece.laying ? '' : FILLS[order.indexOf(piece.setUp) % FILLS.length]}
            {...(piece.laying ? { fill: 'url(#laying)' } : {})}
          >
            <title>{`${piece.words}, ${piece.minutes} min`}</title>
          </rect>
        </g>
      ))}
    </svg>
  );
}
