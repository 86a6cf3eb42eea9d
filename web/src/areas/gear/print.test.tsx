import { routes, type ItemPage, type ShelfItem } from '@bright-keeper/contract';
import { fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { idOf, pageOf } from '../../testing/kept';
import { endPage, showPage } from '../../testing/page';
import { settingsIn } from '../../testing/settings';
import { InventoryPage } from './InventoryPage';
import { isOwnMachine, labelBase } from './labelAddress';
import { LabelsPage } from './LabelsPage';

afterEach(endPage);

const since = '2026-01-01T00:00:00.000Z';
const one = (n: number, name: string, place: string | null, particulars: ShelfItem['particulars'] = {}): ItemPage =>
  pageOf(idOf(n), { name, place: place === null ? null : { id: idOf(90), name: place, since }, particulars });
const SHELF = [
  one(1, 'Zoom', 'Cabinet', { serial: 'A-1', paid: 900, insuredFor: 1000 }),
  one(2, 'Arc 35', 'Cabinet', { count: 2, paid: 100 }),
  one(3, 'Loose cap', null),
  one(4, 'Body', 'Bag', { insuredFor: 500, condition: 'as-new' }),
];
const table = {
  [`GET ${routes.settings}`]: settingsIn('NOK'),
  [`GET ${routes.gear}`]: { items: SHELF, nextCursor: null, total: 4 },
  [`GET ${routes.gearInventory}`]: { things: SHELF, gone: [] },
  [`GET ${routes.places}`]: { places: [{ id: idOf(90), name: 'Cabinet' }] },
};

describe('the inventory on paper', () => {
  it('stands by place, what lies nowhere last, with sums of what was told and of how many', async () => {
    showPage(InventoryPage, '/gear/inventory', '/gear/inventory', table);
    const rows = (await screen.findAllByRole('row')).map((r) => r.textContent);
    expect(rows.filter((r) => /^(Bag|Cabinet|In no place we know)$/.test(r))).toEqual(['Bag', 'Cabinet', 'In no place we know']);
    expect(rows.findIndex((r) => r.includes('Arc 35'))).toBeLessThan(rows.findIndex((r) => r.includes('Zoom')));
    expect(rows.find((r) => r.includes('Zoom'))).toMatch(/A-1.*900 NOK1,000 NOK$/);
    expect(rows.find((r) => r.includes('Arc 35'))).toContain('× 2');
    expect(rows.at(-1)).toBe('All of it: 4 lines1,000 NOK\u00a0(of\u00a02)1,500 NOK\u00a0(of\u00a02)');
  });

  it('is a page for each thing, with its number, its papers by name and its pictures', async () => {
    const file = { type: 'application/pdf', bytes: 9, blob: 'a', at: since, isFace: false };
    const files: ItemPage['files'] = [
      { ...file, id: idOf(70), role: 'receipt', name: 'Receipt 2019.pdf' },
      { ...file, id: idOf(71), role: 'picture', name: 'front.jpg', type: 'image/jpeg', blob: 'b' },
    ];
    const things = [{ ...SHELF[0]!, files, notes: 'from the estate' }, SHELF[2]!];
    showPage(InventoryPage, '/gear/inventory', '/gear/inventory?as=pages', {
      ...table,
      [`GET ${routes.gearInventory}`]: { things, gone: [] },
    });
    const [zoom, cap] = await screen.findAllByRole('article');
    expect(zoom!.textContent).toMatch(
      /Serial numberA-1.*Insured for1,000 NOK.*Lies inCabinet.*from the estate.*receipt “Receipt 2019.pdf”/,
    );
    expect(screen.getByRole('img', { name: 'Picture: front.jpg' })).toBeTruthy();
    expect(cap!.textContent).not.toMatch(/Papers|Serial/);
  });

  it('is asked for as of a day, which the address keeps and a PDF is of; a day to come is today', async () => {
    const page = showPage(InventoryPage, '/gear/inventory', '/gear/inventory?on=2026-01-15', table);
    expect(await screen.findByText(/^As of Thu,? 15 January 2026/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'As PDF' }).getAttribute('href')).toBe(routes.gearInventoryPdf('table', '2026-01-15'));
    fireEvent.change(screen.getByLabelText('As of'), { target: { value: '2026-01-10' } });
    expect(page.address()).toContain('on=2026-01-10');
    endPage();
    showPage(InventoryPage, '/gear/inventory', '/gear/inventory?on=2999-01-01', table);
    expect(await screen.findByText(/^As of /)).toBeTruthy();
    expect(screen.queryByText(/2999/)).toBeNull();
  });

  it('tells what the shelf was worth over time, and nothing of a shelf that is a day old', async () => {
    const day = (on: string, sum: number) => ({ day: on, things: 4, sum, known: 3 });
    const days = [day('2026-01-31', 1200), day('2026-02-28', 1400), day('2026-03-10', 1500)];
    showPage(InventoryPage, '/gear/inventory', '/gear/inventory', { ...table, [`GET ${routes.gearWorth}`]: { days } });
    const drawn = await screen.findByRole('img', { name: /^Worth over time: Sat,? 31 January 2026 NOK.1,200; .*NOK.1,500$/ });
    expect(drawn.querySelectorAll('rect')).toHaveLength(3);
    expect(screen.getByText(/known of 3 of 4 lines today/)).toBeTruthy();
    endPage();
    showPage(InventoryPage, '/gear/inventory', '/gear/inventory', { ...table, [`GET ${routes.gearWorth}`]: { days: days.slice(2) } });
    await screen.findAllByRole('row');
    expect(screen.queryByText('Worth over time')).toBeNull();
  });

  it('tells what is gone, what an insurer asks about first, and says so where nothing is', async () => {
    const gone = [
      { ...SHELF[1]!, gone: { why: 'sold' as const, on: '2026-02-01', for: 80 } },
      { ...SHELF[0]!, gone: { why: 'stolen' as const, on: '2026-01-01', for: null } },
    ];
    const page = showPage(InventoryPage, '/gear/inventory', '/gear/inventory?as=gone', {
      ...table,
      [`GET ${routes.gearInventory}`]: { things: SHELF, gone },
    });
    expect((await screen.findAllByRole('article')).map((a) => a.querySelector('h2')!.textContent)).toEqual([' Zoom', ' Arc 35 × 2']);
    expect(screen.getAllByRole('article')[1]!.textContent).toMatch(/Sold for80 NOK/);
    fireEvent.click(screen.getByRole('button', { name: 'A table' }));
    expect(await screen.findByText(/^All of it: 4 lines/)).toBeTruthy();
    expect(page.address()).toContain('as=table');
    endPage();
    showPage(InventoryPage, '/gear/inventory', '/gear/inventory?as=gone', table);
    expect(await screen.findByText('Nothing is gone')).toBeTruthy();
  });
});

