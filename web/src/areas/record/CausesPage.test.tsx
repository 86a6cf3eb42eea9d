import { routes, type CausesTold, type CauseTold } from '@bright-keeper/contract';
import { screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { idOf } from '../../testing/kept';
import { endPage, showPage } from '../../testing/page';
import { settingsIn } from '../../testing/settings';
import { CausesPage } from './CausesPage';

afterEach(endPage);
const show = (causes: CausesTold) =>
  showPage(CausesPage, '/causes', '/causes', { [`GET ${routes.settings}`]: settingsIn('NOK'), [`GET ${routes.causes}`]: causes });
const TOLD: CauseTold = {
  dirt: 'loose',
  cause: { is: 'ground', ground: 'shore' },
  after: { found: 6, looks: 9, days: 18 },
  else: { found: 2, looks: 30, days: 300 },
  ratio: 50,
  low: 8.24,
  high: 400,
  name: null,
};

describe('how it got dirty', () => {
  it('is told with the numbers it stands on, and leads to what would change it', async () => {
    const place: CauseTold = {
      ...TOLD,
      dirt: 'growth',
      cause: { is: 'place', placeId: idOf(3) },
      else: { found: 0, looks: 12, days: 400 },
      high: null,
      name: 'Oak cupboard',
    };
    show({ told: [TOLD, place], weighed: 5, tooFew: 3, looks: 41 });
    expect(await screen.findByText('Dust, fibres and grains come after an outing (shore)')).toBeTruthy();
    expect(
      screen.getByText(
        'Found on 6 of 9 looks then (18 days), on 2 of 30 otherwise (300 days). 50 times as often by the day as otherwise; 8.2 to 400 times, as far as so many looks can tell.',
      ),
    ).toBeTruthy();
    expect(screen.getByText('Growth comes while it lies in Oak cupboard')).toBeTruthy();
    expect(screen.getByText(/Never found otherwise; at least 8\.2 times as often/)).toBeTruthy();
    expect(screen.getByRole('link', { name: /^The air of this place/ }).getAttribute('href')).toBe(`/storage/${idOf(3)}`);
    expect(screen.getByRole('link', { name: /^What this ground asks for/ }).getAttribute('href')).toBe('/handbook#ground-shore');
    expect(screen.getByText(/41 looks could tell.*For 3 pairs there were too few.*no proof/s)).toBeTruthy();
  });

  it.each<[string, Partial<CausesTold>, RegExp]>([
    ['too little was seen', { weighed: 0 }, /^Too little was seen yet$/],
    ['nothing stands out', { weighed: 7 }, /^Nothing stands above chance$/],
  ])('says so where %s', async (_, counts, title) => {
    show({ told: [], weighed: 0, tooFew: 2, looks: 5, ...counts });
    expect(await screen.findByText(title)).toBeTruthy();
  });
});
