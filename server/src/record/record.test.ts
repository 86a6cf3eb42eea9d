import { JOI_OPTIONS, REPORT_LIMITS, routes, signedReport, type ReportKeyTold } from '@bright-keeper/contract';
import { care, record } from '@bright-keeper/core';
import { Ajv2020 } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import { execFileSync } from 'node:child_process';
import { createHash, createPublicKey, verify } from 'node:crypto';
import { mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { fetchPdf } from '../testing/readPdf.js';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
let folder: string;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'bright-keeper-reports-'));
  t = await testApp({ dataDir: folder });
});
afterAll(async () => {
  await t.app.close();
  rmSync(folder, { recursive: true });
});

const ALL = record.REPORT_PARTS.join(',');
const report = async (thing: string | null, parts = ALL): Promise<record.SignedReport> =>
  (await t.http.get(routes.report(`parts=${parts}${thing === null ? '' : `&thing=${thing}`}`)).expect(200)).body as record.SignedReport;

const publicKeyOf = ({ signature }: record.SignedReport) =>
  createPublicKey({ key: { kty: 'OKP', crv: 'Ed25519', x: signature.publicKey }, format: 'jwk' });
const isWhole = (signed: record.SignedReport): boolean =>
  verify(null, Buffer.from(record.signedText(signed.report)), publicKeyOf(signed), Buffer.from(signed.signature.value, 'base64url'));

const keepPicture = async (route: string, background: string) =>
  t.http
    .post(route)
    .query({ name: 'front.jpg' })
    .set('content-type', 'application/octet-stream')
    .send(
      await sharp({ create: { width: 90, height: 60, channels: 3, background } })
        .jpeg()
        .toBuffer(),
    )
    .expect(201);

/** A lens with a past: looked at, photographed, cleaned, lent, at a workshop, its glare measured. */
async function lensWithAPast() {
  const item = await t.add('Ostrane 58/1.4', {
    particulars: { serial: 'OS-7741', paid: 310, insuredFor: 400, boughtFrom: 'A fair', maker: 'Ostrane', tags: ['mine'] },
    notes: 'from a friend',
  });
  await keepPicture(routes.itemFiles(item.id), '#456');
  const { id } = (await t.http.post(routes.looks).send({ itemId: item.id }).expect(201)).body as { id: string };
  await t.http
    .post(routes.lookPhotos(id))
    .query({ surface: 'front-glass' })
    .set('content-type', 'application/octet-stream')
    .send(
      await sharp({ create: { width: 50, height: 50, channels: 3, background: '#abc' } })
        .jpeg()
        .toBuffer(),
    )
    .expect(201);
  const answers = [
    { surface: 'front-glass', findings: [{ soil: 'fingerprint', severity: 2 }], note: '' },
    { surface: 'rear-glass', findings: [], note: 'as Mara left it' },
    { surface: 'inner-glass', findings: [{ soil: 'fungus', severity: 1, sizeMm: 4 }], note: '' },
  ];
  await t.http.put(routes.look(id)).send({ version: 1, at: null, answers }).expect(200);
  await t.http.post(routes.lookFinish(id)).send({ version: 2, at: null }).expect(200);
  await t.http.post(routes.away).send({ itemId: item.id, why: 'loan', until: null, to: 'Mara' }).expect(201);
  await t.http.post(routes.back).send({ itemId: item.id }).expect(201);
  await t.http.post(routes.away).send({ itemId: item.id, why: 'service', until: null, to: 'Brass & Son' }).expect(201);
  await t.http.post(routes.back).send({ itemId: item.id }).expect(201);
  const glare = { glarePct: 4.2, lowPct: 3.8, highPct: 4.7, blackPct: 0, fNumber: 2, iso: 100, exposureS: 0.01, body: null, style: null };
  await t.http
    .post(routes.glareTests)
    .send({ itemId: item.id, takenAt: t.clock.now().toISOString(), ...glare, note: '' })
    .expect(201);
  return item;
}

