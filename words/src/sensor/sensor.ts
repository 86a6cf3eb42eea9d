import { sensor } from '@bright-keeper/core';
import { capital, count } from '../text.js';
import { fStop } from './fStop.js';

const ADVICE: Record<sensor.SensorAdvice, string> = {
  leave: 'Leave it',
  'look-again': 'Look again',
  blow: 'Blow it',
  swab: 'Swab it',
  'hand-over': 'Hand it over',
};
export const sensorAdvice = (advice: sensor.SensorAdvice): string => ADVICE[advice];

const shows = (n: number): string => (n === 1 ? 'shows' : 'show');

/** Why a sensor is left, blown, swabbed or handed over. */
export function sensorWords(because: sensor.SensorBecause): string {
  switch (because.because) {
    case 'nothing-there':
      return 'No specks were found on the sensor. Where the camera maps its own dust away, its pictures show less than lies there: switch that off for a test frame.';
    case 'nothing-sure':
      return `No speck is sure. ${capital(count(because.unsure, 'place', 'places'))} may be ${because.unsure === 1 ? 'one' : 'some'}, and would not show at ${fStop(because.fNumber)} if so: there is nothing to gain from a clean.`;
    case 'unfit':
      return `This frame cannot tell. ${because.unfit.map((u) => `${UNFIT[u].what} ${UNFIT[u].instead}`).join(' ')}`;
    case 'unsure':
      return `${count(because.unsure, 'place', 'places')} that would show at ${fStop(because.fNumber)} may be ${because.unsure === 1 ? 'a speck' : 'specks'}, and may be none: too unsure to touch a sensor for. Take two more frames at ${fStop(16)} or smaller, the camera pointed elsewhere for each, in the camera’s largest file: what stays put in them is there.`;
    case 'nothing-shows':
      return `${count(because.specks, 'speck', 'specks')}, none of which ${shows(1)} at ${fStop(because.fNumber)}${
        because.showsFrom ? `; the plainest would from ${fStop(because.showsFrom)} on` : ''
      }. Each clean is a risk, and this one would gain nothing.`;
    case 'not-blown-yet':
      return `${count(because.shows, 'speck', 'specks')} ${shows(because.shows)} at ${fStop(because.fNumber)}, and air has not been tried ${
        because.untried < because.shows ? `on ${because.untried} of them ` : ''
      }yet: the body held with its mount down, and a bulb blower that touches nothing.`;
    case 'air-did-not-move':
      return `Air did not move ${count(because.stayed, 'speck', 'specks')} that ${shows(because.stayed)} at ${fStop(because.fNumber)}: now a swab is worth its risk.`;
    case 'marks':
      return `${count(because.marks, 'mark', 'marks')} neither air nor two swabs moved: that is no dust, and rubbing on will not help. A workshop can tell what it is.`;
    case 'by-a-workshop':
      return `Air did not move ${count(because.shows, 'speck', 'specks')} that ${shows(because.shows)} at ${fStop(because.fNumber)}, and here a workshop wets sensors.`;
    default:
      return because satisfies never;
  }
}

/** Of what is not sure, beside a verdict that rests on what is. */
export const unsureWords = (unsure: number): string =>
  `${capital(count(unsure, 'more place', 'more places'))} may be ${unsure === 1 ? 'a speck' : 'specks'}, and ${unsure === 1 ? 'counts' : 'count'} for nothing here: another frame, the camera pointed elsewhere, tells.`;

/** Of pixels that are dark at every aperture. */
export const pixelWords = (pixels: number): string =>
  `${capital(count(pixels, 'place', 'places'))} ${pixels === 1 ? 'is' : 'are'} as dark and as narrow at every aperture: ${pixels === 1 ? 'a pixel' : 'pixels'} of this sensor, no dust. Left out of every frame.`;

const UNFIT: Record<sensor.Unfit, { what: string; instead: string }> = {
  'too-wide-open': { what: 'The aperture is too wide: shadows wash out.', instead: `Close it to ${fStop(16)} or so.` },
  clipped: { what: 'Its highlights are clipped: behind them no speck is seen.', instead: 'Expose a stop less.' },
  dark: { what: 'It is too dark to tell specks from noise.', instead: 'Expose a stop or two more.' },
  textured: {
    what: 'Something shows in it that is no dust.',
    instead: 'Take a plain bright surface, far out of focus, and move the camera while it exposes.',
  },
  resized: {
    what: 'It has fewer pixels than the camera makes: a program has made it smaller.',
    instead: 'Take the file as the camera wrote it.',
  },
  cropped: {
    what: 'It is not as wide for its height as the sensor: a part of a frame, or of a panorama.',
    instead: 'Take the whole frame, as the camera wrote it.',
  },
  turned: {
    what: 'It stands upright in the file: a program has turned it, and where a speck lies on the sensor cannot be told.',
    instead: 'Take the file as the camera wrote it.',
  },
};
/** What is wrong with a frame, and how a better one is taken. */
export const unfitWords = (unfit: sensor.Unfit): { what: string; instead: string } => UNFIT[unfit];

const FATES: Record<sensor.SpotFate, string> = { first: 'seen first', stayed: 'stayed', moved: 'moved here', fresh: 'new' };
export const fateWords = (fate: sensor.SpotFate): string => FATES[fate];

