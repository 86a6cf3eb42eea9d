import 'reflect-metadata';
import { MS_PER_DAY } from '@bright-keeper/core';
import { AsnConvert } from '@peculiar/asn1-schema';
import { GeneralName, GeneralSubtree, GeneralSubtrees, id_ce_nameConstraints, NameConstraints } from '@peculiar/asn1-x509';
import {
  AuthorityKeyIdentifierExtension,
  BasicConstraintsExtension,
  ExtendedKeyUsage,
  ExtendedKeyUsageExtension,
  Extension,
  KeyUsageFlags,
  KeyUsagesExtension,
  PemConverter,
  SubjectAlternativeNameExtension,
  SubjectKeyIdentifierExtension,
  X509Certificate,
  X509CertificateGenerator,
} from '@peculiar/x509';
import { randomBytes, webcrypto } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { writeWhole } from '../wake/index.js';
import { HOME_ENDS, type Names } from './names.js';

const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const;
const AUTHORITY_DAYS = 3652;
/** Phones take a server's certificate for 398 days at most, some for less (CA/Browser Forum Baseline Requirements 6.3.2). */
const LEAF_DAYS = 90;
/** The clocks of phones are a little off. */
const BACKDATED_DAYS = 2;

/**
 * The only names it can speak for (RFC 5280, 4.2.1.10): whoever takes its key can pass for no site of the world. Names
 * that end at home; private, link-local and loopback addresses (RFC 1918, 3927, 4193).
 */
const SPEAKS_FOR_IP = ['10.0.0.0/8', '172.16.0.0/12', '192.168.0.0/16', '169.254.0.0/16', '127.0.0.0/8'];

function speaksFor(): Extension {
  const names = [
    ...HOME_ENDS.map((dNSName) => new GeneralName({ dNSName })),
    ...SPEAKS_FOR_IP.map((iPAddress) => new GeneralName({ iPAddress })),
  ];
  const permittedSubtrees = new GeneralSubtrees(names.map((base) => new GeneralSubtree({ base, minimum: 0 })));
  return new Extension(id_ce_nameConstraints, true, AsnConvert.serialize(new NameConstraints({ permittedSubtrees })));
}

/** A positive number of 127 bits that nobody foresees (Baseline Requirements 7.1: 64 bits at least). */
function serialNumber(): string {
  const bytes = randomBytes(16);
  bytes[0] = (bytes[0]! & 0x7f) | 0x40;
  return bytes.toString('hex');
}

const keysOf = () => webcrypto.subtle.generateKey(ALGORITHM, true, ['sign', 'verify']);
const pemOf = async (key: webcrypto.CryptoKey): Promise<string> =>
  PemConverter.encode(await webcrypto.subtle.exportKey('pkcs8', key), 'PRIVATE KEY');
const daysFrom = (at: Date, days: number): Date => new Date(at.getTime() + days * MS_PER_DAY);

/** A certificate for a server with its key, in PEM. */
export type Leaf = { key: string; certificate: string; until: Date };

/** The household's own authority: phones that trust it trust this machine under each of its names, and nobody else by it. */
export class Authority {
  private constructor(
    private readonly key: webcrypto.CryptoKey,
    readonly certificate: X509Certificate,
  ) {}

  /**
   * The one in the folder, or a new one where there is none or it has ended. Its key is its owner's alone.
   *
   * @throws Error when what is there cannot be read.
   */
  static async in(dataDir: string, now: Date): Promise<Authority> {
    const file = join(dataDir, 'access', 'authority.pem');
    if (existsSync(file)) {
      const found = await Authority.read(readFileSync(file, 'utf8'));
      if (found.certificate.notAfter > daysFrom(now, LEAF_DAYS)) return found;
    }
    const made = await Authority.make(now);
    // In one file, so that a key never stands beside another one's certificate.
    writeWhole(file, `${await pemOf(made.key)}\n${made.pem}\n`);
    return made;
  }

  private static async read(pem: string): Promise<Authority> {
    const [pkcs8, certificate] = PemConverter.decode(pem);
    const key = await webcrypto.subtle.importKey('pkcs8', pkcs8!, ALGORITHM, true, ['sign']);
    return new Authority(key, new X509Certificate(certificate!));
  }

  private static async make(now: Date): Promise<Authority> {
    const keys = await keysOf();
    const notBefore = daysFrom(now, -BACKDATED_DAYS);
    const certificate = await X509CertificateGenerator.createSelfSigned({
      serialNumber: serialNumber(),
      name: `CN=Bright Keeper of this household ${notBefore.toISOString().slice(0, 10)}`,
      notBefore,
      notAfter: daysFrom(now, AUTHORITY_DAYS),
      keys,
      signingAlgorithm: ALGORITHM,
      extensions: [
        new BasicConstraintsExtension(true, 0, true),
        new KeyUsagesExtension(KeyUsageFlags.keyCertSign, true),
        await SubjectKeyIdentifierExtension.create(keys.publicKey),
        speaksFor(),
      ],
    });
    return new Authority(keys.privateKey, certificate);
  }

  get pem(): string {
    return this.certificate.toString('pem');
  }

  /** A certificate for a server under these names. */
  async issue({ dns, ips }: Names, now: Date): Promise<Leaf> {
    const keys = await keysOf();
    const until = daysFrom(now, LEAF_DAYS);
    const certificate = await X509CertificateGenerator.create({
      serialNumber: serialNumber(),
      subject: `CN=${dns[0] ?? ips[0]}`,
      issuer: this.certificate.subject,
      notBefore: daysFrom(now, -BACKDATED_DAYS),
      notAfter: until,
      publicKey: keys.publicKey,
      signingKey: this.key,
      signingAlgorithm: ALGORITHM,
      extensions: [
        new BasicConstraintsExtension(false, undefined, true),
        new KeyUsagesExtension(KeyUsageFlags.digitalSignature, true),
        new ExtendedKeyUsageExtension([ExtendedKeyUsage.serverAuth]),
        new SubjectAlternativeNameExtension([
          ...dns.map((value) => ({ type: 'dns', value }) as const),
          ...ips.map((value) => ({ type: 'ip', value }) as const),
        ]),
        await SubjectKeyIdentifierExtension.create(keys.publicKey),
        await AuthorityKeyIdentifierExtension.create(this.certificate),
      ],
    });
    return { key: await pemOf(keys.privateKey), certificate: certificate.toString('pem'), until };
  }
}
