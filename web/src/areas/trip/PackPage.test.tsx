import { routes, type Supply } from '@bright-keeper/contract';
import { inWords } from '@bright-keeper/words';
import { fireEvent, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, showPage } from '../../testing/page';
import { kitViewFrom, recalled, timeWords } from './kitView';
import { PackPage } from './PackPage';

afterEach(endPage);

function show(address = '/outings/pack', kept = new Map<string, string | null>(), drawer: Partial<Supply>[] = [], outings: object[] = []) {
  const page = showPage(
    PackPage,
    '/outings/pack',
    address,
    { [`GET ${routes.supplies}`]: { supplies: drawer, isAll: false, along: null }, [`GET ${routes.outings}`]: outings },
    {
      recall: (key) => kept.get(key) ?? null,
      remember: (key, value) => void kept.set(key, value),
    },
  );
  return { ...page, kept };
}
const bag = () => within(screen.getByRole('heading', { name: 'Into the bag' }).closest('section')!);

describe('packing', () => {
  it('says what to take to a place, and changes with the place, the weather and how one travels', () => {
    const page = show('/outings/pack?ground=shore&days=2');
    expect(bag().getByText('half a litre of fresh water')).toBeTruthy();
    expect(bag().getByText('sealed wet wipes')).toBeTruthy();
    expect(screen.getByText(/^Without any of it about .* of trouble are to be expected; with it/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'By air' }));
    expect(bag().queryByText('sealed wet wipes')).toBeNull();
    expect(screen.getByText(/^Left at home: sealed wet wipes/)).toBeTruthy();
    expect(screen.getByText(/dangerous-goods rules decide: ask them before you go/)).toBeTruthy();
    expect(bag().queryByText('rain cover')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Rain or showers' }));
    expect(bag().getByText('rain cover')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Shore' }));
    fireEvent.click(screen.getByRole('button', { name: 'Night sky' }));
    expect(bag().getByText('red light')).toBeTruthy();
    expect(page.address()).toContain('night-sky');
  });

  it('reckons with how one takes pictures, by the outings that are over and were counted, and says so', async () => {
    const out = (from: string, more: object) => ({ from, to: from, frames: null, lensChanges: null, ...more });
    const counted = [out('2020-03-01', { frames: 900, lensChanges: 6 }), out('2020-03-02', { frames: 700 }), out('2020-03-03', {})];
    // One that is to come was not counted, whatever is written there.
    show('/outings/pack?ground=town', new Map(), [], [...counted, out('2999-01-01', { frames: 9 })]);
    fireEvent.click(await screen.findByRole('button', { name: /^What this is reckoned from/ }));
    expect(await screen.findByText(/you take about 800 frames and 6\.0 lens changes a day/)).toBeTruthy();
  });

  it('keeps within what one would carry, and says what is then not met', () => {
    show('/outings/pack?ground=boat&massG=0');
    expect(screen.getByText('Nothing fits')).toBeTruthy();
    expect(screen.getByText(/^Not met by anything in it: /)).toBeTruthy();
    fireEvent.change(screen.getByLabelText(/^Weight at most/), { target: { value: '300' } });
    expect(screen.getByText(/^\d+ things, \d+ g/).textContent).toMatch(/things, (2\d\d|300) g/);
    fireEvent.change(screen.getByLabelText(/^Weight at most/), { target: { value: '1500' } });
    expect(screen.getAllByText('no limit')).toHaveLength(3);
  });

  it('knows what lies in the drawer and in the kit that goes along, and does not ask for it', async () => {
    const thing = (of: Supply['thing'], kit: string | null) =>
      ({ id: `${of}/${kit}`, thing: of, state: 'clean', stock: null, usesSinceWash: 0, kit }) as Supply;
    show('/outings/pack?ground=shore&days=2&kit=Belt+pouch', new Map(), [thing('bulb-blower', 'Belt pouch'), thing('shell-brush', null)]);
    expect(await screen.findByText('in the kit “Belt pouch”')).toBeTruthy();
    expect(bag().getByText('in the drawer')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /hand blower/ })).toBeNull();
  });

  it('remembers what is in the bag and what one has', () => {
    const { kept } = show();
    const to = screen.getByText(/to go$/).textContent;
    fireEvent.click(bag().getByRole('checkbox', { name: /hand blower/ }));
    expect(screen.getByText(/to go$/).textContent).not.toBe(to);
    fireEvent.click(screen.getByRole('button', { name: 'About 45 €: spare cells, their contacts covered' }));
    expect(kept.get('kit-packed')).toBe('["blower"]');
    expect(kept.get('kit-owned')).toBe('["spare-cell"]');
    endPage();
    show('/outings/pack', kept);
    expect(bag().getByRole<HTMLInputElement>('checkbox', { name: /hand blower/ }).checked).toBe(true);
    expect(screen.getByRole('button', { name: 'You have it: spare cells, their contacts covered' })).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Unpack all of it' }));
    expect(kept.get('kit-packed')).toBeNull();
  });

  it('takes no address at its word', () => {
    expect(
      kitViewFrom(new URLSearchParams('ground=moon,toString&days=-3&weather=fire&travel=constructor&massG=x&price=1e9&volumeL=-1')),
    ).toEqual({
      grounds: ['town'],
      days: 1,
      weather: [],
      travel: 'own-way',
      limits: {},
      kit: null,
    });
    expect(recalled('{"a":1}')).toEqual([]);
    expect(recalled('not json')).toEqual([]);
    expect(recalled('["blower","__proto__"]')).toEqual(['blower']);
  });

  it('reads times and lists as one says them', () => {
    expect([0.4, 12.3, 95, 700].map(timeWords)).toEqual(['under a minute', 'about 12 min', 'about 1.6 h', 'about 12 h']);
    expect([inWords([]), inWords(['a']), inWords(['a', 'b', 'c'])]).toEqual(['', 'a', 'a, b and c']);
  });
});
