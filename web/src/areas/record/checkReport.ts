import { fieldsOf, JOI_OPTIONS, signedReport } from '@bright-keeper/contract';
import { record } from '@bright-keeper/core';
import type Joi from 'joi';

/** What a file turned out to be; only what is whole or edited is a report at all. */
export type CheckedReport =
  | { is: 'no-report'; because: string }
  /** This browser has no Ed25519, or keeps it from a page that is not secure. */
  | { is: 'not-checkable'; report: record.ConditionReport }
  | { is: 'edited'; report: record.ConditionReport }
  | { is: 'whole'; report: record.ConditionReport; fingerprint: string };

/** More than the largest report that is made. */
export const LARGEST_REPORT_BYTES = 40_000_000;
/** What of a file's faults is told. */
const MOST_FAULTS = 3;

function readReport(text: string): record.SignedReport | { because: string } {
  let read: unknown;
  try {
    read = JSON.parse(text);
  } catch {
    return { because: 'This file is no JSON.' };
  }
  const { value, error } = signedReport.validate(read, JOI_OPTIONS) as { value: record.SignedReport; error?: Joi.ValidationError };
  if (!error) return value;
  const faults = Object.entries(fieldsOf(error)).slice(0, MOST_FAULTS);
  return { because: `It is not written as reports are here. ${faults.map(([field, fault]) => `${field}: ${fault}`).join(' ')}` };
}

const bytesOf = (base64url: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(atob(base64url.replaceAll('-', '+').replaceAll('_', '/')), (letter) => letter.charCodeAt(0));
const hexOf = (bytes: ArrayBuffer): string => [...new Uint8Array(bytes)].map((b) => b.toString(16).padStart(2, '0')).join('');

/** Whether a report is as it was signed, by the key that stands in it (Ed25519 of the platform, Web Cryptography). */
export async function checkReport(text: string): Promise<CheckedReport> {
  const read = readReport(text);
  if ('because' in read) return { is: 'no-report', because: read.because };
  const { report, signature } = read;
  const { subtle } = globalThis.crypto as { subtle?: SubtleCrypto };
  if (!subtle) return { is: 'not-checkable', report };
  const publicKey = bytesOf(signature.publicKey);
  let key: CryptoKey;
  try {
    key = await subtle.importKey('raw', publicKey, 'Ed25519', false, ['verify']);
  } catch (error) {
    return (error as Error).name === 'NotSupportedError' ? { is: 'not-checkable', report } : { is: 'edited', report };
  }
  const isWhole = await subtle.verify('Ed25519', key, bytesOf(signature.value), new TextEncoder().encode(record.signedText(report)));
  return isWhole ? { is: 'whole', report, fingerprint: hexOf(await subtle.digest('SHA-256', publicKey)) } : { is: 'edited', report };
}
