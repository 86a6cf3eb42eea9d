import { care } from '@bright-keeper/core';
import { useId, type ReactElement } from 'react';

/** A small seeded generator (mulberry32): the same picture every time, with nothing stored. */
function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

type Draw = (random: () => number, severity: number) => ReactElement[];

const scatter = (random: () => number) => {
  const angle = random() * Math.PI * 2;
  const radius = Math.sqrt(random()) * 44;
  return { x: 50 + radius * Math.cos(angle), y: 50 + radius * Math.sin(angle) };
};
const times = (n: number, make: (i: number) => ReactElement): ReactElement[] => Array.from({ length: n }, (_, i) => make(i));
const COUNT = [0, 5, 14, 34, 80];

const specks: Draw = (random, s) =>
  times(COUNT[s]!, (i) => {
    const { x, y } = scatter(random);
    return <circle key={i} cx={x} cy={y} r={0.6 + random() * 1.3} fill="currentColor" />;
  });

const grains: Draw = (random, s) =>
  times(Math.ceil(COUNT[s]! / 2), (i) => {
    const { x, y } = scatter(random);
    const r = 1.6 + random() * 2.4;
    const corners = Array.from({ length: 5 }, (_, k) => {
      const a = (k / 5) * Math.PI * 2 + random();
      return `${x + r * Math.cos(a)},${y + r * Math.sin(a)}`;
    });
    return <polygon key={i} points={corners.join(' ')} fill="currentColor" />;
  });

const fibres: Draw = (random, s) =>
  times(s * 2, (i) => {
    const { x, y } = scatter(random);
    const d = () => (random() - 0.5) * 44;
    return (
      <path key={i} d={`M${x} ${y}q${d()} ${d()} ${d()} ${d()}t${d() / 2} ${d() / 2}`} fill="none" stroke="currentColor" strokeWidth=".9" />
    );
  });

/** Ridges of a fingertip: nested loops open at the foot, more prints and darker the plainer they are. */
const whorl: Draw = (random, s) =>
  times([0, 1, 1, 2, 3][s]!, (i) => {
    const { x, y } = i === 0 ? { x: 50, y: 52 } : scatter(random);
    const turn = random() * 50 - 25;
    const ridges = Array.from({ length: 7 }, (_, k) => {
      const rx = 2.2 + k * 2.7;
      const ry = 3.4 + k * 3.2;
      return `M${-rx} ${ry * 0.75}V0A${rx} ${ry} 0 0 1 ${rx} 0V${ry * 0.75}`;
    }).join('');
    return (
      <path
        key={i}
        d={ridges}
        transform={`translate(${x} ${y}) rotate(${turn})`}
        fill="none"
        stroke="currentColor"
        strokeWidth={0.7 + s * 0.22}
        strokeDasharray={`${6 + s * 5} ${5 - s}`}
        opacity={0.3 + s * 0.17}
      />
    );
  });

const drops: Draw = (random, s) =>
  times([0, 2, 4, 8, 15][s]!, (i) => {
    const { x, y } = scatter(random);
    const r = 2.5 + random() * 5.5;
    return (
      <g key={i} fill="none" stroke="currentColor" strokeWidth="1">
        <circle cx={x} cy={y} r={r} />
        <circle cx={x} cy={y} r={r * 0.82} opacity=".4" />
      </g>
    );
  });

const veil: Draw = (random, s) =>
  times(3 + s * 3, (i) => {
    const y = 8 + random() * 84;
    return (
      <path
        key={i}
        d={`M-6 ${y}Q50 ${y - 26 + random() * 16} 106 ${y}`}
        fill="none"
        stroke="currentColor"
        strokeWidth={2 + s * 1.5}
        opacity={0.06 + s * 0.05}
      />
    );
  });

/** Strokes of an earlier wipe: arcs round one centre, off to the side. */
const arcs: Draw = (random, s) =>
  times(2 + s * 3, (i) => {
    const r = 24 + i * (52 / (2 + s * 3)) + random() * 3;
    return (
      <path
        key={i}
        d={`M${50 - r} 96A${r} ${r} 0 0 1 ${50 + r} 96`}
        fill="none"
        stroke="currentColor"
        strokeWidth={0.8 + s * 0.5}
        strokeDasharray={`${20 + random() * 40} ${8 + random() * 10}`}
        opacity={0.15 + s * 0.14}
      />
    );
  });

const crystals: Draw = (random, s) =>
  times(COUNT[s]!, (i) => {
    const { x, y } = scatter(random);
    const r = 1 + random() * 2.2;
    return (
      <path
        key={i}
        d={`M${x - r} ${y}h${2 * r}M${x} ${y - r}v${2 * r}M${x - r * 0.7} ${y - r * 0.7}l${r * 1.4} ${r * 1.4}M${x + r * 0.7} ${y - r * 0.7}l${-r * 1.4} ${r * 1.4}`}
        stroke="currentColor"
        strokeWidth=".8"
      />
    );
  });

