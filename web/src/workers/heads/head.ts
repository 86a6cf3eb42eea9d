import { trip } from '@bright-keeper/core';
import ExifReader from 'exifreader';
import { readable } from './container';
import { numberOf, textOf, type Tag } from '../frame/exif';

/** What the head of one file says: the picture, and its camera and lens in the file's own words. */
export type Head = { picture: trip.Picture; body: trip.FileSays | null; lens: trip.FileSays | null };

/** The tags use is read from (Exif 3.0, CIPA DC-008); the rest of a head is passed over. */
const READ = [
  'Make',
  'Model',
  'DateTimeOriginal',
  'SubSecTimeOriginal',
  'FNumber',
  'FocalLength',
  'BodySerialNumber',
  'LensMake',
  'LensModel',
  'LensSerialNumber',
];
const READ_OF_PLACE = ['GPSLatitude', 'GPSLatitudeRef', 'GPSLongitude', 'GPSLongitudeRef'];

/** Two cameras are told apart by maker, model and number, whatever else is said. */
export const keyOf = ({ maker, model, serial }: trip.FileSays): string => JSON.stringify([maker, model, serial]);

/** "2026:03:10 11:22:33" as the clock showed it; null for the blanks and zeros of a camera that was never set. */
function clockOf(tags: Record<string, Tag>): string | null {
  const parts = /^(\d{4})[:-](\d\d)[:-](\d\d)[ T](\d\d:\d\d:\d\d)/.exec(textOf(tags.DateTimeOriginal) ?? '');
  if (!parts) return null;
  const fraction = /^\d{1,9}/.exec(textOf(tags.SubSecTimeOriginal) ?? '')?.[0];
  const shown = `${parts[1]}-${parts[2]}-${parts[3]}T${parts[4]}${fraction ? `.${fraction}` : ''}`;
  return trip.clockMs(shown) === null ? null : shown;
}

/** Rounded at once: nothing nearer is ever held. */
function roughly(tag: Tag, ref: Tag, most: number): number | null {
  const told = typeof tag?.description === 'number' ? tag.description : Number(textOf(tag) ?? NaN);
  if (!(Math.abs(told) <= most)) return null;
  const side = String(Array.isArray(ref?.value) ? ref.value[0] : (ref?.value ?? '')).toUpperCase();
  const signed = side.startsWith('S') || side.startsWith('W') ? -Math.abs(told) : told;
  const steps = Math.round(1 / trip.PLACE_STEP_DEGREES);
  return Math.round(signed * steps) / steps;
}

function placeOf(tags: Record<string, Tag>): trip.RoughPlace | null {
  const latitude = roughly(tags.GPSLatitude, tags.GPSLatitudeRef, 90);
  const longitude = roughly(tags.GPSLongitude, tags.GPSLongitudeRef, 180);
  // A receiver without a fix writes zeros.
  return latitude === null || longitude === null || (latitude === 0 && longitude === 0) ? null : { latitude, longitude };
}

/** Makers fill a number nobody set with zeros, and a lens nobody knows with dashes. */
const said = (text: string | null): string | null => (text === null || /^[-0\s]*$/.test(text) ? null : text);

function saysOf(maker: Tag, model: Tag, serial: Tag): trip.FileSays | null {
  const says = { maker: said(textOf(maker)), model: said(textOf(model)), serial: said(textOf(serial)) };
  return says.model === null && says.serial === null ? null : says;
}

/**
 * What the beginning of a picture's file says; null where it says no time.
 *
 * @param withPlace whether where it was taken may be read, roughly.
 */
export function headOf(bytes: ArrayBuffer, name: string, withPlace: boolean): Head | null {
  let tags: Record<string, Tag>;
  try {
    tags = ExifReader.load(readable(bytes, name), { includeTags: { exif: withPlace ? [...READ, ...READ_OF_PLACE] : READ } });
  } catch {
    return null;
  }
  const takenAt = clockOf(tags);
  if (takenAt === null) return null;
  const body = saysOf(tags.Make, tags.Model, tags.BodySerialNumber);
  const lens = saysOf(tags.LensMake, tags.LensModel, tags.LensSerialNumber);
  return {
    body,
    lens,
    picture: {
      name,
      takenAt,
      body: body && keyOf(body),
      lens: lens && keyOf(lens),
      bodyIsCertain: body?.serial != null,
      focalMm: numberOf(tags.FocalLength, 0.5, 10_000),
      fNumber: numberOf(tags.FNumber, 0.7, 128),
      place: withPlace ? placeOf(tags) : null,
    },
  };
}
