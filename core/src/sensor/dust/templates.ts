import { overlapArea, shadowOf } from '../shadow.js';

/** How wide the narrower disc is against the wider one: from a sharp edge to the softest shadow there is. */
export const SOFTNESS = [0.12, 0.25, 0.38, 0.5, 0.62, 0.75, 0.88, 1] as const;
/** From one width to the next; at each there are all of the above. */
export const STEP = 1.07;
const NARROWEST = 1.6;
const WIDEST = 26;
const BINS_A_PIXEL = 4;
/** A pixel gathers light over a square; it is asked at so many points a side. */
const POINTS = 4;
const ANGLES = 6;

/** The profile of a shadow as pixels see it, from its middle outwards. 1 in its middle, before pixels blur it. */
export type Template = {
  /** The wider and the narrower of the two discs, pixels. */
  wide: number;
  narrow: number;
  fwhm: number;
  /** So much wider is it than its profile was made for. */
  stretch: number;
  /** The share taken at so many quarters of a pixel from the middle. */
  profile: Float64Array;
};

function templateOf(wide: number, narrow: number): Template {
  const whole = Math.PI * (narrow / 2) ** 2;
  const reach = Math.ceil(((wide + narrow) / 2 + 1) * BINS_A_PIXEL) + 1;
  const profile = new Float64Array(reach + 1);
  const points = wide < 9 ? POINTS : 1;
  const angles = wide < 9 ? ANGLES : 1;
  for (let bin = 0; bin <= reach; bin += 1) {
    const r = bin / BINS_A_PIXEL;
    let sum = 0;
    for (let a = 0; a < angles; a += 1) {
      const angle = (a * Math.PI) / 4 / angles;
      for (let i = 0; i < points; i += 1) {
        for (let j = 0; j < points; j += 1) {
          const x = r * Math.cos(angle) + (i + 0.5) / points - 0.5;
          const y = r * Math.sin(angle) + (j + 0.5) / points - 0.5;
          sum += overlapArea(wide / 2, narrow / 2, Math.hypot(x, y)) / whole;
        }
      }
    }
    profile[bin] = sum / (angles * points * points);
  }
  return { wide, narrow, fwhm: shadowOf(wide, narrow).fwhm, stretch: 1, profile };
}

let kept: Template[] | null = null;
/** Every width within the reach of one level, each from sharp to soft. Made once. */
export function templates(): readonly Template[] {
  if (kept) return kept;
  kept = [];
  for (let wide = NARROWEST; wide < WIDEST; wide *= STEP) for (const q of SOFTNESS) kept.push(templateOf(wide, wide * q));
  return kept;
}

/** Where among the widths of the templates one lies; it need not be a whole number. */
export const widthIndex = (wide: number): number => Math.log(wide / NARROWEST) / Math.log(STEP);

/** The share taken so far from the middle, pixels. */
export function at({ profile, stretch }: Template, r: number): number {
  const bin = (r / stretch) * BINS_A_PIXEL;
  const i = Math.floor(bin);
  if (i + 1 >= profile.length) return 0;
  return profile[i]! + (profile[i + 1]! - profile[i]!) * (bin - i);
}

/** From here on, pixels from the middle, it takes nothing. */
export const endOf = ({ profile, stretch }: Template): number => ((profile.length - 1) / BINS_A_PIXEL) * stretch;

/** The same shadow, a little wider or narrower. */
export const stretched = ({ wide, narrow, fwhm, stretch, profile }: Template, by: number): Template => ({
  wide: wide * by,
  narrow: narrow * by,
  fwhm: fwhm * by,
  stretch: stretch * by,
  profile,
});
