import yauzl from 'yauzl';
import { LIMITS } from '../../limits.js';

const ZIP = [0x50, 0x4b, 0x03, 0x04];
export const isZip = (bytes: Uint8Array): boolean => ZIP.every((byte, i) => bytes[i] === byte);

/**
 * The parts of a spreadsheet file that are wanted, unpacked within limits; the others are counted, too. What a file says of
 * itself is not believed: bytes are counted as they come.
 *
 * @returns null where it is no such file, or unpacks to more than may be.
 */
export async function partsOf(bytes: Buffer, wanted: readonly string[]): Promise<{ names: string[]; parts: Map<string, Buffer> } | null> {
  const { unpackedBytes, parts: mostParts } = LIMITS.list;
  try {
    const zip = await yauzl.fromBufferPromise(bytes, { lazyEntries: true });
    const [names, parts] = [[] as string[], new Map<string, Buffer>()];
    let unpacked = 0;
    for await (const entry of zip.eachEntry()) {
      names.push(entry.fileName);
      if (names.length > mostParts) return null;
      const chunks: Buffer[] = [];
      const isWanted = wanted.includes(entry.fileName);
      for await (const chunk of await zip.openReadStreamPromise(entry)) {
        unpacked += (chunk as Buffer).length;
        if (unpacked > unpackedBytes) return null;
        if (isWanted) chunks.push(chunk as Buffer);
      }
      if (isWanted) parts.set(entry.fileName, Buffer.concat(chunks));
    }
    return { names, parts };
  } catch {
    // Whatever is wrong with it, it is no spreadsheet.
    return null;
  }
}
