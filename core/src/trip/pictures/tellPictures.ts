import { aperturesOf, focalLengthsOf, type Tally } from './habits.js';
import { homeOf } from './home.js';
import { isTwoBodies } from './changesSeen.js';
import { dated, outingsOf, useOf, type OutingOptions, type OutingsFound, type UsedThing } from './outingsFrom.js';
import { clockMs, type Picture, type RoughPlace } from './picture.js';

/** All that a heap of pictures tells of use. */
export type PicturesTold = OutingsFound & {
  /** Where most days have pictures, where that stands out. */
  home: { place: RoughPlace; days: number } | null;
  /** Over all of them, those at home as well. */
  used: Record<string, UsedThing>;
  /** Bodies whose pictures are of two that tell no serial number. */
  twoBodies: string[];
  apertures: Tally;
  /** Of each lens. */
  focalLengths: Record<string, Tally>;
};

/**
 * What pictures tell of outings, use and habits. Home counts where it stands out and `homeEnds` is set.
 *
 * @throws RangeError for a pause that is not above 0.
 */
export function tellPictures(
  frames: readonly Picture[],
  { homeEnds, ...options }: Omit<OutingOptions, 'home'> & { homeEnds: boolean },
): PicturesTold {
  const known = dated(frames, options.today);
  const { pictures } = known;
  const home = homeOf(pictures);
  const lenses = [...new Set(pictures.map((p) => p.lens))].filter((lens) => lens !== null);
  const bodies = [...new Set(pictures.map((p) => p.body))].filter((body) => body !== null);
  return {
    ...outingsOf(known, { ...options, home: homeEnds ? (home?.place ?? null) : null }),
    home,
    used: useOf(pictures).used,
    twoBodies: bodies.filter((body) => isTwoBodies(pictures.filter((p) => p.body === body))),
    apertures: aperturesOf(pictures),
    focalLengths: Object.fromEntries(lenses.map((lens) => [lens, focalLengthsOf(pictures.filter((p) => p.lens === lens))])),
  };
}

/** The clock of a body set right: its pictures as if it had shown so much more, milliseconds; what cannot be dated stays. */
export function withClocks(frames: readonly Picture[], aheadMs: Readonly<Record<string, number>>): Picture[] {
  return frames.map((frame) => {
    const [by, ms] = [frame.body === null ? 0 : (aheadMs[frame.body] ?? 0), clockMs(frame.takenAt)];
    if (by === 0 || ms === null) return frame;
    return { ...frame, takenAt: new Date(ms + by).toISOString().slice(0, -1) };
  });
}
