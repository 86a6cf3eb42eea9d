import type { care } from '@bright-keeper/core';
import type { ReactElement } from 'react';

const TILE = 22;

/** One tile for each pattern, drawn in the current colour: what is on a surface is told by shape, not by colour alone. */
const TILES: Record<care.SoilPattern, ReactElement> = {
  specks: (
    <g fill="currentColor">
      <circle cx="4" cy="5" r="1.7" />
      <circle cx="15" cy="3" r="1.1" />
      <circle cx="10" cy="12" r="1.8" />
      <circle cx="19" cy="15" r="1.4" />
      <circle cx="4" cy="18" r="1.2" />
    </g>
  ),
  grains: (
    <g fill="currentColor">
      <path d="M3 4l4-2 3 4-4 3z" />
      <path d="M14 10l5 1-1 5-5-1z" />
      <path d="M4 15l4 1-2 4-4-1z" />
    </g>
  ),
  fibres: (
    <g fill="none" stroke="currentColor" strokeWidth="1.4">
      <path d="M1 6q5-6 9 0t8 2" />
      <path d="M4 18q6 3 8-3t8-1" />
    </g>
  ),
  whorl: (
    <g fill="none" stroke="currentColor" strokeWidth="1.3">
      <path d="M11 11m-2 0a2 2 0 1 1 4 0a4 4 0 1 1 -8 0a6 6 0 1 1 12 0a8 8 0 1 1 -16 0" />
    </g>
  ),
  drops: (
    <g fill="none" stroke="currentColor" strokeWidth="1.4">
      <circle cx="6" cy="7" r="4" />
      <circle cx="16" cy="15" r="5" />
    </g>
  ),
  veil: (
    <g stroke="currentColor" strokeWidth="1.2">
      <path d="M-2 8L8 -2M-2 16L16 -2M-2 24L24 -2M6 24L24 6M14 24L24 14" />
    </g>
  ),
  arcs: (
    <g fill="none" stroke="currentColor" strokeWidth="1.2">
      <path d="M-2 9Q11 0 24 9M-2 16Q11 7 24 16M-2 23Q11 14 24 23" />
    </g>
  ),
  crystals: (
    <g stroke="currentColor" strokeWidth="1.3">
      <path d="M6 2v8M2 6h8M3 3l6 6M9 3l-6 6M16 12v8M12 16h8M13 13l6 6M19 13l-6 6" />
    </g>
  ),
  blob: (
    <g fill="currentColor">
      <path d="M4 10q1-6 7-5t8 4q1 7-6 8t-9-7z" opacity=".75" />
    </g>
  ),
  threads: (
    <g fill="none" stroke="currentColor" strokeWidth="1.2">
      <path d="M11 22V12l-6-6M11 12l6-7M11 17l7-2M5 6V1M5 6L1 7M17 5V0M17 5l5 1" />
    </g>
  ),
  scratch: (
    <g stroke="currentColor" strokeWidth="1.2">
      <path d="M2 20L14 2M12 21L20 9" />
    </g>
  ),
  patch: (
    <g fill="none" stroke="currentColor" strokeWidth="1.3" strokeDasharray="2 2">
      <path d="M3 12q0-8 8-8t8 7-7 8-9-7z" />
    </g>
  ),
};

export const patternId = (pattern: care.SoilPattern): string => `soil-${pattern}`;

/** The tiles as fills; placed once on a page that draws light paths. */
export const PatternDefs = () => (
  <defs>
    {(Object.keys(TILES) as care.SoilPattern[]).map((pattern) => (
      <pattern key={pattern} id={patternId(pattern)} width={TILE} height={TILE} patternUnits="userSpaceOnUse">
        {TILES[pattern]}
      </pattern>
    ))}
    <pattern id="soil-unknown" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <path d="M0 0v8" stroke="currentColor" strokeWidth="1" opacity=".45" />
    </pattern>
  </defs>
);
