import { routes, type KeptOffer } from '@bright-keeper/contract';
import { fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { idOf } from '../../testing/kept';
import { endPage, showPage } from '../../testing/page';
import { settingsIn } from '../../testing/settings';
import { OfferPage } from './OfferPage';
import { addressOf, offerViewFrom } from './offerView';

afterEach(endPage);
const show = (address = '/offer', offers: KeptOffer[] = []) =>
  showPage(OfferPage, '/offer', address, { [`GET ${routes.settings}`]: settingsIn('NOK'), [`GET ${routes.offers}`]: { offers } });

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
    expect(view).toEqual({ trouble: 'fungus', where: 'unsure', how: 'unsure', hands: 'workshop', own: {}, seen: null, answer: null });
    // A way another trouble shows is none of this one; odds beyond all are none.
    expect(offerViewFrom(new URLSearchParams('trouble=marks&how=web&of-clean=101&of-harm=x'))).toMatchObject({ how: 'unsure', own: {} });
    expect(offerViewFrom(new URLSearchParams('clean=100&asked=1e99')).answer).toBeNull();
    const plain = offerViewFrom(new URLSearchParams('clean=100&asked=50'));
    expect(offerViewFrom(new URLSearchParams('clean=100&asked=50&deep=1e99&ring=&wipe=-1'))).toEqual(plain);
  });

  it('asks what one sees of that trouble, and nothing that has no part in it', async () => {
    const page = show('/offer?clean=300&asked=100');
    fireEvent.click(screen.getByRole('button', { name: 'Marks on the glass' }));
    expect(screen.queryByText(/Whose hands/)).toBeNull();
    expect(screen.queryByText('A torch through it: where does it lie?')).toBeNull();
    expect(screen.queryByLabelText(/^Opening one ring/)).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'A scratch a nail feels' }));
    expect(page.address()).toContain('how=deep-scratch');
    fireEvent.click(screen.getByRole('button', { name: /^All that may come of it/ }));
    expect(screen.getByText('stays, and lowers the price')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Fungus' }));
    // What was chosen of the other trouble is not carried along.
    expect(page.address()).not.toContain('how=');
    expect(await screen.findByText(/growth spreads/)).toBeTruthy();
  });

  it('takes one’s own odds, and ours again', () => {
    const page = show('/offer?clean=300&asked=150&where=front&how=web');
    expect(screen.queryByText('At this price the risk is bearable')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: /^Your own odds/ }));
    fireEvent.change(screen.getByLabelText(/^Of 100 like it: comes off without a trace/), { target: { value: '100' } });
    expect(page.address()).toContain('of-clean=100');
    expect(screen.getByText('At this price the risk is bearable')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Take ours again' }));
    expect(page.address()).not.toContain('of-clean');
    expect(screen.queryByText('At this price the risk is bearable')).toBeNull();
  });

  const KEPT: KeptOffer = {
    id: idOf(1),
    version: 2,
    name: 'Ostrane 58/1.4',
    note: 'at the fair',
    trouble: 'fungus',
    where: 'front',
    how: 'web',
    hands: 'workshop',
    sums: { clean: 300, asked: 80, wipe: 5, ring: 30, deep: 120 },
    own: {},
    state: 'open',
    itemId: null,
    createdAt: '2026-03-10T10:00:00.000Z',
    updatedAt: '2026-03-10T10:00:00.000Z',
  };

  it('that is kept stands in the list with how its price stands, and is bought or declined only as it is kept', async () => {
    show(addressOf(KEPT), [KEPT]);
    expect((await screen.findByRole('list', { name: 'Offers kept' })).textContent).toMatch(
      /fungus: a web over part of it; 80 NOK asked, bearable/,
    );
    expect(screen.getByRole('button', { name: 'Bought: put it on the shelf' })).toBeTruthy();
    fireEvent.change(screen.getByLabelText(/^What is asked for this one/), { target: { value: '200' } });
    expect(screen.queryByRole('button', { name: /^Bought/ })).toBeNull();
    expect(screen.getByText(/^Keep it as it stands first/)).toBeTruthy();
  });

  it('that is over leads to the shelf, and cannot be bought again', async () => {
    show(addressOf(KEPT), [{ ...KEPT, state: 'bought', itemId: idOf(7) }]);
    expect((await screen.findByRole('link', { name: 'On the shelf' })).getAttribute('href')).toBe(`/gear/${idOf(7)}`);
    expect(screen.queryByRole('button', { name: /^Bought/ })).toBeNull();
  });
});
