import { routes, type Outing } from '@bright-keeper/contract';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { idOf } from '../../testing/kept';
import { endPage, type Handler, showPage } from '../../testing/page';
import { OutingPage } from './OutingPage';
import { outingAt, packFor, rememberAsks, rememberedAsks } from './outingView';

afterEach(endPage);

const outing: Outing = {
  ...{ id: idOf(5), version: 3, name: 'North coast', from: '2026-03-09', to: '2026-03-12', place: 'mountain', also: ['shore'] },
  ...{ weather: ['wind'], travel: 'own-way', kit: 'Belt pouch', itemIds: [idOf(1)], met: [] },
  ...{ frames: null, lensChanges: null, hours: null, used: {}, note: '' },
};
const show = (told: Partial<Outing> = {}, more: Record<string, Handler> = {}, id = outing.id) =>
  showPage(
    OutingPage,
    '/outings/:id',
    `/outings/${id}`,
    {
      [`GET ${routes.outings}`]: [{ ...outing, ...told }],
      [`GET ${routes.outingAsks(outing.id)}`]: [],
      [`GET ${routes.storage}`]: { places: [], outdoors: null, ribbonDays: 30, longOwned: [] },
      [`GET ${routes.gear}`]: {
        items: [{ id: idOf(1), name: 'Lens 1', kind: 'lens', particulars: {}, belongsTo: null }],
        nextCursor: null,
        total: 1,
      },
      ...more,
    },
    { now: () => new Date('2026-03-10T10:00:00Z') },
  );
const phase = (name: string) => screen.findByRole('region', { name });