describe('a condition report', () => {
  it('tells all that is noted of a thing, and what nobody looked at', async () => {
    const item = await lensWithAPast();
    const { report: told } = await report(item.id);
    expect(told).toMatchObject({ format: 'condition-report', edition: 1, parts: [...record.REPORT_PARTS] });
    const [thing] = told.things;
    expect(Object.fromEntries(thing!.facts)).toMatchObject({ Maker: 'Ostrane', 'Serial number': 'OS-7741', Notes: 'from a friend' });
    // A tag is the keeper's own order.
    expect(JSON.stringify(told)).not.toContain('mine');
    const says = Object.fromEntries(thing!.surfaces!.map(({ surface, says }) => [surface, says]));
    expect(says['front-glass']).toContain('Fingerprint (light)');
    expect(says['rear-glass']).toBe('Nothing found.');
    expect(says['inner-glass']).toContain('Fungus inside (trace, up to 4 mm across).');
    expect(says['barrel']).toBe('Not looked at.');
    expect(thing!.air).toEqual(['No place it lay in was measured.']);
    expect(thing!.care!.map(({ what }) => what)).toContain('Looked at 3 surfaces');
    // Whom it was lent to is nobody else's; what was typed at a look is a note, which was chosen here.
    expect(JSON.stringify(told).replaceAll('as Mara left it', '')).not.toContain('Mara');
    expect(JSON.stringify(told)).toContain('as Mara left it');
    expect(JSON.stringify(await report(item.id, ALL.replace(',notes', '')))).not.toContain('Mara');
    expect(thing!.opened!.map(({ what, lines }) => [what, lines[0]])).toEqual([
      ['At a workshop (Brass & Son)', expect.stringMatching(/^Back on .*What was done there is not told by this\.$/)],
    ]);
    expect(thing!.measured!.map(({ what }) => what)).toEqual(['Veiling glare 4.2 % (3.8 % to 4.7 %)']);
    expect(thing!.photographs!.map(({ of }) => of)).toEqual(['The whole thing', 'Front glass']);
    const drawn = await sharp(Buffer.from(thing!.photographs![1]!.jpeg, 'base64')).metadata();
    expect([drawn.format, drawn.width, drawn.exif]).toEqual(['jpeg', 50, undefined]);
  });

  it('says who had it open: the keeper, too', async () => {
    const item = await t.add('Ostrane 50', { traits: { yearMade: 1960 } });
    const { id, stages, version } = (await t.http.post(routes.teardowns).send({ itemId: item.id, depth: 'front-group' }).expect(201))
      .body as {
      id: string;
      stages: unknown[];
      version: number;
    };
    await t.http.post(routes.teardownFinish(id)).send({ version });
    const { report: told } = await report(item.id, 'opened');
    const ended = (await t.http.get(routes.itemLog(item.id)).query({ limit: 10 })).body as { entries: { data: { kind: string } }[] };
    // A teardown ends only once it is closed again: what the log has of it, the report has.
    expect(told.things[0]!.opened!.length).toBe(ended.entries.filter(({ data }) => data.kind === 'opened').length);
    expect(stages).toBeDefined();
  });

  it('shows what was chosen and nothing else', async () => {
    const item = await t.add('Zoom', {
      particulars: { serial: 'Z-9', paid: 900, insuredFor: 1000, boughtFrom: 'Harbour Optics' },
      notes: 'a secret',
    });
    for (const [parts, not] of [
      ['', /Z-9|900|1,000|Harbour|secret/],
      ['serial', /900|1,000|Harbour|secret/],
      ['prices', /Z-9|secret/],
      ['notes,surfaces,photographs,air,care,opened,measured', /Z-9|900|1,000|Harbour/],
    ] as const) {
      const signed = await report(item.id, parts);
      expect(JSON.stringify(signed), parts).not.toMatch(not);
      expect(signed.report.parts.join(','), parts).toBe(record.REPORT_PARTS.filter((part) => parts.split(',').includes(part)).join(','));
    }
    const bare = await report(item.id, '');
    expect(Object.keys(bare.report.things[0]!).sort()).toEqual(['facts', 'kind', 'name', 'notedSince', 'traits']);
    await t.http.get(routes.report('parts=serial,everything')).expect(400);
    await t.http.get(routes.report('thing=11111111-1111-4111-8111-111111111111&parts=')).expect(404);
  });

  it('of the whole shelf has a part for each thing, and of one that is gone tells so', async () => {
    const all = await report(null, 'surfaces');
    expect(all.report.things.map(({ name }) => name)).toEqual(expect.arrayContaining(['Ostrane 58/1.4', 'Zoom']));
    const sold = await t.add('Sold 35', {});
    await t.http
      .post(routes.itemArchive(sold.id))
      .send({ version: 1, gone: { why: 'sold', on: t.clock.now().toISOString().slice(0, 10), for: 250 } })
      .expect(200);
    expect((await report(null, '')).report.things.map(({ name }) => name)).not.toContain('Sold 35');
    const own = await report(sold.id, '');
    expect(own.report.things[0]!.facts.map(([name]) => name)).toContain('Sold');
    expect(JSON.stringify(own)).not.toContain('250');
  });

  it('tells a clean and what was touched by it', async () => {
    const item = await t.add('Cleaned 40', {});
    await t.look(item.id, { 'front-glass': { fingerprint: 3 } });
    const { id, plan, version } = await t.startCleaning(item.id);
    const events = care.workThrough(plan, ['clean-enough']);
    await t.http.put(routes.cleaning(id)).send({ version, events }).expect(200);
    await t.http
      .post(routes.cleaningFinish(id))
      .send({ version: version + 1 })
      .expect(200);
    const { report: told } = await report(item.id, 'care');
    expect(told.things[0]!.care!.map(({ what }) => what)).toEqual(['Cleaned at the bench', 'Looked at 1 surface']);
  });
});

