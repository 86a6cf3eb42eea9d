import { care } from '@bright-keeper/core';
import type { ReactElement } from 'react';
import { MOTION_WORDS, ORIENTATION_WORDS } from './words';

const line = { fill: 'none', className: 'stroke-lamp', strokeWidth: 3, strokeLinecap: 'round' as const, strokeLinejoin: 'round' as const };
const arrow = (x: number, y: number, angle: number) => (
  <path {...line} d="M-7 -5L0 0L-7 5" transform={`translate(${x} ${y}) rotate(${angle})`} />
);

const spiral = (): string => {
  const points = Array.from({ length: 90 }, (_, i) => {
    const a = (i / 90) * Math.PI * 6;
    const r = 4 + (i / 90) * 38;
    return `${(80 + r * Math.cos(a)).toFixed(1)} ${(70 + r * Math.sin(a)).toFixed(1)}`;
  });
  return `M${points.join('L')}`;
};

const rays = (from: number, to: number, count: number): ReactElement[] =>
  Array.from({ length: count }, (_, i) => {
    const a = (i / count) * Math.PI * 2 + 0.3;
    const [c, s] = [Math.cos(a), Math.sin(a)];
    return (
      <g key={i}>
        <path {...line} d={`M${80 + from * c} ${70 + from * s}L${80 + to * c} ${70 + to * s}`} />
        {arrow(80 + to * c, 70 + to * s, (a * 180) / Math.PI)}
      </g>
    );
  });

const disc = <circle cx="80" cy="70" r="50" className="fill-well stroke-soft" strokeWidth="2" />;
const plate = <rect x="26" y="32" width="108" height="76" rx="3" className="fill-well stroke-soft" strokeWidth="2" />;

/** How the hand moves, seen face on. */
const MOTIONS: Record<care.Motion, ReactElement> = {
  none: disc,
  air: (
    <>
      <path d="M30 44h100" className="stroke-soft" strokeWidth="10" strokeLinecap="round" />
      {[50, 80, 110].map((x) => (
        <g key={x}>
          <path {...line} d={`M${x} 112V66`} />
          {arrow(x, 64, -90)}
        </g>
      ))}
      <g className="fill-ink">
        <circle cx="42" cy="88" r="2.5" />
        <circle cx="66" cy="98" r="2" />
        <circle cx="96" cy="90" r="2.5" />
        <circle cx="124" cy="100" r="2" />
      </g>
    </>
  ),
  'run-round': (
    <>
      <circle cx="80" cy="70" r="44" className="fill-none stroke-soft" strokeWidth="9" />
      <path {...line} d="M80 8a62 62 0 1 1 -50 26" />
      {arrow(30, 34, -50)}
    </>
  ),
  'lift-off': (
    <>
      {plate}
      <path {...line} d="M60 88L112 26" />
      {arrow(114, 24, -50)}
    </>
  ),
  'flick-out': (
    <>
      {disc}
      {rays(14, 44, 8)}
    </>
  ),
  'brush-off': (
    <>
      {plate}
      {[52, 70, 88].map((y) => (
        <g key={y}>
          <path {...line} d={`M42 ${y}h72`} />
          {arrow(116, y, 0)}
        </g>
      ))}
    </>
  ),
  'spiral-out': (
    <>
      {disc}
      <path {...line} d={spiral()} />
      {arrow(122, 70, 90)}
    </>
  ),
  'straight-then-out': (
    <>
      {disc}
      <path {...line} d="M48 58h64l-64 12h64l-64 12" opacity=".5" />
      {rays(20, 46, 6)}
    </>
  ),
  'lay-and-lift': (
    <>
      {disc}
      <path {...line} d="M56 62h48v18h-48z" />
      <path {...line} d="M80 58V18" />
      {arrow(80, 16, -90)}
    </>
  ),
  'one-way': (
    <>
      {plate}
      {[56, 84].map((y) => (
        <g key={y}>
          <path {...line} d={`M36 ${y}h86`} />
          {arrow(124, y, 0)}
        </g>
      ))}
    </>
  ),
  'there-and-back': (
    <>
      {plate}
      <path {...line} d="M36 56h82q12 14 0 28H40" />
      {arrow(38, 84, 180)}
    </>
  ),
  roll: (
    <>
      {plate}
      <path {...line} d="M40 92L112 48" strokeWidth="9" />
      <path {...line} d="M118 66a20 20 0 1 1 -22 -26" />
      {arrow(98, 40, -10)}
    </>
  ),
  rub: (
    <>
      {plate}
      <path {...line} d="M44 82c12-34 20-34 26 0s16 34 26 0 12-28 20-10" />
    </>
  ),
  'work-through': (
    <>
      {disc}
      <path {...line} d="M44 70a36 36 0 1 1 22 33" />
      {arrow(64, 102, 200)}
    </>
  ),
};

/** Which way the surface faces, as a small lens and an arrow. */
const FACING: Record<care.Orientation, number | null> = { 'facing-down': 180, 'facing-up': 0, 'mount-down': 180, any: null };

export function MotionDrawing({ motion, orientation }: Pick<care.Step, 'motion' | 'orientation'>) {
  const turn = FACING[orientation];
  return (
    <figure className="flex flex-wrap items-center gap-4 text-lg">
      <svg viewBox="0 0 160 140" className="h-32 w-auto shrink-0 lg:h-52" aria-hidden="true">
        {MOTIONS[motion]}
      </svg>
      <figcaption className="space-y-1">
        <p>{MOTION_WORDS[motion]}</p>
        <p className="flex items-center gap-2 text-soft">
          {turn !== null && (
            <svg viewBox="0 0 24 24" className="size-6" aria-hidden="true">
              <g transform={`rotate(${turn} 12 12)`}>
                <path d="M6 10q6-6 12 0v9H6z" className="fill-well stroke-soft" strokeWidth="1.5" />
                <path d="M12 8V2M9 5l3-3 3 3" {...line} strokeWidth={1.8} />
              </g>
            </svg>
          )}
          {ORIENTATION_WORDS[orientation]}
        </p>
      </figcaption>
    </figure>
  );
}
