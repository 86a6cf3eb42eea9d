import { routes } from '@bright-keeper/contract';
import { fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, showPage } from '../../testing/page';
import { settingsIn } from '../../testing/settings';
import { OfferPage } from './OfferPage';
import { offerViewFrom } from './offerView';

afterEach(endPage);
const show = (address = '/offer') => showPage(OfferPage, '/offer', address, { [`GET ${routes.settings}`]: settingsIn('NOK') });

describe('an offer', () => {
  it('is answered from what one sees and what is asked, and the answer moves with it', async () => {
    const page = show('/offer?where=outside&how=few-threads&clean=300&asked=60');
    expect(screen.getByText('At this price the risk is bearable')).toBeTruthy();
    expect(await screen.findByText(/A clean one costs 240 NOK more/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('What is asked for this one, NOK'), { target: { value: '290' } });
    expect(screen.getByText('Leave it at this price')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Dense, or dull patches beneath' }));
    expect(page.address()).toContain('how=dense');
    fireEvent.click(screen.getByRole('button', { name: /^All that may come of it/ }));
    expect(screen.getAllByRole('row').length).toBeGreaterThan(4);
  });

  it('is worth less in unpractised hands, and the deeper it lies', () => {
    const worth = (query: string) => offerViewFrom(new URLSearchParams(`clean=300&asked=120&${query}`)).answer!.offer.worth;
    expect(worth('hands=first-time&where=deep')).toBeLessThan(worth('hands=practised&where=deep'));
    expect(worth('where=deep')).toBeLessThan(worth('where=front'));
    expect(worth('where=front')).toBeLessThan(worth('where=outside'));
  });

  it('is of one mind: what is bearable loses no more than one time in four, and what is left is above its worth', () => {
    for (let asked = 0; asked <= 400; asked += 10) {
      const { verdict, chanceOfLoss, offer } = offerViewFrom(new URLSearchParams(`clean=300&asked=${asked}&how=web`)).answer!;
      if (verdict === 'buy') expect(chanceOfLoss).toBeLessThanOrEqual(0.25 + 1e-9);
      else expect(chanceOfLoss).toBeGreaterThan(0.25);
      if (verdict === 'bold') expect(asked).toBeLessThanOrEqual(offer.worth);
    }
  });

  it('says nothing before both prices are told', () => {
    show('/offer?clean=300');
    expect(screen.getByText(/^Say what a clean one costs and what is asked/)).toBeTruthy();
    expect(screen.queryByText(/bearable$/)).toBeNull();
    fireEvent.change(screen.getByLabelText(/^What is asked for this one/), { target: { value: '20' } });
    expect(screen.getByText('At this price the risk is bearable')).toBeTruthy();
  });

  it('takes no address at its word', () => {
    const view = offerViewFrom(new URLSearchParams('where=toString&how=__proto__&hands=x&clean=-4&asked=NaN&deep=1e99&ring='));
    expect(view).toEqual({ where: 'unsure', how: 'unsure', hands: 'workshop', answer: null });
    expect(offerViewFrom(new URLSearchParams('clean=100&asked=1e99')).answer).toBeNull();
    const plain = offerViewFrom(new URLSearchParams('clean=100&asked=50'));
    expect(offerViewFrom(new URLSearchParams('clean=100&asked=50&deep=1e99&ring=&wipe=-1'))).toEqual(plain);
  });
});