describe('labels', () => {
  it('lead to the page of each thing, or of each place, at the address that is told', async () => {
    const page = showPage(LabelsPage, '/gear/labels', '/gear/labels?at=https://keeper.local:4871/x', table);
    expect((await screen.findAllByRole('img', { name: /^Code for / })).length).toBe(4);
    expect(screen.queryByText(/^Only this machine reaches/)).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Places' }));
    expect(screen.getAllByRole('img').length).toBe(1);
    expect(page.address()).toContain('of=places');
  });

  it('are not printed for an address that is none, and say where a phone could not follow', async () => {
    showPage(LabelsPage, '/gear/labels', '/gear/labels?at=http://localhost:4870', table);
    expect(await screen.findByText(/^Only this machine reaches http:\/\/localhost:4870/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('The address they lead to'), { target: { value: 'javascript:alert(1)' } });
    expect(screen.getByText(/^Write it whole/)).toBeTruthy();
    expect(screen.queryAllByRole('img')).toEqual([]);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Print' }).disabled).toBe(true);
  });

  it.each([
    ['https://keeper.local:4871/gear?x=1', 'https://keeper.local:4871'],
    ['http://192.168.1.7:4870', 'http://192.168.1.7:4870'],
    ['keeper.local', null],
    ['ftp://keeper.local', null],
    ['', null],
  ])('of %j lead to %j', (typed, base) => expect(labelBase(typed)).toBe(base));
  it('know this machine', () => {
    expect(['http://localhost:1', 'http://127.0.0.1', 'http://[::1]:4'].every(isOwnMachine)).toBe(true);
    expect(isOwnMachine('http://192.168.1.7')).toBe(false);
  });
});
