import type { SurfaceState } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { useMemo, type KeyboardEvent } from 'react';
import { PatternDefs, patternId } from './patterns';
import { surfaceLook, TONE_CLASSES } from './surfaceLook';

type Known = Pick<SurfaceState, 'surface' | 'findings' | 'verdict'>;

type Props = {
  kind: care.ItemKind;
  traits: care.Traits;
  states: readonly Known[];
  selected?: care.Surface | null;
  onSelect?: (surface: care.Surface) => void;
  /** Written small at each surface that has some: how often it was touched. */
  counts?: Partial<Record<care.Surface, number>>;
};

function RegionShape({
  region,
  known,
  selected,
  onSelect,
}: {
  region: care.Region;
  known: Known | undefined;
  selected: boolean;
  onSelect: Props['onSelect'];
}) {
  const look = surfaceLook(region.surface, known);
  const { fill, ink } = TONE_CLASSES[look.tone];
  const name = care.SURFACES[region.surface].name;
  const byKey = (event: KeyboardEvent) => {
    if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    onSelect?.(region.surface);
  };
  const interactive = onSelect
    ? { role: 'button', tabIndex: 0, onClick: () => onSelect(region.surface), onKeyDown: byKey, 'aria-pressed': selected }
    : { role: 'img' };
  const pattern = look.pattern ? patternId(look.pattern) : look.tone === 'unknown' ? 'soil-unknown' : null;
  return (
    <g
      {...interactive}
      aria-label={`${name}: ${look.words}`}
      data-surface={region.surface}
      className={`${ink} outline-offset-4 ${onSelect ? 'cursor-pointer' : ''}`}
    >
      {/* A wide invisible stroke makes a thin surface easy to hit. */}
      {onSelect && <path d={region.d} fill="none" stroke="transparent" strokeWidth="22" pointerEvents="all" />}
      {selected && <path d={region.d} fill="none" className="stroke-lamp" strokeWidth="9" strokeLinejoin="round" opacity=".45" />}
      <path d={region.d} className={fill} />
      {pattern && <path d={region.d} fill={`url(#${pattern})`} />}
      <path
        d={region.d}
        fill="none"
        className={selected ? 'stroke-lamp' : 'stroke-ink'}
        strokeWidth={selected ? 2.6 : 1.3}
        strokeLinejoin="round"
      />
    </g>
  );
}

/** The name of the selected surface on a leader, kept inside the drawing. */
function Label({ region, width, height }: { region: care.Region; width: number; height: number }) {
  const [x, y] = region.at;
  const text = care.SURFACES[region.surface].name;
  const textWidth = text.length * 8.6 + 20;
  const above = y > height / 2;
  const labelY = above ? height - 14 : 18;
  const labelX = Math.min(Math.max(x, textWidth / 2 + 2), width - textWidth / 2 - 2);
  return (
    <g pointerEvents="none">
      <path d={`M${x} ${y}L${labelX} ${labelY}`} className="stroke-lamp" strokeWidth="1.6" />
      <circle cx={x} cy={y} r="3.5" className="fill-lamp" />
      <rect x={labelX - textWidth / 2} y={labelY - 13} width={textWidth} height="26" rx="6" className="fill-sheet stroke-lamp" />
      <text x={labelX} y={labelY + 5} textAnchor="middle" className="fill-ink text-base font-medium">
        {text}
      </text>
    </g>
  );
}

function Count({ region, touches }: { region: care.Region; touches: number }) {
  const [x, y] = region.at;
  return (
    <g pointerEvents="none">
      <circle cx={x} cy={y} r="11" className="fill-fill" />
      <text x={x} y={y + 5} textAnchor="middle" className="fill-on-fill font-mono text-sm">
        {touches}
      </text>
    </g>
  );
}

/**
 * The thing as light meets it: a side-on section whose surfaces show what is known of them by pattern and tint,
 * and can be tapped.
 */
export function LightPath({ kind, traits, states, selected = null, onSelect, counts }: Props) {
  const drawing = useMemo(() => care.sectionOf(kind, traits), [kind, traits]);
  const known = new Map(states.map((s) => [s.surface, s]));
  const { width, height, axisY, body, outline, regions } = drawing;
  const chosen = regions.find((r) => r.surface === selected);
  // The chosen one is drawn last, so that its halo lies over its neighbours.
  const ordered = chosen ? [...regions.filter((r) => r !== chosen), chosen] : regions;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="block h-auto w-full text-ink select-none"
      role="group"
      aria-label={`Section of the ${care.kindFacts(kind).name}`}
    >
      <PatternDefs />
      {body.map((d) => (
        <path key={d} d={d} className="fill-well stroke-line" strokeWidth="1.2" opacity=".75" />
      ))}
      <path d={`M0 ${axisY}H${width}`} className="stroke-lamp" strokeWidth="1.5" strokeDasharray="10 7" opacity=".8" />
      <path d={`M2 ${axisY - 6}l10 6l-10 6`} fill="none" className="stroke-lamp" strokeWidth="1.5" />
      {outline.map((d) => (
        <path key={d} d={d} fill="none" className="stroke-soft" strokeWidth="1.2" />
      ))}
      {ordered.map((region) => (
        <RegionShape
          key={region.surface}
          region={region}
          known={known.get(region.surface)}
          selected={region === chosen}
          onSelect={onSelect}
        />
      ))}
      {counts && regions.filter((r) => counts[r.surface]).map((r) => <Count key={r.surface} region={r} touches={counts[r.surface]!} />)}
      {chosen && <Label region={chosen} width={width} height={height} />}
    </svg>
  );
}
