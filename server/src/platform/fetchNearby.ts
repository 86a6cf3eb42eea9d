import { lookup as lookUp, type LookupAddress } from 'node:dns';
import http from 'node:http';
import https from 'node:https';
import { isIP, type LookupFunction } from 'node:net';
import type { Readable } from 'node:stream';
import { createBrotliDecompress, createGunzip, createInflate } from 'node:zlib';
import { isNearby } from './nearby.js';

/** How much is taken from an address, and how long it may take from the first word to the last. */
export type FetchLimits = { bytes: number; unpackedBytes: number; wholeMs: number; redirects: number };

/** Why nothing came of it. */
export class NotFetched extends Error {
  constructor(
    readonly why: 'not-nearby' | 'silent' | 'too-large',
    detail: string,
  ) {
    super(detail);
    this.name = 'NotFetched';
  }
}

const notNearby = (host: string) => new NotFetched('not-nearby', `${host} is not on this network`);

/** Every address a name stands for must lie on this network; the one that is connected to is among those that were asked. */
export const nearbyLookup: LookupFunction = (host, options, done) => {
  lookUp(host, { ...options, all: true }, (error, found: LookupAddress[]) => {
    if (error) return done(error, '', 4);
    if (found.length === 0 || !found.every(({ address }) => isNearby(address))) return done(notNearby(host), '', 4);
    if (options.all) done(null, found);
    else done(null, found[0]!.address, found[0]!.family);
  });
};

function ask(url: URL, accept: string, signal: AbortSignal): Promise<http.IncomingMessage> {
  const host = url.hostname.replace(/^\[|\]$/g, '');
  if (!['http:', 'https:'].includes(url.protocol)) throw new NotFetched('silent', `${url.protocol} is not spoken`);
  if (isIP(host) && !isNearby(host)) throw notNearby(host);
  const headers = { accept, 'accept-encoding': 'gzip, deflate, br' };
  const { get } = url.protocol === 'https:' ? https : http;
  return new Promise((resolve, reject) => {
    get(url, { lookup: nearbyLookup, signal, headers, agent: false }, resolve).once('error', reject);
  });
}

const UNPACK: Readonly<Record<string, () => NodeJS.ReadWriteStream>> = {
  gzip: createGunzip,
  'x-gzip': createGunzip,
  deflate: createInflate,
  br: createBrotliDecompress,
};

/** All bytes of a stream. @throws NotFetched as soon as there are more than may be. */
async function bytesOf(stream: AsyncIterable<Buffer>, most: number): Promise<Buffer> {
  const parts: Buffer[] = [];
  let bytes = 0;
  for await (const part of stream) {
    bytes += part.length;
    if (bytes > most) throw new NotFetched('too-large', `more than ${most} bytes came`);
    parts.push(part);
  }
  return Buffer.concat(parts);
}

async function textOf(answer: http.IncomingMessage, { bytes, unpackedBytes }: FetchLimits): Promise<string> {
  const encoding = answer.headers['content-encoding']?.toLowerCase() ?? 'identity';
  const unpack = UNPACK[encoding];
  if (!unpack && encoding !== 'identity') throw new NotFetched('silent', `${encoding} cannot be unpacked`);
  let packed = 0;
  answer.on('data', (part: Buffer) => {
    packed += part.length;
    if (packed > bytes) answer.destroy(new NotFetched('too-large', `more than ${bytes} bytes came`));
  });
  const unpacked = unpack ? answer.pipe(unpack()) : answer;
  // What breaks before it is unpacked breaks what is read.
  if (unpack) answer.once('error', (error) => (unpacked as unknown as Readable).destroy(error));
  return (await bytesOf(unpacked as unknown as Readable, unpackedBytes)).toString('utf8');
}

/**
 * The text at an address of this machine or its network. Each redirect is asked for anew like the first address.
 *
 * @throws NotFetched when it lies elsewhere, does not answer with text in time, or answers with too much.
 */
export async function fetchNearby(address: string, accept: string, limits: FetchLimits): Promise<string> {
  const signal = AbortSignal.timeout(limits.wholeMs);
  let url = new URL(address);
  try {
    for (let hop = 0; hop <= limits.redirects; hop += 1) {
      const answer = await ask(url, accept, signal);
      try {
        const { statusCode = 0, headers } = answer;
        if (statusCode >= 200 && statusCode < 300) return await textOf(answer, limits);
        if (statusCode < 300 || statusCode >= 400 || !headers.location) throw new NotFetched('silent', `it answered ${statusCode}`);
        url = new URL(headers.location, url);
      } finally {
        answer.destroy();
      }
    }
  } catch (error) {
    if (error instanceof NotFetched) throw error;
    throw new NotFetched('silent', error instanceof Error ? error.message : String(error));
  }
  throw new NotFetched('silent', `it leads on more than ${limits.redirects} times`);
}
