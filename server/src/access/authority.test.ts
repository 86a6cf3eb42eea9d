import { execFileSync } from 'node:child_process';
import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Authority } from './authority.js';

const NOW = new Date('2026-03-10T10:00:00Z');
const HOME = { dns: ['kitchen.local', 'localhost'], ips: ['192.168.1.20', '127.0.0.1'] };

describe('the household’s own authority', () => {
  const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-authority-'));
  const file = join(folder, 'access', 'authority.pem');
  let authority: Authority;
  beforeAll(async () => {
    authority = await Authority.in(folder, NOW);
    writeFileSync(join(folder, 'root.pem'), authority.pem);
  });
  afterAll(() => rmSync(folder, { recursive: true }));

  /** What an independent program says of a certificate: OpenSSL’s own check of the chain, at a moment. */
  const verdictOf = async (names: typeof HOME, at = NOW, asked: string[] = []): Promise<string> => {
    const leaf = join(folder, 'leaf.pem');
    writeFileSync(leaf, (await authority.issue(names, NOW)).certificate);
    const moment = String(at.getTime() / 1000);
    try {
      const args = [
        'verify',
        '-x509_strict',
        '-purpose',
        'sslserver',
        '-attime',
        moment,
        '-CAfile',
        join(folder, 'root.pem'),
        ...asked,
        leaf,
      ];
      execFileSync('openssl', args, { encoding: 'utf8', stdio: 'pipe' });
      return 'good';
    } catch (error) {
      const { stderr, stdout } = error as { stderr: string; stdout: string };
      return `${stderr}${stdout}`;
    }
  };

  it('is there again as it was, its key its owner’s alone', async () => {
    const again = await Authority.in(folder, NOW);
    expect(again.pem).toBe(authority.pem);
    expect(statSync(file).mode & 0o777).toBe(0o600);
    expect(readFileSync(file, 'utf8')).toMatch(/PRIVATE KEY/);
    expect(authority.pem).not.toMatch(/PRIVATE KEY/);
  });

  it('vouches for this machine under each of its names, as OpenSSL sees it', async () => {
    expect(await verdictOf(HOME)).toBe('good');
    for (const asked of [
      ['-verify_hostname', 'kitchen.local'],
      ['-verify_ip', '192.168.1.20'],
      ['-verify_hostname', 'localhost'],
    ])
      expect(await verdictOf(HOME, NOW, asked)).toBe('good');
    expect(await verdictOf(HOME, NOW, ['-verify_hostname', 'cellar.local'])).toMatch(/hostname mismatch/i);
  });

  it.each([
    ['a site of the world', { dns: ['example.com'], ips: [] }],
    ['a name that only ends alike', { dns: ['notlocal'], ips: [] }],
    ['a public address', { dns: ['kitchen.local'], ips: ['198.51.100.7'] }],
    ['just outside the private ones', { dns: [], ips: ['172.32.0.1'] }],
    ['an address of the newer kind', { dns: [], ips: ['2001:db8::1'] }],
  ])('can vouch for none other: %s', async (_, names) => {
    expect(await verdictOf(names)).toMatch(/permitted subtree violation/i);
  });

  it.each([
    ['a year too early', '2025-03-10T10:00:00Z', /not yet valid/i],
    ['a year too late', '2027-03-10T10:00:00Z', /expired/i],
  ])('is not believed by whoever’s clock is %s', async (_, at, why) => {
    expect(await verdictOf(HOME, new Date(at))).toMatch(why);
  });

  it('lets a leaf vouch for nobody, and no phone refuse it for its age', async () => {
    const leaf = new X509Certificate((await authority.issue(HOME, NOW)).certificate);
    expect(leaf.ca).toBe(false);
    // CA/Browser Forum Baseline Requirements 6.3.2: 398 days at most.
    expect((Date.parse(leaf.validTo) - Date.parse(leaf.validFrom)) / 86_400_000).toBeLessThanOrEqual(398);
    expect(leaf.verify(new X509Certificate(authority.pem).publicKey)).toBe(true);
  });

  it('is another one before it ends', async () => {
    const root = new X509Certificate(authority.pem);
    const nearlyOver = new Date(Date.parse(root.validTo) - 86_400_000);
    expect((await Authority.in(folder, nearlyOver)).pem).not.toBe(authority.pem);
  });
});