describe('one outing', () => {
  it('says where it goes and with what, and what all its grounds ask for in each phase, the one at hand marked', async () => {
    show();
    expect(await screen.findByText(/^Mountain or moor, shore; wind expected; by car, train or on foot/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Belt pouch' }).getAttribute('href')).toBe('/supplies?kit=Belt%20pouch');
    expect(within(await phase('Before you leave')).getByText('Bring fresh water and two towels.')).toBeTruthy();
    const there = within(await phase('Out there, and every evening'));
    expect(there.getByText('now')).toBeTruthy();
    expect(there.getByText(/^Turn your back to the wind/)).toBeTruthy();
    expect(within(await phase('At home again')).getByText(/Never rinse a lens or a body/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Something happened' })).toBeTruthy();
    expect(screen.queryByRole('link', { name: 'Pack for it' })).toBeNull();
  });

  it('is told what it met in one tap, and to take it back in another', async () => {
    const page = show({ met: ['sand'] }, { [`PUT ${routes.outing(outing.id)}`]: outing });
    fireEvent.click(await screen.findByRole('button', { name: 'Salt' }));
    await waitFor(() => expect(page.written()[0]?.body).toMatchObject({ version: 3, met: ['sand', 'salt'] }));
    fireEvent.click(screen.getByRole('button', { name: 'Sand' }));
    await waitFor(() => expect(page.written().at(-1)?.body).toMatchObject({ met: expect.not.arrayContaining(['sand']) }));
  });

  it('that is still to come is packed for, with all it says; by air with the word of who decides', async () => {
    show({ from: '2026-03-20', to: '2026-03-21', travel: 'flight' });
    const pack = await screen.findByRole('link', { name: 'Pack for it' });
    expect(pack.getAttribute('href')).toBe('/outings/pack?ground=mountain%2Cshore&days=2&weather=wind&travel=flight&kit=Belt+pouch');
    expect(screen.getByText(/airline’s and the authority’s dangerous-goods rules decide/)).toBeTruthy();
    expect(within(await phase('Before you leave')).getByText('now')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Salt' })).toBeNull();
  });

  it('keeps its ticks on this device', async () => {
    show();
    const tick = () => screen.findByRole<HTMLInputElement>('checkbox', { name: /^Bring fresh water/ });
    fireEvent.click(await tick());
    expect((await tick()).checked).toBe(true);
    fireEvent.click(await tick());
    expect((await tick()).checked).toBe(false);
  });

  const roof = (readings: object[]) => ({
    [`GET ${routes.storage}`]: {
      ...{ places: [], ribbonDays: 30, longOwned: [] },
      outdoors: { name: 'Roof', latest: null, forecast: { issuedAt: '2026-03-10T08:00:00Z', readings } },
    },
  });

  it('says what the station foretells, of what it says nothing, and is made ready for it in one tap', async () => {
    const page = show(
      {},
      {
        ...roof([
          { at: '2026-03-10T12:00:00Z', temperatureC: 4, humidityPct: 40, windMs: 12 },
          { at: '2026-03-11T05:00:00Z', temperatureC: -3.2, humidityPct: 40, windMs: 3 },
        ]),
        [`PUT ${routes.outing(outing.id)}`]: outing,
      },
    );
    expect(
      await screen.findByText(
        '“Roof” foretells for where it stands, 10 March to 11 March: −3 to 4 °C, wind up to 12 m/s. It says nothing of rain. It speaks of no day after 11 March.',
      ),
    ).toBeTruthy();
    // Wind it expects already.
    fireEvent.click(screen.getByRole('button', { name: 'Expect frost' }));
    await waitFor(() => expect(page.written()[0]?.body).toMatchObject({ version: 3, weather: ['wind', 'cold'] }));
  });

  it('that expects all of it has nothing more to be told; one that is over is not foretold', async () => {
    const calm = roof([{ at: '2026-03-10T12:00:00Z', temperatureC: 4, humidityPct: 40, windMs: 12, rainMmPerH: 0 }]);
    show({}, calm);
    expect(await screen.findByText(/12 m\/s, no rain\./)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Expect/ })).toBeNull();
  });

  it('ahead, says what spare caps have to fit of what comes along; things that say nothing of a thread ask for none', async () => {
    const lens = { id: idOf(1), name: 'Lens 1', kind: 'lens', particulars: { threadMm: 52, mount: 'Lantern K' }, belongsTo: null };
    const ring = { id: idOf(2), name: 'Ring', kind: 'accessory', particulars: { threadMm: 52, takesThreadMm: 67 }, belongsTo: null };
    const cap = { id: idOf(3), name: 'Cap', kind: 'accessory', particulars: { threadMm: 67, part: 'front-cap' }, belongsTo: null };
    const whole = (...items: object[]) => ({ [`GET ${routes.gear}`]: { items, nextCursor: null, total: items.length } });
    show({ from: '2026-03-20', to: '2026-03-21' }, whole(lens, ring, cap));
    expect(await screen.findByText('Spare front caps: 67 mm (by a ring on 52 mm as well), which is there.')).toBeTruthy();
    expect(screen.getByText('A spare rear cap for Lantern K.')).toBeTruthy();
  });

  it('once it is over, says what went of its kit and whether it lies at home', async () => {
    const pack = (id: string, more: object) => ({
      ...{ id, version: 1, thing: 'sealed-wipe', role: 'glass', state: 'clean', stock: 9, widthMm: null, note: '', kit: null },
      ...{ packSize: null, packPrice: null, usesSinceWash: 0, ...more },
    });
    const went = (...supplies: object[]) => ({
      [`GET ${routes.benchUses}`]: {
        uses: [{ at: '2026-03-09T18:00:00Z', takings: [{ id: 'sealed-wipe', thingId: 'w', quantity: 3 }] }],
      },
      [`GET ${routes.supplies}`]: { supplies, isAll: true, along: null },
    });
    show({ to: '2026-03-09' }, went(pack('w', { kit: 'belt pouch' }), pack('h', { stock: 30 })));
    expect(await screen.findByText('Into the kit again')).toBeTruthy();
    expect(screen.getAllByRole('listitem').map((li) => li.textContent)).toContain(
      'Sealed wet wipe: 3 wipes used, 9 wipes left; 30 wipes at home.',
    );
    expect(screen.getByRole('link', { name: 'Open the kit' }).getAttribute('href')).toBe('/supplies?kit=Belt%20pouch');
  });

  it('says what is on another outing of the same days as well', async () => {
    const other = { ...outing, id: idOf(7), name: 'South coast', from: '2026-03-11', to: '2026-03-20', kit: 'belt pouch' };
    show({}, { [`GET ${routes.outings}`]: [outing, other] });
    const link = await screen.findByRole('link', { name: 'South coast' });
    expect(link.parentElement!.textContent).toBe(
      'Also on South coast (11 Mar to 20 Mar): Lens 1 and the kit “Belt pouch”. It can be on one of them only: take it off the other, or set the days right.',
    );
  });

  it('that is gone says so', async () => {
    show({}, {}, idOf(9));
    expect(await screen.findByText('There is no such outing')).toBeTruthy();
  });

  it.each([
    ['2026-03-08', 'ahead'],
    ['2026-03-09', 'under-way'],
    ['2026-03-12', 'under-way'],
    ['2026-03-13', 'over'],
  ])('on %s is %s', (today, stands) => expect(outingAt(outing, today)).toBe(stands));

  it.each(['', 'nonsense', '{}', '["moon",1,"water-along"]'])('remembers of %j what is still asked for', (kept) => {
    expect(rememberedAsks(kept)).toEqual(kept.includes('water-along') ? ['water-along'] : []);
    expect(rememberAsks([])).toBeNull();
    expect(packFor({ ...outing, weather: [], also: [] })).toBe('/outings/pack?ground=mountain&days=4&kit=Belt+pouch');
  });
});