const VIEWS: Record<sensor.SensorView, string> = {
  upright: 'Upright, mount toward you',
  'on-back-from-base': 'On its back, its base toward you',
  'on-back-from-top': 'On its back, its top toward you',
  'overhead-top-away': 'Held overhead, its top away from you',
  'overhead-top-to-you': 'Held overhead, its top toward you',
};
export const sensorViewWords = (view: sensor.SensorView): string => VIEWS[view];
export const zoneWords = (zone: sensor.SensorZone): string => zone.replace('-', ' ');

/** What became of the specks between two frames: “Seven are gone, two stayed.” */
export function changeWords({ gone, stayed, moved, fresh }: { gone: number; stayed: number; moved: number; fresh: number }): string {
  const parts = [
    gone > 0 ? `${gone} gone` : null,
    moved > 0 ? `${moved} moved` : null,
    stayed > 0 ? `${stayed} stayed` : null,
    fresh > 0 ? `${fresh} new` : null,
  ].filter((p) => p !== null);
  return parts.length > 0 ? `${parts.join(', ')}.` : 'Nothing to compare.';
}

const WHERE: Record<sensor.Whereabouts, string> = {
  sensor: 'on the sensor',
  lens: 'in the lens',
  scene: 'in what was photographed',
  'lens-or-scene': 'in the lens or in what was photographed',
};
export const whereWords = (where: sensor.Whereabouts): string => WHERE[where];

/** What frames of one sitting with other lenses tell: how many lie where; null where they tell nothing. */
export function sittingWords(spots: readonly { where: sensor.Whereabouts | null }[]): string | null {
  const lie = sensor.WHEREABOUTS.map((where) => ({ where, n: spots.filter((s) => s.where === where).length })).filter(({ n }) => n > 0);
  if (lie.length === 0) return null;
  const parts = lie.map(({ where, n }) => `${n} ${n === 1 ? 'lies' : 'lie'} ${WHERE[where]}`);
  return `Told by what stays where from frame to frame: ${parts.join(', ')}.${
    lie.some(({ where }) => where !== 'sensor') ? ' Only what may lie on the sensor is judged.' : ''
  }`;
}

const GLARE_TROUBLE: Record<sensor.GlareTrouble, string> = {
  'no-card': 'The card was not found in it: black discs on white, the middle one near the middle of the picture, sharp and whole.',
  clipped: 'The white of the card is clipped. Expose a stop less, so that white stays below the brightest value.',
  dark: 'The white of the card is too dark. Expose a stop or two more.',
};
export const glareTroubleWords = (trouble: sensor.GlareTrouble): string => GLARE_TROUBLE[trouble];

const DIFFERENCES: Record<sensor.GlareDifference, string> = {
  body: 'another body',
  aperture: 'another aperture',
  exposure: 'another exposure',
  style: 'another picture style',
};
/** Why two tests cannot be held against each other; null where they can. */
export const notComparableWords = (differences: readonly sensor.GlareDifference[]): string | null =>
  differences.length === 0 ? null : `Not to be compared: it was taken with ${differences.map((d) => DIFFERENCES[d]).join(', ')}.`;

const AGAINST: Record<sensor.GlareAgainst, string> = {
  clean: 'before the clean',
  before: 'the time before',
  year: 'a year earlier',
};
const CHANGES = { less: 'less than', more: 'more than' } as const;

/** What a test tells beside another one: “Less than before the clean, 9.3 %: it helped.” */
export function glareChangeWords({ against, other, differences, change }: sensor.GlareComparison): string {
  const then = `${AGAINST[against]}, ${percent(other.glarePct)}`;
  if (change === null) return `${capital(then)}: ${notComparableWords(differences)!.replace(/^N/, 'n')}`;
  if (change === 'same')
    return `No different from ${then}, as far as this test can tell${against === 'clean' ? ': the clean changed nothing' : ''}.`;
  const helped = { less: ': it helped', more: ': look for a film that was left' } as const;
  return `${capital(CHANGES[change])} ${then}${against === 'clean' ? helped[change] : ''}.`;
}

/** A share of light as it is shown. */
export const percent = (value: number): string => `${value.toFixed(value < 20 ? 1 : 0)} %`;

const GRADES: Record<sensor.GlareGrade, string> = {
  clean: 'As clean modern glass does.',
  old: 'As old or uncoated glass does; on modern glass it would be a film or haze.',
  hazy: 'More than old glass does: haze, a film inside, or light that falls on the front from beside.',
};
export const glareGradeWords = (grade: sensor.GlareGrade): string => GRADES[grade];

/** What a mark on the front glass does to pictures, at the smallest aperture in use. */
export function frontMarkWords(mark: sensor.FrontMark, fNumber: number, showsFrom: number | null): string {
  if (mark.visible)
    return `At ${fStop(fNumber)} it takes ${Math.round(mark.depth * 100)} % of the light over a soft blot ${Math.round(mark.blotMm)} mm wide on the sensor: it can be seen, in skies above all.`;
  if (mark.dimsAll)
    return `At ${fStop(fNumber)} its blot is wider than the frame: all of the picture is a little darker, and no mark is seen. Leave it.`;
  const from = showsFrom === null ? 'and it would at no aperture a lens has' : `and it would only from ${fStop(showsFrom)} on`;
  return `At ${fStop(fNumber)} it takes ${(mark.depth * 100).toFixed(1)} % of the light: it does not show, ${from}. That is a reason to leave the glass alone.`;
}