describe('its signature', () => {
  it('is of the household, which keeps its key where nobody else reads it, and no copy carries it', async () => {
    const first = await report(null, 'serial');
    const again = await report(null, 'surfaces');
    expect(again.signature.publicKey).toBe(first.signature.publicKey);
    const { publicKey, fingerprint } = (await t.http.get(routes.reportKey).expect(200)).body as ReportKeyTold;
    expect(publicKey).toBe(first.signature.publicKey);
    expect(fingerprint).toBe(createHash('sha256').update(Buffer.from(publicKey, 'base64url')).digest('hex'));
    expect(statSync(join(folder, 'reports', 'key.pem')).mode & 0o777).toBe(0o600);
    // Another household has another one, and the same folder the same one again.
    const other = await testApp({ dataDir: folder });
    const elsewhere = await testApp();
    expect(((await other.http.get(routes.reportKey)).body as ReportKeyTold).publicKey).toBe(publicKey);
    expect(((await elsewhere.http.get(routes.reportKey)).body as ReportKeyTold).publicKey).not.toBe(publicKey);
    await other.app.close();
    await elsewhere.app.close();
  });

  it('holds by the platform and by OpenSSL (RFC 8032), and breaks with any bit of it', async () => {
    const signed = await report(null);
    expect(isWhole(signed)).toBe(true);
    const at = (name: string) => join(folder, name);
    const byOpenSsl = (text: string): boolean => {
      writeFileSync(at('key.pub'), publicKeyOf(signed).export({ type: 'spki', format: 'pem' }));
      writeFileSync(at('report.txt'), text);
      writeFileSync(at('report.sig'), Buffer.from(signed.signature.value, 'base64url'));
      try {
        const told = execFileSync(
          'openssl',
          ['pkeyutl', '-verify', '-pubin', '-inkey', at('key.pub'), '-rawin', '-in', at('report.txt'), '-sigfile', at('report.sig')],
          { stdio: ['ignore', 'pipe', 'ignore'] },
        );
        return told.toString().includes('Successfully');
      } catch {
        return false;
      }
    };
    const text = record.signedText(signed.report);
    expect(byOpenSsl(text)).toBe(true);
    expect(byOpenSsl(text.replace('fungus', 'dust'))).toBe(false);
    for (let bit = 0; bit < 512; bit += 7) {
      const value = Buffer.from(signed.signature.value, 'base64url');
      value[bit >> 3]! ^= 1 << (bit & 7);
      expect(isWhole({ ...signed, signature: { ...signed.signature, value: value.toString('base64url') } }), `bit ${bit}`).toBe(false);
    }
  });

  it('stands though the file was laid out anew or its keys come in another order (RFC 8785)', async () => {
    const signed = await report(null);
    const turned = (part: unknown): unknown =>
      Array.isArray(part)
        ? part.map(turned)
        : typeof part === 'object' && part !== null
          ? Object.fromEntries(
              Object.entries(part)
                .reverse()
                .map(([key, value]) => [key, turned(value)]),
            )
          : part;
    expect(isWhole(JSON.parse(JSON.stringify(turned(signed), null, 3)) as record.SignedReport)).toBe(true);
  });
});

