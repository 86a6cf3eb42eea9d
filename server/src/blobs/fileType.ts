import { PICTURE_TYPES } from '@bright-keeper/contract';

/** A file as it came, whatever it is: kept, and handed out, but never shown. */
export const FILE_TYPE = 'application/octet-stream';
/** A paper: kept as it came, and handed out, but never shown in a page of ours. */
export const PDF_TYPE = 'application/pdf';
/** What may be kept, each established from its bytes: pictures that can be shown, papers, and files as they came. */
export const KEPT_TYPES = [...PICTURE_TYPES, PDF_TYPE, FILE_TYPE] as const;
export type KeptType = (typeof KEPT_TYPES)[number];

const ascii = (bytes: Uint8Array, from: number, to: number): string => Buffer.from(bytes.subarray(from, to)).toString('latin1');

/** What each begins with (ISO/IEC 10918-1 B.1.1.3; W3C PNG section 5.2; RFC 9649 section 2.4; ISO 32000-1 7.5.2). */
const BEGINNINGS: Readonly<Record<string, (head: Uint8Array) => boolean>> = {
  'image/jpeg': (head) => ascii(head, 0, 3) === '\xff\xd8\xff',
  'image/png': (head) => ascii(head, 0, 8) === '\x89PNG\r\n\x1a\n',
  'image/webp': (head) => ascii(head, 0, 4) === 'RIFF' && ascii(head, 8, 12) === 'WEBP',
  [PDF_TYPE]: (head) => /^%PDF-[12]\.\d/.test(ascii(head, 0, 8)),
};

/** Is a file that begins like this of that type? Whatever it is, it is a file as it came. */
export const typeFits = (type: string, head: Uint8Array): boolean => type === FILE_TYPE || (BEGINNINGS[type]?.(head) ?? false);

/** The end of a PDF stands within so many of its last bytes (ISO 32000-1 7.5.5; Annex H, note 18). */
const END_WITHIN = 1024;
/** Is this a PDF, from its first line to its last? One that was cut off is none. */
export const isWholePdf = (bytes: Uint8Array): boolean =>
  typeFits(PDF_TYPE, bytes) && ascii(bytes, Math.max(0, bytes.length - END_WITHIN), bytes.length).includes('%%EOF');
