import { PICTURE_TYPES } from '@bright-keeper/contract';

/** A file as it came, whatever it is: kept, and handed out, but never shown. */
export const FILE_TYPE = 'application/octet-stream';
/** What may be kept, each established from its bytes: pictures that can be shown, and files as they came. */
export const KEPT_TYPES = [...PICTURE_TYPES, FILE_TYPE] as const;
export type KeptType = (typeof KEPT_TYPES)[number];

const ascii = (bytes: Uint8Array, from: number, to: number): string => Buffer.from(bytes.subarray(from, to)).toString('latin1');

/** What a picture begins with (ISO/IEC 10918-1 B.1.1.3; W3C PNG section 5.2; RFC 9649 section 2.4). */
const BEGINNINGS: Readonly<Record<string, (head: Uint8Array) => boolean>> = {
  'image/jpeg': (head) => ascii(head, 0, 3) === '\xff\xd8\xff',
  'image/png': (head) => ascii(head, 0, 8) === '\x89PNG\r\n\x1a\n',
  'image/webp': (head) => ascii(head, 0, 4) === 'RIFF' && ascii(head, 8, 12) === 'WEBP',
};

/** Is a file that begins like this of that type? Whatever it is, it is a file as it came. */
export const typeFits = (type: string, head: Uint8Array): boolean => type === FILE_TYPE || (BEGINNINGS[type]?.(head) ?? false);
