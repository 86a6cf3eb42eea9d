import { MS_PER_DAY } from '@bright-keeper/core';
import { createPrivateKey, X509Certificate } from 'node:crypto';
import { readFileSync, statSync } from 'node:fs';
import { isIP } from 'node:net';
import { ITSELF, type Names } from './names.js';

/** A server's own certificate, and by which names it may be asked. */
export type Certificate = {
  key: string;
  certificate: string;
  names: Names;
  until: Date;
  /** The household's own authority, which a phone has to be told to trust; null where another one answers for it. */
  authority: { pem: string; der: Buffer; fingerprint: string } | null;
};

/** Where certificates come from. */
export type CertificateSource = {
  /** The present one. @throws Error saying what cannot be read. */
  get: (now: Date) => Promise<Certificate>;
  /** Whether another one is to be taken instead. */
  isOver: (present: Certificate, now: Date) => boolean;
};

/** A leaf is made anew while so much of it is left: a machine that sleeps for a month still wakes with a good one. */
const RENEW_DAYS = 30;

/** The household's own: made at first use, renewed by itself, and made anew when the machine is called something else. */
export const ownAuthority = (dataDir: string, namesNow: () => Names): CertificateSource => {
  let madeFor = '';
  const wanted = (): Names => {
    const { dns, ips } = namesNow();
    return { dns: [...dns, ...ITSELF.dns], ips: [...ips, ...ITSELF.ips] };
  };
  return {
    get: async (now) => {
      const { Authority } = await import('./authority.js');
      const names = wanted();
      const authority = await Authority.in(dataDir, now);
      const { key, certificate, until } = await authority.issue(names, now);
      madeFor = JSON.stringify(names);
      const seen = new X509Certificate(authority.pem);
      return { key, certificate, names, until, authority: { pem: authority.pem, der: seen.raw, fingerprint: seen.fingerprint256 } };
    },
    isOver: ({ until }, now) => until.getTime() - now.getTime() < RENEW_DAYS * MS_PER_DAY || JSON.stringify(wanted()) !== madeFor,
  };
};

/** By which names a certificate may be asked (RFC 6125: its subject alternative names). */
export function namesOf(certificate: X509Certificate): Names {
  const all = (certificate.subjectAltName ?? '').split(', ').map((name) => name.replace(/^(DNS|IP Address):/, '').toLowerCase());
  return { dns: all.filter((name) => name !== '' && isIP(name) === 0), ips: all.filter((name) => isIP(name) !== 0) };
}

/** @throws Error where a file cannot be read, or one is not the key of the other. */
function readBoth(certificateFile: string, keyFile: string): Certificate {
  const [certificate, key] = [readFileSync(certificateFile, 'utf8'), readFileSync(keyFile, 'utf8')];
  const seen = new X509Certificate(certificate);
  if (!seen.checkPrivateKey(createPrivateKey(key))) throw new Error(`${keyFile} is not the key of ${certificateFile}`);
  const { dns, ips } = namesOf(seen);
  return {
    key,
    certificate,
    names: { dns: [...dns, ...ITSELF.dns], ips: [...ips, ...ITSELF.ips] },
    until: new Date(seen.validTo),
    authority: null,
  };
}

/** One that the keeper brings, read anew when its file is replaced. */
export const broughtAlong = (certificateFile: string, keyFile: string): CertificateSource => {
  let changedMs = 0;
  const changed = (file: string): number => statSync(file, { throwIfNoEntry: false })?.mtimeMs ?? 0;
  const newest = () => Math.max(changed(certificateFile), changed(keyFile));
  return {
    get: () =>
      Promise.resolve().then(() => {
        changedMs = newest();
        return readBoth(certificateFile, keyFile);
      }),
    isOver: () => newest() !== changedMs,
  };
};
