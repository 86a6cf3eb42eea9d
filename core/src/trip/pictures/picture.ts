import type { Day } from '../../schedule/index.js';

/** A place on Earth, rounded: about ten kilometres, as near as home has to be told from away. */
export type RoughPlace = { latitude: number; longitude: number };
/** To what places are rounded, degrees. */
export const PLACE_STEP_DEGREES = 0.1;

/** What the head of a picture's file says, as far as use can be read from it. */
export type Picture = {
  /** The name of its file. */
  name: string;
  /** What the camera's clock showed, `YYYY-MM-DDTHH:mm:ss` with fractions where there are any; without a zone: cameras have none. */
  takenAt: string;
  /** Which body took it and which lens was on, by whatever tells them apart; null where the file does not say. */
  body: string | null;
  lens: string | null;
  /** The body told its serial number: no other one of its model is mistaken for it. */
  bodyIsCertain: boolean;
  focalMm: number | null;
  fNumber: number | null;
  place: RoughPlace | null;
};

/** A picture whose clock could be read, with that as a number: milliseconds as if the clock had shown UTC. */
export type DatedPicture = Picture & { ms: number };

const CLOCK = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d{1,9})?$/;
/** What a clock without a zone showed, as a number that only compares with others of its kind; null where it showed none. */
export function clockMs(takenAt: string): number | null {
  const ms = CLOCK.test(takenAt) ? Date.parse(`${takenAt}Z`) : NaN;
  return Number.isNaN(ms) ? null : ms;
}
/** The day a clock showed. */
export const dayOf = (ms: number): Day => new Date(ms).toISOString().slice(0, 10);

/** Eight characters that a camera gives: four of its own, four that count (JEITA CP-3461, design rule for camera file systems). */
const CAMERA_NAME = /^([A-Z0-9_]{4})(\d{4})(?!\d)/;
/** The number a camera gave to a picture, 0 to 9999; null where its file is named by somebody else. */
export function numberOf({ name }: Pick<Picture, 'name'>): number | null {
  const given = CAMERA_NAME.exec(name);
  return given ? Number(given[2]) : null;
}

/**
 * The same picture stands there as JPEG and raw, edited and again: by one body, in the same instant, under one name.
 * Only of a name the camera gave do additions ("-2", " (1)") not count.
 */
function identityOf({ name, takenAt, body }: Picture): string {
  const stem = CAMERA_NAME.exec(name)?.[0] ?? name.replace(/\.[^.]*$/, '');
  return `${body ?? ''}\n${takenAt.slice(0, 19)}\n${stem}`;
}

/** Each picture once, in the order they were taken; of one instant in the order of their names. */
export function eachOnce<P extends DatedPicture>(pictures: readonly P[]): P[] {
  const first = new Map<string, P>();
  for (const picture of pictures) {
    const identity = identityOf(picture);
    if (!first.has(identity)) first.set(identity, picture);
  }
  return [...first.values()].sort((a, b) => a.ms - b.ms || (a.name < b.name ? -1 : Number(a.name > b.name)));
}
