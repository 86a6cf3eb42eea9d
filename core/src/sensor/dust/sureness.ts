/**
 * What a frame shows of something that may be a speck: the more of it there is, the surer it is one.
 */
export type Evidence = {
  /** How often its depth is what its pixels scatter. */
  snr: number;
  /** How often it stands out of what the tile it was found in makes of chance. */
  standsOut: number;
  /** The share of what is there that a round shadow explains: pixel by pixel, and ring by ring. */
  explained: number;
  fit: number;
  /** Its depth in steps of grey. */
  steps: number;
  fwhmPx: number;
  /** How far its middle lies from the rim of the frame, in its own widths. */
  rim: number;
  /** The brightest place beside it, against its depth. */
  lobe: number;
  /** So many defects were taken out of the frame: where there are many, what is narrow is one that was not. */
  defects: number;
};

/** So wide, pixels, a shadow is no longer taken for a defect. */
const WIDE_PX = 6;

/**
 * The logarithm of the odds that something is a speck, by its own look. Its weights are a logistic regression on 181
 * seeded frames of two renderers, 56,000 dark places whose truth is known (`bench/src/sureness.ts` measures what they tell).
 */
export function logOdds({ snr, standsOut, explained, fit, steps, fwhmPx, rim, lobe, defects }: Evidence): number {
  const sure = Math.min(0.995, explained);
  const out = Math.log(Math.min(60, standsOut));
  const small = Math.max(0, Math.log(WIDE_PX / fwhmPx));
  return (
    -26.84 +
    0.63 * Math.log(Math.min(300, snr)) +
    8.56 * out -
    1.205 * out * out +
    0.949 * Math.log(sure / (1 - sure)) -
    0.394 * Math.log(1 - Math.min(0.995, fit)) +
    5.275 * Math.min(0.7, Math.log(steps)) +
    3.621 * Math.log(Math.min(20, fwhmPx)) +
    2.485 * Math.min(1.2, rim) +
    0.629 * Math.log(lobe + 0.03) +
    1.785 * small -
    0.887 * small * Math.log(1 + defects)
  );
}

/** What may be a speck, or is as bright as a speck would be dark: then it is none, whatever it looks like. */
export type Weighed = { logOdds: number; fwhmPx: number };

/** Chance makes what is alike in width: from half as wide to twice. */
const ALIKE = 0.6;
/** Plainer than this tells nothing more. */
const PLAIN = 6;
/** Standing out from all that is bright by more than this tells nothing more; and what is no plainer than this is always there. */
const FAR_OUT = 8;
const EVERYWHERE = -5;
/**
 * What chance makes is not quite as often dark as bright: steps of grey fall unevenly. So what does not look like much may
 * be by chance though nothing bright does.
 */
const hardlyByChance = (logOdds: number): number => -2 - 0.4 * Math.max(0, logOdds + 2);
/** Without its aperture what is so narrow, pixels, cannot be told from defects side by side; */
const NARROW_PX = 3.6;
/** so it is never this sure. */
const AT_MOST_UNTOLD = 0.85;

/**
 * How sure each of some places is a speck, 0 to 1. Dust only darkens, and whatever else darkens (noise, the waves of a
 * JPEG, defects, a textured surface) brightens as often: the bright places that look as much like a speck tell how many of
 * the dark ones are none, and how far a dark one stands out from the plainest of them that it is one. The weights of the
 * two are a logistic regression on the same frames.
 *
 * @param isOpticsTold the aperture and the sensor's width are known, and what no aperture makes is left out.
 */
export function sureness(dark: readonly Weighed[], bright: readonly Weighed[], isOpticsTold: boolean): number[] {
  const alike = (of: readonly Weighed[], { fwhmPx }: Weighed): Weighed[] => of.filter((o) => Math.abs(Math.log(o.fwhmPx / fwhmPx)) < ALIKE);
  const asMuch = (of: readonly Weighed[], { logOdds }: Weighed): number => of.reduce((n, o) => (o.logOdds >= logOdds ? n + 1 : n), 0);
  return dark.map((d) => {
    const mirrored = alike(bright, d);
    const byChance = Math.max(Math.log((asMuch(mirrored, d) + 0.5) / (asMuch(alike(dark, d), d) + 0.5)), hardlyByChance(d.logOdds));
    const plainest = mirrored.reduce((most, o) => Math.max(most, o.logOdds), EVERYWHERE);
    const out = Math.min(FAR_OUT, Math.max(0, d.logOdds - plainest));
    const told = 1 / (1 + Math.exp(3.594 - 0.374 * Math.min(PLAIN, d.logOdds) + 1.519 * byChance - 0.837 * out));
    return isOpticsTold || d.fwhmPx >= NARROW_PX ? told : Math.min(AT_MOST_UNTOLD, told);
  });
}

/**
 * What a frame shows of something that may be a hair: how often the place it was seen at first is what chance makes of it,
 * its depth in steps of grey, its length in widths of the frame.
 */
export type HairEvidence = { snr: number; steps: number; length: number };

/**
 * How sure it is that something long and thin is a hair, 0 to 1: the fainter and shorter ones come and go with the waves of
 * a JPEG and with rows of defects. Its weights are a logistic regression on 1,800 of them in 104 seeded frames of two
 * renderers, with and without fibres, plain and less so; weighed as if a frame held one fibre.
 */
export const hairSureness = ({ snr, steps, length }: HairEvidence): number =>
  1 /
  (1 +
    Math.exp(
      1 -
        3.12 * Math.log(Math.min(60, snr) / 10) -
        1.92 * Math.log(Math.min(8, steps) / 2) -
        2.17 * Math.log(Math.min(0.04, length) / 0.01),
    ));
