const JPEG = 0xffd8;
const LITTLE_ENDIAN = 0x4949;
const TIFF = 42;
/** Where one kind of raw container says its preview lies, and how long that is: a whole JPEG with the head of the picture. */
const PREVIEW_AT = 84;
const PREVIEW_LENGTH_AT = 88;

/**
 * The part of a raw container that a reader of JPEG and TIFF understands: one is a TIFF under a number of its own (which is
 * written back), one holds a JPEG that the beginning points to (both from memory). Everything else as it is.
 *
 * @param bytes the beginning of a file; a preview that goes on behind it is cut, its head comes first.
 */
export function readable(bytes: ArrayBuffer, name: string): ArrayBuffer {
  const view = new DataView(bytes);
  if (bytes.byteLength < PREVIEW_LENGTH_AT + 4) return bytes;
  if (/\.raf$/i.test(name)) {
    const [from, length] = [view.getUint32(PREVIEW_AT), view.getUint32(PREVIEW_LENGTH_AT)];
    return from + 2 <= bytes.byteLength && view.getUint16(from) === JPEG ? bytes.slice(from, from + length) : bytes;
  }
  if (/\.(orf|rw2)$/i.test(name) && view.getUint16(0) === LITTLE_ENDIAN && view.getUint16(2, true) !== TIFF) {
    const renamed = bytes.slice(0);
    new DataView(renamed).setUint16(2, TIFF, true);
    return renamed;
  }
  return bytes;
}
