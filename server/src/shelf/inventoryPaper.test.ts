import { type ItemPage, routes } from '@bright-keeper/contract';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { fetchPdf } from '../testing/readPdf.js';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeAll(async () => (t = await testApp()));
afterAll(() => t.app.close());

const print = (as: string) => fetchPdf(t, routes.gearInventoryPdf(as));
const keepPicture = async (id: string) =>
  t.http
    .post(routes.itemFiles(id))
    .query({ name: 'front.jpg' })
    .set('content-type', 'application/octet-stream')
    .send(
      await sharp({ create: { width: 30, height: 20, channels: 3, background: '#456' } })
        .jpeg()
        .toBuffer(),
    )
    .expect(201);

describe('the inventory as a file', () => {
  it('of an empty shelf says so much, and not more', async () => {
    expect((await print('table')).pages[0]).toMatch(/^Inventory As of .*by place.* 1 of 1$/);
    expect((await print('gone')).pages).toHaveLength(1);
  });

  it('has every line by place with sums of what was told', async () => {
    const cabinet = await t.addPlace({ name: 'Oak cabinet' });
    const zoom = await t.add('Tidewell 24-70', { particulars: { serial: 'T-884', paid: 900, insuredFor: 1000 } });
    await t.add('UV 52', { kind: 'filter', particulars: { count: 6, paid: 60 } });
    await t.http.put(routes.itemPlace(zoom.id)).send({ placeId: cabinet.id, since: null }).expect(200);
    const text = (await print('table')).pages.join(' ');
    expect(text).toMatch(
      /Oak cabinet Thing Serial number Came Paid Insured for Tidewell 24-70 .*T-884 .*900 EUR 1,000 EUR 1 line 900 EUR 1,000 EUR/,
    );
    expect(text).toMatch(/In no place we know .*UV 52 × 6 .*60 EUR 1 line 60 EUR/);
    expect(text).toMatch(/All of it: 2 lines .*960 EUR 1,000 EUR\s\(of\s1\)/);
  });

  it('has a page for each thing with its pictures, and says what is gone', async () => {
    const lost = await t.add('Corvane 35/2', { particulars: { serial: 'CV-9' } });
    await keepPicture(lost.id);
    const { pages, pictures } = await print('pages');
    expect(pages).toHaveLength(3);
    expect(pictures).toBe(1);
    expect(pages.find((page) => page.includes('Corvane 35/2'))).toMatch(/Kind Lens Serial number CV-9 .*Picture: front\.jpg/);
    const { version } = (await t.http.get(routes.item(lost.id))).body as ItemPage;
    await t.http
      .post(routes.itemArchive(lost.id))
      .send({ version, gone: { why: 'stolen', on: '2026-01-05', for: null } })
      .expect(200);
    expect((await print('gone')).pages[0]).toMatch(/Lost, stolen or broken Corvane 35\/2 Kind Lens .*CV-9 .*Stolen Mon, 5 January 2026/);
    expect((await print('pages')).pages).toHaveLength(2);
  });

  it('refuses another layout with what there is', async () => {
    const { body } = await t.http.get(routes.gearInventoryPdf('poem')).expect(400);
    expect(body.fields.as).toMatch(/table.*pages.*gone/);
  });
});
