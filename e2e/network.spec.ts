import { routes, type Access } from '@bright-keeper/contract';
import { expect, test } from '@playwright/test';
import { execFile, execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { hostname, tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { start, type Running } from './server.js';

/** Two hosts: this machine, and a phone in a network namespace of its own beside it, with curl as the phone. */
const PHONE = `bk-phone-${process.pid}`;
const CABLE = `bk${process.pid}`;
const MACHINE = '10.213.77.1';
const PASSPHRASE = 'four lenses on one shelf';
const PORT = 61_900;
const HERE = dirname(fileURLToPath(import.meta.url));

const ip = (...args: string[]) => execFileSync('ip', args, { stdio: 'pipe', encoding: 'utf8' });
const onPhone = (...args: string[]) => ip('netns', 'exec', PHONE, ...args);

/** Makes the phone's network; what cannot be set up, for want of rights, cannot be tried. */
function madeNetwork(): boolean {
  try {
    ip('netns', 'add', PHONE);
    return true;
  } catch {
    return false;
  }
}

test.describe('a phone on the same network', () => {
  let running: Running | undefined;
  let folder: string;

  test.beforeAll(async () => {
    test.skip(!madeNetwork(), 'needs ip netns, and the rights for it');
    folder = mkdtempSync(join(tmpdir(), 'bright-keeper-phone-'));
    ip('link', 'add', CABLE, 'type', 'veth', 'peer', 'name', 'cable', 'netns', PHONE);
    ip('addr', 'add', `${MACHINE}/24`, 'dev', CABLE);
    ip('link', 'set', CABLE, 'up');
    onPhone('ip', 'addr', 'add', '10.213.77.2/24', 'dev', 'cable');
    for (const device of ['cable', 'lo']) onPhone('ip', 'link', 'set', device, 'up');
    running = await start({ env: { NETWORK_PORT: String(PORT) } });
  });
  test.afterAll(async () => {
    await running?.kill('SIGTERM');
    if (!running) return;
    ip('netns', 'del', PHONE);
    rmSync(folder, { recursive: true, force: true });
  });

  /** What the phone is answered; the code with which curl ended where it is not 0. */
  const curl = (...args: string[]): Promise<{ ended: number; said: string }> =>
    new Promise((resolve) => {
      const all = ['netns', 'exec', PHONE, 'curl', '-sS', '--max-time', '5', ...args];
      execFile('ip', all, { encoding: 'utf8' }, (error, stdout) =>
        resolve({ ended: (error?.code as number | undefined) ?? 0, said: stdout }),
      );
    });
  const trusting = (...args: string[]) =>
    curl('--cacert', join(folder, 'authority.pem'), '-b', join(folder, 'jar'), '-c', join(folder, 'jar'), ...args);
  const sent = (body: object) => ['-H', 'content-type: application/json', '-d', JSON.stringify(body)];

  test('trusts, pairs, drops off, comes back from elsewhere, and finds the machine at another address', async ({ request }) => {
    const put = async (path: string, data: object) => (await (await request.put(running!.url + path, { data })).json()) as Access;
    const code = async () => ((await (await request.post(running!.url + routes.accessCode)).json()) as { code: string }).code;
    const devices = async () => ((await (await request.get(running!.url + routes.access)).json()) as Access).devices;
    const openNow = () => put(routes.accessNetwork, { open: true, sessionDays: 30 });
    await put(routes.accessPassphrase, { passphrase: PASSPHRASE, endOthers: false });
    const home = `https://${MACHINE}:${PORT}`;
    expect((await curl('-k', home)).ended).toBe(7);
    const { network } = await openNow();
    expect(network.addresses).toContain(home);

    await test.step('trusts it only once it was told', async () => {
      // 60: the certificate could not be checked (curl's list of exit codes).
      expect((await curl(home + routes.access)).ended).toBe(60);
      await curl('-o', join(folder, 'authority.crt'), `http://${MACHINE}:${PORT + 1}/authority.crt`);
      const seen = execFileSync('openssl', ['x509', '-inform', 'DER', '-in', join(folder, 'authority.crt'), '-fingerprint', '-sha256'], {
        encoding: 'utf8',
      });
      expect(seen).toContain(network.fingerprint);
      writeFileSync(join(folder, 'authority.pem'), seen);
      expect((await trusting(home + routes.access)).said).toBe('{"isIn":false,"asksName":false}');
    });

    await test.step('is let in by a code', async () => {
      expect((await trusting(home + routes.today)).said).toContain('"not-in"');
      await trusting(...sent({ code: await code(), name: 'Phone' }), home + routes.accessPair);
      expect((await trusting('-o', '/dev/null', '-w', '%{http_code}', home + routes.today)).said).toBe('200');
    });

    await test.step('drops off, and comes back from another address', async () => {
      ip('link', 'set', CABLE, 'down');
      expect((await trusting('--max-time', '1', home + routes.today)).ended).not.toBe(0);
      ip('link', 'set', CABLE, 'up');
      onPhone('ip', 'addr', 'del', '10.213.77.2/24', 'dev', 'cable');
      onPhone('ip', 'addr', 'add', '10.213.77.9/24', 'dev', 'cable');
      await expect.poll(async () => (await trusting('-o', '/dev/null', '-w', '%{http_code}', home + routes.today)).said).toBe('200');
      expect(await devices()).toMatchObject([{ name: 'Phone', seenFrom: '10.213.77.9' }]);
    });

    await test.step('finds the machine by its name', () => {
      const asking = `import m from ${JSON.stringify(join(HERE, '../node_modules/multicast-dns/index.js'))};
        const line = m({ interface: '10.213.77.9', bind: '0.0.0.0' });
        line.on('response', ({ answers }) => answers.some((a) => a.type === 'A' && a.data === '${MACHINE}') && (console.log('found'), process.exit()));
        setInterval(() => line.query(process.argv[1], 'A'), 300);
        setTimeout(() => process.exit(1), 20000);`;
      const name = `${hostname().split('.')[0]!.toLowerCase()}.local`;
      expect(onPhone(process.execPath, '--input-type=module', '-e', asking, name).trim()).toBe('found');
    });

    await test.step('the machine has another address: its certificate is for that one, the authority is the same', async () => {
      ip('addr', 'del', `${MACHINE}/24`, 'dev', CABLE);
      ip('addr', 'add', '10.213.77.50/24', 'dev', CABLE);
      const moved = (await openNow()).network;
      const there = `https://10.213.77.50:${PORT}`;
      expect(moved.addresses).toContain(there);
      expect(moved.fingerprint).toBe(network.fingerprint);
      // What lets a device in belongs to the address it was given at: at another one it comes in anew.
      await expect.poll(async () => (await trusting(there + routes.today)).said).toContain('"not-in"');
      await trusting(...sent({ passphrase: PASSPHRASE, name: 'Phone, anew' }), there + routes.accessSignIn);
      expect((await trusting('-o', '/dev/null', '-w', '%{http_code}', there + routes.today)).said).toBe('200');
    });
  });
});
