import { routes, type HomesPage as HomesData } from '@bright-keeper/contract';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, Refusal, showPage, type Handler } from '../../testing/page';
import { HomesPage } from './HomesPage';

afterEach(endPage);

type Found = Extract<HomesData, { found: true }>;
const [shelf, cabinet] = [
  { id: 's', name: 'Damp shelf' },
  { id: 'c', name: 'Dry cabinet' },
];
const move = (id: string, more: Partial<Found['moves'][number]> = {}): Found['moves'][number] => ({
  itemId: id,
  name: `Lens ${id}`,
  from: shelf,
  to: cabinet,
  aside: false,
  against: { says: 'air', meanPct: 74, below90Pct: 80 },
  reasons: [
    { says: 'air', meanPct: 43, below90Pct: 45 },
    { says: 'room', freeL: 5 },
    { says: 'trade-off', kind: 'dry-cabinet' },
  ],
  ...more,
});
const homes = (more: Partial<Found> = {}): Found => ({
  found: true,
  proven: true,
  unmeasured: [],
  moves: [],
  stay: 4,
  noRoom: [],
  more: [],
  ...more,
});
const show = (data: HomesData, more: Record<string, Handler> = {}) =>
  showPage(HomesPage, '/storage/homes', '/storage/homes', {
    [`GET ${routes.homes}`]: data,
    [`GET ${routes.places}`]: { places: [shelf] },
    ...more,
  });

describe('where everything should live', () => {
  it('tells what goes the same way as one carry, why, and moves it all in one tap', async () => {
    const page = show(homes({ moves: [move('1'), move('2'), move('3', { from: null, against: null })] }), {
      [`PUT ${routes.itemPlace('1')}`]: [],
      [`PUT ${routes.itemPlace('2')}`]: [],
    });
    expect(await screen.findByRole('heading', { name: 'From Damp shelf to Dry cabinet' })).toBeTruthy();
    expect(
      screen.getByText(
        'Damp shelf: 74 % on average, below 80 % nine days in ten. Dry cabinet: 43 % on average, below 45 % nine days in ten. With everything at home about 5 L stay free.',
      ),
    ).toBeTruthy();
    expect(screen.getByText(/^4 things are at home already\. .* by these measures no other way is better\./)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'I moved all 2' }));
    await waitFor(() =>
      expect(page.written()).toEqual([
        { method: 'PUT', path: routes.itemPlace('1'), body: { placeId: 'c', since: null } },
        { method: 'PUT', path: routes.itemPlace('2'), body: { placeId: 'c', since: null } },
      ]),
    );
  });

  it('moves one by itself; a refusal is told where it was tried', async () => {
    const page = show(homes({ moves: [move('1'), move('2')] }), {
      [`PUT ${routes.itemPlace('2')}`]: new Refusal({ status: 404, code: 'item-not-found', title: 'There is no such thing' }),
    });
    fireEvent.click(await screen.findByRole('button', { name: 'I moved it: Lens 2' }));
    expect(await screen.findByText('There is no such thing')).toBeTruthy();
    expect(page.written()).toHaveLength(1);
  });

  it('sends what has fungus to a place apart, and says what has to wait for room', async () => {
    show(homes({ moves: [move('1', { to: null, reasons: [] }), move('2', { aside: true })] }));
    expect(await screen.findByRole('heading', { name: 'From Damp shelf to a place apart' })).toBeTruthy();
    expect(screen.getByText(/^What has fungus must not stay with the others/)).toBeTruthy();
    expect(screen.getByText(/put it aside meanwhile/)).toBeTruthy();
  });

  it('says that nothing is better only of what was proven', async () => {
    show(homes({ proven: false }));
    expect(await screen.findByText(/^No clearly better way was found\./)).toBeTruthy();
    expect(screen.getByText('A good way, and it was not proven that no other is better.')).toBeTruthy();
    endPage();
    show(homes());
    expect(await screen.findByText(/^Nothing would live clearly better elsewhere\. 4 things are at home already\./)).toBeTruthy();
    endPage();
    show({ found: false, unmeasured: [] });
    expect(await screen.findByText(/were not found in the time/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Try again' })).toBeTruthy();
    endPage();
    show(homes({ stay: 0 }));
    expect(await screen.findByText('Nothing is on the shelf yet that could live anywhere.')).toBeTruthy();
  });

  it('names what has no home, what one more place would bring, and where nothing is known of the air', async () => {
    const more: Found['more'] = [
      { kind: 'sealed-box', volumeL: 40, gelG: 300, things: 1 },
      { kind: 'dry-cabinet', volumeL: 80, gelG: null, things: 9 },
    ];
    show(homes({ more, noRoom: [{ id: '9', name: 'Lens 9' }], unmeasured: [shelf] }));
    const region = async (name: string) => within((await screen.findByRole('heading', { name })).closest('section')!);
    expect((await region('Without a home')).getByRole('link', { name: 'Lens 9' })).toBeTruthy();
    const one = await region('One more place');
    expect(one.getByText('A sealed box of 40 L with 300 g of silica gel would be home to 1 thing.')).toBeTruthy();
    expect(one.getByText('A dry cabinet of 80 L would be home to 9 things.')).toBeTruthy();
    expect((await region('Measured too little')).getByRole('link', { name: 'Damp shelf' })).toBeTruthy();
  });

  it('begins with a first place', async () => {
    show(homes({ stay: 0 }), { [`GET ${routes.places}`]: { places: [] } });
    expect(await screen.findByRole('link', { name: 'Add the first place' })).toBeTruthy();
  });
});
