/** How readily a material grows mould; coefficients of the mould index. */
export const SENSITIVITIES = ['very-sensitive', 'sensitive', 'medium-resistant', 'resistant'] as const;
export type Sensitivity = (typeof SENSITIVITIES)[number];

/** `k1` below and from index 1 on; `a`, `b`, `c` of the largest index; the least humidity for growth, % RH. */
export type ClassCoefficients = { name: string; k1: readonly [number, number]; a: number; b: number; c: number; humidityMinPct: number };

/** Hukka & Viitanen 1999 (very sensitive); Ojanen et al. 2010 for the other classes (from memory). */
export const CLASSES: Record<Sensitivity, ClassCoefficients> = {
  'very-sensitive': { name: 'very sensitive', k1: [1, 2], a: 1, b: 7, c: 2, humidityMinPct: 80 },
  sensitive: { name: 'sensitive', k1: [0.578, 0.386], a: 0.3, b: 6, c: 1, humidityMinPct: 80 },
  'medium-resistant': { name: 'medium resistant', k1: [0.072, 0.097], a: 0, b: 5, c: 1.5, humidityMinPct: 85 },
  resistant: { name: 'resistant', k1: [0.033, 0.014], a: 0, b: 3, c: 1, humidityMinPct: 85 },
};

/** Decline while it is too dry or too cold, index per hour: the first 6 h, none until 24 h, then for good. */
export const DECLINE = { firstPerH: 0.00133, firstH: 6, pauseUntilH: 24, laterPerH: 0.000667 } as const;
/** Things of glass and metal lose what grew more slowly than the wood it was measured on (our choice). */
export const DEFAULT_DECLINE = 0.25;

/** What a thing's surface offers to mould (our choice: prints and dust film are food, clean glass hardly is). */
export const SURFACE_STATES = {
  'clean-glass': { name: 'clean glass', sensitivity: 'medium-resistant' },
  'soiled-glass': { name: 'soiled glass', sensitivity: 'sensitive' },
  'leather-or-cloth': { name: 'leather, cloth, wood or paper', sensitivity: 'sensitive' },
  'bare-metal': { name: 'bare metal', sensitivity: 'resistant' },
} as const satisfies Record<string, { name: string; sensitivity: Sensitivity }>;
export type SurfaceState = keyof typeof SURFACE_STATES;
