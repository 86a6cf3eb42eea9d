import { routes, type BenchUses, type RungsAtTheBench, type Supply } from '@bright-keeper/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { idOf } from '../../testing/kept';
import { endPage, showPage } from '../../testing/page';
import { settingsIn } from '../../testing/settings';
import { CostsPage } from './CostsPage';
import { minutesWords, pricesOf } from './costsView';

afterEach(endPage);

const pack = (id: string, thing: Supply['thing'], packPrice: number | null, packSize: number | null) =>
  ({ id, thing, packPrice, packSize, kit: null }) as Supply;
const USES: BenchUses['uses'] = [
  {
    at: '2026-03-01T10:00:00Z',
    itemId: idOf(1),
    minutes: 65,
    touches: 3,
    followed: { wipe: 'tissue' },
    takings: [{ id: 'lens-tissue', thingId: 't', quantity: 10 }],
  },
  {
    at: '2026-02-01T10:00:00Z',
    itemId: idOf(9),
    minutes: 5,
    touches: 1,
    followed: { wipe: 'microfibre' },
    takings: [{ id: 'sealed-wipe', thingId: null, quantity: 1 }],
  },
  { at: '2020-02-01T10:00:00Z', itemId: idOf(1), minutes: 30, touches: 2, followed: { wipe: 'tissue', motion: 'spiral-out' }, takings: [] },
];
const show = (uses = USES, schools: RungsAtTheBench['schools'] = []) =>
  showPage(
    CostsPage,
    '/costs',
    '/costs',
    {
      [`GET ${routes.benchUses}`]: { uses },
      [`GET ${routes.rungsAtTheBench}`]: { rungs: [], schools },
      [`GET ${routes.supplies}`]: { supplies: [pack('t', 'lens-tissue', 6, 100)], isAll: false, along: null },
      [`GET ${routes.settings}`]: settingsIn('NOK'),
      [`GET ${routes.gear}`]: {
        items: [{ id: idOf(1), name: 'Lens 1', kind: 'lens', traits: { value: 130 }, particulars: { paid: 900 } }],
        nextCursor: null,
        total: 1,
      },
    },
    { now: () => new Date('2026-03-10T10:00:00Z') },
  );
const rows = (table: string) =>
  [...screen.getByRole('table', { name: table }).querySelectorAll('tbody tr')].map((row) =>
    [...row.querySelectorAll('td, th')].map((cell) => cell.textContent),
  );

describe('what care took', () => {
  it('is told by thing and by month, with what has no price said beside, and adds up', async () => {
    show();
    expect((await screen.findByText('2 cleans')).closest('p')!.textContent).toMatch(
      /^2 cleans: 1 h 10 min, 4 touches, NOK.0\.60 and 1 without a price used up\.$/,
    );
    expect(rows('By thing').map(([name, cleans]) => [name, cleans])).toEqual([
      ['Lens 1', '1'],
      ['A thing that is not on the shelf any more', '1'],
    ]);
    // Its worth stands above what was paid: 65 minutes for 130.
    expect(rows('By thing').map((cells) => cells.slice(-2))).toEqual([
      ['NOK\u00a0130', '50 min'],
      ['not said', 'not said'],
    ]);
    expect(rows('By month').map(([month, , time]) => [month, time])).toEqual([
      ['March 2026', '1 h 5 min'],
      ['February 2026', '5 min'],
    ]);
  });

  it('is told by school where it was done in more than one way, and of none where it was not', async () => {
    show();
    await screen.findByText('2 cleans');
    expect(rows('By school').map(([name, cleans, time]) => [name, cleans, time])).toEqual([
      ['Wipe: lens tissue', '1', '1 h 5 min'],
      ['Wipe: microfibre', '1', '5 min'],
    ]);
  });

  it('compares schools in one’s own hands, and says where they are too few', async () => {
    const choice = (name: string, successes: number, failures: number) => ({
      choice: name,
      successes,
      failures,
      mean: 0.5,
      low: 0,
      high: 1,
    });
    show(USES, [{ school: 'wipe', choices: [choice('tissue', 3, 1), choice('microfibre', 1, 2)], tells: { is: 'too-few', of: 3 } }]);
    expect(
      await screen.findByText(
        'In your hands, on what each of them was tried on, lens tissue did it 3 of 4 times and microfibre did it 1 of 3 times. Too few to tell: what shows in so few may be chance.',
      ),
    ).toBeTruthy();
  });

  it('looks back a year, or over all that is known', async () => {
    const page = show();
    fireEvent.click(await screen.findByRole('button', { name: 'All that is known' }));
    await waitFor(() => expect(page.address()).toBe('/costs?span=all'));
    expect((await screen.findByText('3 cleans')).closest('p')!.textContent).toMatch(/^3 cleans: 1 h 40 min/);
  });

  it('says so where nothing was cleaned', async () => {
    show([]);
    expect(await screen.findByText('No clean is over in this time')).toBeTruthy();
  });

  it('takes the price of the very pack, else that of another of its kind, else none', () => {
    const priceOf = pricesOf({
      supplies: [pack('a', 'lens-tissue', 6, 100), pack('b', 'lens-tissue', 9, 100), pack('c', 'sealed-wipe', null, 40)],
    });
    expect(priceOf({ id: 'lens-tissue', thingId: 'b', quantity: 1 })).toBe(0.09);
    expect(priceOf({ id: 'lens-tissue', thingId: 'gone', quantity: 1 })).toBe(0.06);
    expect(priceOf({ id: 'sealed-wipe', thingId: 'c', quantity: 1 })).toBeNull();
    expect([minutesWords(0.4), minutesWords(60), minutesWords(61.2)]).toEqual(['0 min', '1 h', '1 h 1 min']);
  });
});
