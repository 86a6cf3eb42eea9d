export type Encoding = 'UTF-8' | 'UTF-16' | 'Windows-1252';

/** Which decoder reads a file: the label the Encoding Standard has for it. */
type Reading = { encoding: Encoding; label: 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252' };

const LONGEST_LETTER = 4;
const startsWith = (bytes: Uint8Array, ...mark: number[]) => mark.every((byte, i) => bytes[i] === byte);

/** Latin text in UTF-16 has a zero in every second byte, on the side of its order. */
function zerosOf(bytes: Uint8Array): { even: number; odd: number } {
  const zeros = { even: 0, odd: 0 };
  bytes.forEach((byte, i) => {
    if (byte === 0) zeros[i % 2 === 0 ? 'even' : 'odd'] += 1;
  });
  return zeros;
}

/** Whether these bytes are UTF-8; the last letter may be cut where `isBeginning`. */
function isUtf8(bytes: Uint8Array, isBeginning: boolean): boolean {
  for (let cut = 0; cut < (isBeginning ? LONGEST_LETTER : 1); cut += 1) {
    try {
      new TextDecoder('utf-8', { fatal: true }).decode(bytes.subarray(0, bytes.length - cut));
      return true;
    } catch {
      // Perhaps a letter is cut off at the end.
    }
  }
  return false;
}

/**
 * How a file is written, from its beginning: a byte-order mark decides; then the zeros of UTF-16; otherwise it is UTF-8
 * if it is valid UTF-8, else the encoding that spreadsheets on older systems write.
 */
export function encodingOf(bytes: Uint8Array, isBeginning = false): Reading {
  if (startsWith(bytes, 0xff, 0xfe)) return { encoding: 'UTF-16', label: 'utf-16le' };
  if (startsWith(bytes, 0xfe, 0xff)) return { encoding: 'UTF-16', label: 'utf-16be' };
  const { even, odd } = zerosOf(bytes);
  if (odd > bytes.length / 4 && even === 0) return { encoding: 'UTF-16', label: 'utf-16le' };
  if (even > bytes.length / 4 && odd === 0) return { encoding: 'UTF-16', label: 'utf-16be' };
  return isUtf8(bytes, isBeginning) ? { encoding: 'UTF-8', label: 'utf-8' } : { encoding: 'Windows-1252', label: 'windows-1252' };
}

/** Text out of bytes; a byte-order mark is no part of it. */
export function decode(bytes: Uint8Array, isBeginning = false): { text: string; encoding: Encoding } {
  const { encoding, label } = encodingOf(bytes, isBeginning);
  return { text: new TextDecoder(label).decode(bytes, { stream: isBeginning }), encoding };
}

/** Text out of a stream, read as its first piece says. */
export async function* decoded(stream: AsyncIterable<Uint8Array>): AsyncGenerator<string> {
  let decoder: InstanceType<typeof TextDecoder> | null = null;
  for await (const bytes of stream) {
    decoder ??= new TextDecoder(encodingOf(bytes, true).label);
    yield decoder.decode(bytes, { stream: true });
  }
  if (decoder) yield decoder.decode();
}
