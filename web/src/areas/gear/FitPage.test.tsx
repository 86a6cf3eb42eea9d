import { routes, type FitPage as Fit, type ItemPage } from '@bright-keeper/contract';
import { screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { idOf, pageOf } from '../../testing/kept';
import { endPage, showPage } from '../../testing/page';
import { settingsIn } from '../../testing/settings';
import { FitPage } from './FitPage';
import { Fits } from './Fits';
import { Particulars } from './Particulars';
import { logWords } from '@bright-keeper/words';

afterEach(endPage);

const thing = (name: string) => ({ id: name.toLowerCase(), name });
const [LENS, BODY, ADAPTER, FILTER] = [thing('Lens'), thing('Body'), thing('Adapter'), thing('Filter')];
const NO_CAPS = { wantedCaps: [], spareCaps: [], hoodless: [], capSizes: [] };
const NOTHING: Fit = { mounts: [], nowhere: [], pairs: [], ringsToAdd: [], areRingsFewest: true, silent: 0, ...NO_CAPS };
const show = (fit: Partial<Fit>) => showPage(FitPage, '/gear/fit', '/gear/fit', { [`GET ${routes.gearFit}`]: { ...NOTHING, ...fit } });
const list = () => screen.getAllByRole('listitem').map((li) => li.textContent);

describe('what fits what', () => {
  it('says how to begin where nobody said a mount or a thread', async () => {
    show({ silent: 3 });
    expect(await screen.findByText('No mounts or threads yet')).toBeTruthy();
    expect(screen.queryByText(/nobody said/)).toBeNull();
  });

  it('says with which spare front caps every thread can be closed', async () => {
    const own = (threadMm: number) => ({ threadMm, byRing: false });
    show({
      capSizes: [
        { sizeMm: 67, owned: true, covers: [{ threadMm: 52, byRing: true }, own(67)] },
        { sizeMm: 49, owned: false, covers: [own(49)] },
      ],
    });
    expect(
      await screen.findByText(
        'Spare front caps that are there: 67 mm (by a ring on 52 mm as well). So that every thread can be closed, the fewest more: 49 mm.',
      ),
    ).toBeTruthy();
  });

  it('says what goes on what and through what, what goes nowhere, and of how many nobody said', async () => {
    const other = thing('Other');
    show({
      mounts: [
        { thing: LENS, on: BODY, through: [ADAPTER, thing('Ring')] },
        { thing: LENS, on: other, through: [] },
        { thing: thing('Second'), on: other, through: [] },
        { thing: thing('Third'), on: other, through: [] },
      ],
      nowhere: [thing('Stray')],
      silent: 1,
    });
    expect(await screen.findByText('Stray')).toBeTruthy();
    expect(list()).toEqual([
      'Lens on Body (through Adapter and Ring) and Other',
      'Second and Third on Other',
      'Stray on nothing on this shelf',
    ]);
    expect(screen.getByText('Of 1 thing nobody said a mount or a thread; it is not reckoned with.')).toBeTruthy();
  });

  it('names the fewest rings to add, and for how many pairs', async () => {
    show({ pairs: [{ filter: FILTER, before: LENS, fit: 'ring-missing', rings: [] }], ringsToAdd: [[52, 77]] });
    expect(await screen.findByText('1 step ring more: 52 to 77 mm.')).toBeTruthy();
    expect(screen.getByText(/1 pair of a filter and a lens wants it; fewer will not do\./)).toBeTruthy();
    expect(list()).toEqual(['With a step ring you do not have before Lens']);
  });

  it('promises no fewest where that was not proven', async () => {
    show({
      pairs: [{ filter: FILTER, before: LENS, fit: 'ring-missing', rings: [] }],
      ringsToAdd: [
        [52, 67],
        [67, 77],
      ],
      areRingsFewest: false,
    });
    expect(await screen.findByText('2 step rings more: 52 to 67 mm, 67 to 77 mm.')).toBeTruthy();
    expect(screen.queryByText(/fewer will not do/)).toBeNull();
  });

  it('tells filters together that come before the same lenses', async () => {
    const direct = (filter: typeof LENS, before: typeof LENS) => ({ filter, before, fit: 'direct' as const, rings: [] });
    const small = { filter: thing('Small'), before: LENS, fit: 'too-small' as const, rings: [] };
    show({ pairs: [direct(FILTER, LENS), direct(thing('Other'), LENS), small] });
    expect(await screen.findByRole('heading', { name: 'Filter and Other' })).toBeTruthy();
    expect(list()).toEqual(['As it is before Lens', 'Smaller than the thread, so that it shades the corners, of Lens']);
  });

  it('asks for no ring where none is wanted', async () => {
    show({ pairs: [{ filter: FILTER, before: LENS, fit: 'by-rings', rings: [thing('Ring')] }] });
    expect(await screen.findByText('Every filter comes before every lens it is large enough for.')).toBeTruthy();
    expect(list()).toEqual(['With rings you have before Lens (with Ring)']);
  });
});

describe('the inventory on the page of a thing', () => {
  const page = (more: Partial<ItemPage>) => {
    const item = pageOf(idOf(1), more);
    const Shown = () => (
      <>
        <Particulars item={item} />
        <Fits item={item} />
      </>
    );
    showPage(Shown, '/', '/', { [`GET ${routes.settings}`]: settingsIn('NOK') });
  };

  it('has no heading where there is nothing under it', () => {
    page({ fit: { mounts: [], threads: [{ filter: FILTER, before: thing('x'), fit: 'too-small', rings: [] }] } });
    expect(screen.queryAllByRole('heading')).toEqual([]);
  });

  it.each([
    ['the lens', LENS.id, ['Goes on Body (through Adapter)', 'Takes, as they are: Filter']],
    ['the body', BODY.id, ['Takes Lens (through Adapter)']],
    ['the adapter', ADAPTER.id, ['Brings Lens on Body (through Adapter)']],
    ['the filter', FILTER.id, ['As it is before Lens']],
  ])('tells what fits from its own side: %s', (_, id, lines) => {
    const isPart = (...parts: { id: string }[]) => parts.some((part) => part.id === id);
    const joint = { thing: LENS, on: BODY, through: [ADAPTER] };
    const pair = { filter: FILTER, before: LENS, fit: 'direct' as const, rings: [] };
    page({
      id,
      fit: { mounts: isPart(LENS, BODY, ADAPTER) ? [joint] : [], threads: isPart(FILTER, LENS) ? [pair] : [] },
    });
    expect(list()).toEqual(lines);
  });

  it('tells each particular with its unit, and where its number stands as well', async () => {
    const particulars = {
      serial: 'K 11',
      widestFNumber: 1.8,
      massG: 310,
      condition: 'as-new',
      insuredFor: 1200,
      warrantyUntil: '2031-05-06',
      tags: ['a', 'b'],
    } as const;
    page({ particulars: { ...particulars, tags: [...particulars.tags] }, sameSerial: [thing('Twin'), thing('Third')] });
    expect(await screen.findByText('1,200 NOK')).toBeTruthy();
    expect(screen.getAllByRole('definition').map((d) => d.textContent)).toEqual([
      'K 11',
      'a, b',
      'f/1.8',
      '310 g',
      'as new',
      '1,200 NOK',
      'Tue, 6 May 2031',
    ]);
    expect(screen.getByText(/The same serial number stands on/).textContent).toBe(
      'The same serial number stands on Twin and Third: one of them is mistyped, or it is the same thing twice.',
    );
  });

  it('tells in its log what stood there before', () => {
    expect(logWords({ kind: 'edited', changed: ['name', 'insuredFor'], was: { insuredFor: 900 } }, 'UTC')).toEqual({
      title: 'Edited',
      lines: ['name, insured for', 'Before, insured for: 900.'],
    });
  });
});