const blob: Draw = (random, s) =>
  times(s, (i) => {
    const { x, y } = scatter(random);
    return (
      <ellipse
        key={i}
        cx={x}
        cy={y}
        rx={3 + random() * 3 + s}
        ry={2.5 + random() * 3 + s}
        fill="currentColor"
        opacity=".55"
        transform={`rotate(${random() * 90} ${x} ${y})`}
      />
    );
  });

/** Threads branch from a rim inwards, as growth does. */
const threads: Draw = (random, s) =>
  times([0, 1, 3, 5, 8][s]!, (i) => {
    const angle = random() * Math.PI * 2;
    const paths: string[] = [];
    const grow = (x: number, y: number, heading: number, length: number, depth: number): void => {
      const x2 = x + Math.cos(heading) * length;
      const y2 = y + Math.sin(heading) * length;
      paths.push(`M${x.toFixed(1)} ${y.toFixed(1)}L${x2.toFixed(1)} ${y2.toFixed(1)}`);
      if (depth === 0) return;
      grow(x2, y2, heading + 0.25 + random() * 0.5, length * 0.78, depth - 1);
      grow(x2, y2, heading - 0.25 - random() * 0.5, length * 0.78, depth - 1);
    };
    grow(50 + 44 * Math.cos(angle), 50 + 44 * Math.sin(angle), angle + Math.PI + (random() - 0.5), 7 + s * 1.6, 4);
    return <path key={i} d={paths.join('')} fill="none" stroke="currentColor" strokeWidth=".8" />;
  });

const scratch: Draw = (random, s) =>
  times([0, 1, 2, 3, 5][s]!, (i) => {
    const { x, y } = scatter(random);
    const a = random() * Math.PI;
    const l = 12 + random() * 22;
    return (
      <path
        key={i}
        d={`M${x - l * Math.cos(a)} ${y - l * Math.sin(a)}L${x + l * Math.cos(a)} ${y + l * Math.sin(a)}`}
        stroke="currentColor"
        strokeWidth={0.5 + s * 0.3}
      />
    );
  });

const patch: Draw = (random, s) =>
  times(Math.max(1, s - 1), (i) => {
    const { x, y } = i === 0 ? { x: 44, y: 56 } : scatter(random);
    const r = 6 + s * 4;
    return (
      <path
        key={i}
        d={`M${x - r} ${y}q${r * 0.2} ${-r * 1.2} ${r} ${-r}t${r} ${r * 0.8}q${-r * 0.4} ${r * 1.3} ${-r} ${r}t${-r} ${-r * 0.8}z`}
        fill="currentColor"
        fillOpacity=".22"
        stroke="currentColor"
        strokeDasharray="2.5 1.8"
        strokeWidth=".9"
      />
    );
  });

const DRAWS: Record<care.SoilPattern, Draw> = { specks, grains, fibres, whorl, drops, veil, arcs, crystals, blob, threads, scratch, patch };
const SEED: Record<care.SoilPattern, number> = {
  specks: 11,
  grains: 23,
  fibres: 37,
  whorl: 41,
  drops: 53,
  veil: 67,
  arcs: 61,
  crystals: 71,
  blob: 83,
  threads: 97,
  scratch: 101,
  patch: 113,
};

/** How a soil shows on a face under the lamp, to compare with what one sees. */
export function SoilPicture({ soil, severity, className = '' }: { soil: care.Soil; severity: care.Severity; className?: string }) {
  const { pattern } = care.SOILS[soil];
  return <FacePicture layers={[{ pattern, severity }]} className={className} />;
}

/** A whole face with everything found on it. */
export function FacePicture({
  layers,
  className = '',
}: {
  layers: readonly { pattern: care.SoilPattern; severity: care.Severity }[];
  className?: string;
}) {
  const clip = useId();
  return (
    <svg viewBox="0 0 100 100" className={className} aria-hidden="true">
      <clipPath id={clip}>
        <circle cx="50" cy="50" r="47" />
      </clipPath>
      <circle cx="50" cy="50" r="47" className="fill-well" />
      <path d="M18 34Q34 12 62 14" fill="none" className="stroke-sheet" strokeWidth="5" strokeLinecap="round" opacity=".8" />
      <g clipPath={`url(#${clip})`} className="text-ink">
        {layers.map(({ pattern, severity }) => (
          <g key={pattern}>{severity > 0 && DRAWS[pattern](seeded(SEED[pattern]), severity)}</g>
        ))}
      </g>
      <circle cx="50" cy="50" r="47" fill="none" className="stroke-soft" strokeWidth="1.5" />
    </svg>
  );
}
