import type { SensorFrame } from '@bright-keeper/contract';

type Compared = Pick<SensorFrame, 'focalMm' | 'body'>;

/** Shadows away from the middle lie elsewhere from this part of a focal length on. */
const OTHER_FOCAL = 0.1;

function focalWords({ focalMm: then }: Compared, { focalMm: now }: Compared): string | null {
  if (then && now)
    return Math.abs(then / now - 1) > OTHER_FOCAL
      ? `The frame before was taken at ${Math.round(then)} mm: away from the middle shadows lie elsewhere now, and some may count as moved.`
      : null;
  const which = then
    ? 'This file does not say'
    : now
      ? 'The file of the frame before does not say'
      : 'Neither this file nor the one before says';
  return `${which} at which focal length it was taken: at another one shadows lie elsewhere away from the middle, and some may count as moved.`;
}

/** What stands in the way of comparing a frame with the one before it, by what their files say and do not say. */
export function comparedWith(before: Compared | null, now: Compared): string[] {
  if (!before) return [];
  const otherBody =
    before.body && now.body && before.body !== now.body
      ? `This file says that it is from ${now.body}, the frame before from ${before.body}. Is this the right body?`
      : null;
  return [otherBody, focalWords(before, now)].filter((words) => words !== null);
}
