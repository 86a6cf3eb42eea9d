import { routes, type Problem } from '@bright-keeper/contract';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { openOnServer } from '../startup/index.js';
import { SystemIds } from '../platform/index.js';
import { CuttingProxy, type Cut } from '../testing/cuttingProxy.js';
import { freshOnServer } from '../testing/freshDatabase.js';
import { namesOnShelf } from '../testing/namesOnShelf.js';
import { sequence } from '../testing/sequence.js';
import { testApp, type TestApp } from '../testing/testApp.js';

const server = inject('postgres');
const LENS = { kind: 'lens', traits: {}, notes: '', acquiredOn: null };
/** More of them: `SEEDS=500 npx vitest run --project postgres server/src/household/linesCut.test.ts`. */
const SEEDS = Number(process.env.SEEDS ?? 12);
const WRITES = 12;
const CUTS: readonly Cut[] = ['unheard', 'unanswered', 'half-answered', 'dead-unheard', 'dead-unanswered'];
/** A minute, in the running program. */
const SILENT_MS = 400;

/** A program whose lines to the database are cut at moments a seed decides, held against what it said. */
describe.runIf(server)('lines to the database that are cut', () => {
  let proxy: CuttingProxy;
  let t: TestApp;
  beforeAll(async () => {
    const direct = await freshOnServer(server);
    const folder = new URL(direct.replace('postgresql:', 'http:')).searchParams.get('host')!;
    proxy = new CuttingProxy(folder);
    const through = direct.replace(encodeURIComponent(folder), encodeURIComponent(await proxy.listen()));
    t = await testApp({ opened: await openOnServer(through, { silentMs: SILENT_MS }), ids: new SystemIds() });
  });
  /** A line that died after its answer is found out by the next who asks over it: they are told to ask again, and do. */
  const shelfWhenItAnswers = async (tries = 10): Promise<Map<string, number>> =>
    namesOnShelf(t).catch((error: unknown) => (tries > 0 ? shelfWhenItAnswers(tries - 1) : Promise.reject(error as Error)));
  afterAll(async () => {
    await t.app.close();
    proxy.close();
  });

  it.each(Array.from({ length: SEEDS }, (_, seed) => seed))(
    'lose, double and halve nothing, and no answer says what is not so: seed %i',
    async (seed) => {
      const random = sequence(seed);
      proxy.decide = (message) => {
        // At a commit as often as anywhere else: there alone is it not plain what became of it.
        const chance = /\bcommit\b/i.test(message) ? 0.35 : 0.03;
        return random() < chance ? CUTS[Math.floor(random() * CUTS.length)]! : null;
      };
      const told = await Promise.all(
        Array.from({ length: WRITES }, async (_, i) => {
          const name = `Lens ${seed}/${i}`;
          const answer = await t.http.post(routes.gear).send({ ...LENS, name });
          return { name, status: answer.status, code: (answer.body as Partial<Problem>).code ?? null };
        }),
      );
      proxy.decide = () => null;
      const there = await shelfWhenItAnswers();
      proxy.bury();
      for (const { name, status, code } of told) {
        expect([201, 503]).toContain(status);
        const times = there.get(name) ?? 0;
        if (status === 201) expect([name, times]).toEqual([name, 1]);
        else if (code === 'database-lost') expect([name, times]).toEqual([name, 0]);
        else expect([code, times <= 1]).toEqual(['database-away', true]);
      }
    },
  );

  it('leave hardly anybody in doubt', async () => {
    proxy.decide = (message) => (/\bcommit\b/i.test(message) ? 'unanswered' : null);
    // The server heard every commit, and nobody heard the server: it is asked, and each is told for sure.
    const answers = await Promise.all(['a', 'b', 'c'].map((name) => t.http.post(routes.gear).send({ ...LENS, name: `In doubt ${name}` })));
    proxy.decide = () => null;
    const there = await shelfWhenItAnswers();
    expect(answers.map((a) => a.status)).toEqual([201, 201, 201]);
    expect(proxy.cuts).toBeGreaterThan(SEEDS);
    for (const name of ['a', 'b', 'c']) expect(there.get(`In doubt ${name}`)).toBe(1);
  });
});
