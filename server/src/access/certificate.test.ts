import { X509Certificate } from 'node:crypto';
import { mkdtempSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { connect } from 'node:tls';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import { SetClock } from '../platform/index.js';
import { Authority, type Leaf } from './authority.js';
import { broughtAlong, namesOf, ownAuthority, type CertificateSource } from './certificate.js';
import type { Names } from './names.js';
import { Network } from './network.js';

const NOW = new Date('2026-03-10T10:00:00Z');
const daysLater = (days: number): Date => new Date(NOW.getTime() + days * 86_400_000);

const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-certificate-'));
afterAll(() => rmSync(folder, { recursive: true }));
let authority: Authority;
beforeAll(async () => void (authority = await Authority.in(folder, NOW)));

/** A certificate as one brings it, in its two files, written then. */
function brought(name: string, { key, certificate }: Leaf, writtenAt = NOW): [string, string] {
  const files: [string, string] = [join(folder, `${name}.pem`), join(folder, `${name}.key`)];
  writeFileSync(files[0], certificate);
  writeFileSync(files[1], key);
  for (const file of files) utimesSync(file, writtenAt, writtenAt);
  return files;
}

describe('the household’s own certificate', () => {
  it('is made anew well before it ends, and when the machine is called otherwise, by the same authority', async () => {
    let names: Names = { dns: ['kitchen.local'], ips: ['192.168.1.20'] };
    const source = ownAuthority(folder, () => names);
    const first = await source.get(NOW);
    expect(namesOf(new X509Certificate(first.certificate))).toEqual({
      dns: ['kitchen.local', 'localhost'],
      ips: ['192.168.1.20', '127.0.0.1'],
    });
    expect([source.isOver(first, NOW), source.isOver(first, daysLater(59)), source.isOver(first, daysLater(61))]).toEqual([
      false,
      false,
      true,
    ]);
    names = { dns: ['kitchen.local'], ips: ['10.0.0.7'] };
    expect(source.isOver(first, NOW)).toBe(true);
    const second = await source.get(NOW);
    expect(second.names.ips).toEqual(['10.0.0.7', '127.0.0.1']);
    expect(second.authority!.fingerprint).toBe(first.authority!.fingerprint);
    expect(source.isOver(second, NOW)).toBe(false);
  });
});

describe('a certificate one brings', () => {
  it('is asked by the names in it, and taken anew when its file is replaced', async () => {
    const files = brought('own', await authority.issue({ dns: ['keeper.home.arpa', 'Bench.local'], ips: ['10.0.0.7'] }, NOW));
    const source = broughtAlong(...files);
    const first = await source.get(NOW);
    expect(first.names).toEqual({ dns: ['keeper.home.arpa', 'bench.local', 'localhost'], ips: ['10.0.0.7', '127.0.0.1'] });
    expect([first.authority, source.isOver(first, daysLater(1000))]).toEqual([null, false]);
    brought('own', await authority.issue({ dns: ['other.home.arpa'], ips: [] }, NOW), daysLater(1));
    expect(source.isOver(first, NOW)).toBe(true);
    expect((await source.get(NOW)).names.dns).toEqual(['other.home.arpa', 'localhost']);
  });

  it('is refused with another one’s key, or where there is none', async () => {
    const [mine, theirs] = [
      await authority.issue({ dns: ['a.local'], ips: [] }, NOW),
      await authority.issue({ dns: ['b.local'], ips: [] }, NOW),
    ];
    await expect(broughtAlong(...brought('mixed', { ...mine, key: theirs.key })).get(NOW)).rejects.toThrow(/is not the key of/);
    await expect(broughtAlong(join(folder, 'nowhere.pem'), join(folder, 'nowhere.key')).get(NOW)).rejects.toThrow(/nowhere/);
  });
});

describe('the doors to the network', () => {
  const open: Network[] = [];
  afterEach(async () => void (await Promise.all(open.splice(0).map((network) => network.close()))));
  const clock = new SetClock(NOW);
  const doors = (certificates: CertificateSource, port = 0): Network => {
    const namesNow = () => ({ dns: [], ips: ['127.0.0.1'] });
    const network = new Network({ port, beginPort: 0, certificates, proxy: null, namesNow, tellsName: false }, clock);
    network.serve((_, response) => response.end('here'));
    open.push(network);
    return network;
  };
  /** Until when the certificate holds that is shown to whoever comes now. */
  const shownNow = (network: Network): Promise<string> =>
    new Promise((resolve, reject) => {
      const line = connect({ host: '127.0.0.1', port: network.port!, rejectUnauthorized: false }, () => {
        resolve(new Date(line.getPeerCertificate().valid_to).toISOString());
        line.destroy();
      });
      line.once('error', reject);
    });

  it('show a new certificate in good time, to whoever comes then', async () => {
    const network = doors(ownAuthority(folder, () => ({ dns: [], ips: ['127.0.0.1'] })));
    clock.set(NOW);
    await network.open();
    const first = await shownNow(network);
    expect(first).toBe(daysLater(90).toISOString());
    clock.set(daysLater(70));
    await network.look();
    expect(await shownNow(network)).toBe(daysLater(160).toISOString());
    expect(network.state()).toMatchObject({ trouble: null, certificateUntil: daysLater(160).toISOString() });
  });

  it('say that a certificate one brought has ended, and when it cannot be read', async () => {
    const files = brought('ending', await authority.issue({ dns: ['localhost'], ips: ['127.0.0.1'] }, NOW));
    const network = doors(broughtAlong(...files));
    clock.set(NOW);
    await network.open();
    expect(network.state()).toMatchObject({ trouble: null, beginAt: [] });
    clock.set(daysLater(91));
    await network.look();
    expect(network.state().trouble).toBe('certificate-ended');
    writeFileSync(files[0], 'nothing of the kind');
    utimesSync(files[0], daysLater(2), daysLater(2));
    await network.look();
    expect(network.state().trouble).toBe('certificate-unreadable');
    brought('ending', await authority.issue({ dns: ['localhost'], ips: ['127.0.0.1'] }, daysLater(91)), daysLater(3));
    await network.look();
    expect(network.state().trouble).toBeNull();
    expect(await shownNow(network)).toBe(daysLater(181).toISOString());
  });

  it('say that another program has the port, and open when it is gone', async () => {
    const other = createServer();
    await new Promise<void>((resolve) => other.listen(0, '0.0.0.0', resolve));
    const network = doors(
      ownAuthority(folder, () => ({ dns: [], ips: [] })),
      (other.address() as AddressInfo).port,
    );
    clock.set(NOW);
    await network.open();
    expect(network.state()).toMatchObject({ trouble: 'port-taken', addresses: [] });
    await new Promise((resolve) => other.close(resolve));
    await network.look();
    expect(network.state().trouble).toBeNull();
    expect(network.state().addresses).toHaveLength(1);
  });

  it('are shut at once, and stay so', async () => {
    const network = doors(ownAuthority(folder, () => ({ dns: [], ips: [] })));
    clock.set(NOW);
    await network.open();
    const { port } = network;
    await network.close();
    await network.look();
    expect([network.port, network.state().addresses]).toEqual([null, []]);
    await expect(
      new Promise((resolve, reject) => {
        const line = connect({ host: '127.0.0.1', port: port!, rejectUnauthorized: false }, () => resolve(line.destroy()));
        line.once('error', reject);
      }),
    ).rejects.toThrow(/ECONNREFUSED/);
  });
});
