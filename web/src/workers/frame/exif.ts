import ExifReader from 'exifreader';

/** What a camera wrote beside a picture, as far as it can be. */
export type Taken = {
  takenAt: string | null;
  fNumber: number | null;
  iso: number | null;
  exposureS: number | null;
  focalMm: number | null;
  body: string | null;
  lens: string | null;
  /** How the camera was set to render it, as far as that is written down in a way all cameras share. */
  style: string | null;
};

export const NOT_TOLD: Taken = {
  takenAt: null,
  fNumber: null,
  iso: null,
  exposureS: null,
  focalMm: null,
  body: null,
  lens: null,
  style: null,
};

export type Tag = { value?: unknown; description?: unknown; computed?: unknown } | undefined;

/** A number of a tag within what can be; cameras and programs write zeros and infinities. */
export function numberOf(tag: Tag, least: number, most: number): number | null {
  const raw = tag?.value;
  const value = Array.isArray(raw)
    ? raw.length === 2 && typeof raw[1] === 'number'
      ? Number(raw[0]) / raw[1]
      : Number(raw[0])
    : Number(raw);
  return Number.isFinite(value) && value >= least && value <= most ? value : null;
}

const LONGEST = 200;
export function textOf(tag: Tag): string | null {
  const text = (typeof tag?.description === 'string' ? tag.description : '').replace(/\p{Cc}/gu, '').trim();
  return text === '' ? null : text.slice(0, LONGEST);
}

/** “2026:03:10 11:22:33” with its offset where there is one; without, as this machine's clock goes. */
export function instantOf(text: string | null, offset: string | null): string | null {
  const parts = /^(\d{4}):(\d\d):(\d\d) (\d\d):(\d\d):(\d\d)/.exec(text ?? '');
  if (!parts) return null;
  const [, y, mo, d, h, mi, s] = parts as unknown as [string, string, string, string, string, string, string];
  const zone = /^[+-]\d\d:\d\d$|^Z$/.test(offset ?? '') ? offset! : '';
  const at = new Date(`${y}-${mo}-${d}T${h}:${mi}:${s}${zone}`);
  return Number.isNaN(at.getTime()) || at.getUTCFullYear() < 1990 || at.getUTCFullYear() > 2999 ? null : at.toISOString();
}

const STYLE = ['Contrast', 'Saturation', 'Sharpness', 'CustomRendered'] as const;

/** Contrast, saturation and sharpness bend the numbers of a picture: two with others are not to be compared. */
function styleOf(tags: Record<string, Tag>): string | null {
  const set = STYLE.flatMap((name) => {
    const told = textOf(tags[name]);
    return told === null ? [] : [`${name} ${told}`];
  });
  return set.length === 0 ? null : set.join(', ').slice(0, LONGEST);
}

/** Reads what the camera wrote; nothing where it wrote nothing that can be read. */
export function takenOf(bytes: ArrayBuffer): Taken {
  let tags: Record<string, Tag>;
  try {
    tags = ExifReader.load(bytes);
  } catch {
    return NOT_TOLD;
  }
  return {
    takenAt: instantOf(textOf(tags.DateTimeOriginal) ?? textOf(tags.DateTime), textOf(tags.OffsetTimeOriginal)),
    fNumber: numberOf(tags.FNumber, 0.7, 128),
    iso: numberOf(tags.ISOSpeedRatings, 1, 10_000_000),
    exposureS: numberOf(tags.ExposureTime, 0, 100_000),
    focalMm: numberOf(tags.FocalLength, 0.5, 10_000),
    body: textOf(tags.Model),
    lens: textOf(tags.LensModel),
    style: styleOf(tags),
  };
}