describe('its forms', () => {
  it('is as its schema says (JSON Schema 2020-12, by another library), which refuses what is none', async () => {
    const schema = (await t.http.get(routes.reportSchema).expect(200)).body as object;
    const ajv = new Ajv2020({ strict: false, allErrors: true });
    addFormats.default(ajv);
    const check = ajv.compile(schema);
    const signed = await report(null);
    expect(check(signed), JSON.stringify(check.errors)).toBe(true);
    expect(check({ ...signed, more: 1 })).toBe(false);
    expect(check({ report: signed.report })).toBe(false);
    expect(check({ ...signed, report: { ...signed.report, things: [{ name: 'x' }] } })).toBe(false);
  });

  it('comes as a file and as a PDF in the same words, with its key', async () => {
    const query = `parts=${ALL}`;
    const file = await t.http.get(routes.reportJson(query)).expect(200);
    expect(file.headers['content-disposition']).toContain('condition-report.json');
    expect(isWhole(file.body as record.SignedReport)).toBe(true);
    const pages = (await fetchPdf(t, routes.reportPdf(query))).pages.join(' ');
    const { fingerprint } = (await t.http.get(routes.reportKey)).body as ReportKeyTold;
    for (const words of [
      'Ostrane 58/1.4',
      'Fungus inside (trace, up to 4 mm across)',
      'Not looked at: aperture blades',
      'At a workshop (Brass & Son)',
      fingerprint.slice(0, 4),
    ])
      expect(pages).toContain(words);
  });

  it('is whole by its own contract, however much was written down of a thing', async () => {
    const long = (n: number) => 'A word. '.repeat(n / 8).trim();
    const item = await t.add('Much written', { notes: long(4000) });
    const { id } = (await t.http.post(routes.looks).send({ itemId: item.id }).expect(201)).body as { id: string };
    const surfaces = ['front-glass', 'rear-glass', 'inner-glass', 'barrel', 'focus-ring'];
    const said = (note: string) => surfaces.map((surface) => ({ surface, findings: [], note }));
    await t.http
      .put(routes.look(id))
      .send({ version: 1, at: null, answers: said(long(2000)) })
      .expect(200);
    await t.http.post(routes.lookFinish(id)).send({ version: 2, at: null }).expect(200);
    const { version } = (await t.http.get(routes.look(id)).expect(200)).body as { version: number };
    await t.http
      .put(routes.lookCorrection(id))
      .send({ version, answers: said('Shorter.') })
      .expect(200);
    const signed = await report(item.id);
    expect(Math.max(...signed.report.things[0]!.care!.flatMap(({ lines }) => lines.map((line) => line.length)))).toBeGreaterThan(8000);
    expect(signedReport.validate(signed, JOI_OPTIONS).error).toBeUndefined();
    expect(signedReport.validate(await report(null), JOI_OPTIONS).error).toBeUndefined();
  });

  it('leaves out pictures beyond what one thing may have, and says how many', async () => {
    const item = await t.add('Much seen', {});
    for (let i = 0; i < REPORT_LIMITS.photographsOfOne + 3; i++) await keepPicture(routes.itemFiles(item.id), `rgb(${i * 15}, 20, 30)`);
    const [thing] = (await report(item.id, 'photographs')).report.things;
    expect([thing!.photographs!.length, thing!.photographsLeftOut]).toEqual([REPORT_LIMITS.photographsOfOne, 3]);
  });
});
