import type { trip } from '@bright-keeper/core';
import { headOf, keyOf, type Head } from './head';

/** What a batch of files says: its pictures, each camera and lens they name once, and what was passed over. */
export type Heads = {
  pictures: trip.Picture[];
  bodies: [key: string, says: trip.FileSays][];
  lenses: [key: string, says: trip.FileSays][];
  /** Files that are no pictures by their name, or empty. */
  notPictures: number;
  /** Pictures whose head tells no time, or cannot be read. */
  untold: number;
};

/** Files that may hold a picture with a head, by the end of their name; a raw container reads as TIFF or is told unread. */
const PICTURE = /\.(jpe?g|tiff?|heic|heif|hif|avif|png|webp|dng|arw|cr2|cr3|nef|nrw|orf|pef|raf|raw|rw2|srw|3fr|erf|iiq)$/i;

const KIB = 1024;
/** A JPEG has its head within the first 64 KiB and a marker; containers may have it further in. */
const STEPS = [128 * KIB, 1024 * KIB];
/** Some HEIC end with their head: those are read whole, up to the size of a large one. */
const WHOLE = 40 * 1024 * KIB;
const isJpeg = (bytes: ArrayBuffer): boolean => new DataView(bytes).getUint16(0) === 0xffd8;

async function headOfFile(file: File, withPlace: boolean): Promise<Head | null> {
  const whole = /\.(heic|heif|hif|avif)$/i.test(file.name) && file.size <= WHOLE ? [file.size] : [];
  let read = 0;
  for (const step of [...STEPS, ...whole]) {
    if (read >= file.size) break;
    read = Math.min(step, file.size);
    const bytes = await file.slice(0, read).arrayBuffer();
    const head = headOf(bytes, file.name, withPlace);
    if (head || bytes.byteLength < 2 || isJpeg(bytes)) return head;
  }
  return null;
}

/** Reads the heads of some files, one after the other; a file that went away is one that cannot be read. */
export async function readHeads(files: readonly File[], withPlace: boolean): Promise<Heads> {
  const heads: Heads = { pictures: [], bodies: [], lenses: [], notPictures: 0, untold: 0 };
  const [bodies, lenses] = [new Map<string, trip.FileSays>(), new Map<string, trip.FileSays>()];
  for (const file of files) {
    if (!PICTURE.test(file.name) || file.name.startsWith('.') || file.size === 0) {
      heads.notPictures += 1;
      continue;
    }
    const head = await headOfFile(file, withPlace).catch(() => null);
    if (!head) {
      heads.untold += 1;
      continue;
    }
    heads.pictures.push(head.picture);
    if (head.body) bodies.set(keyOf(head.body), head.body);
    if (head.lens) lenses.set(keyOf(head.lens), head.lens);
  }
  return { ...heads, bodies: [...bodies], lenses: [...lenses] };
}
