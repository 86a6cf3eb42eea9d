import { routes } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, showPage } from '../../testing/page';
import { settingsIn } from '../../testing/settings';
import { OpeningPage } from './OpeningPage';

afterEach(endPage);

const settings = settingsIn('GBP');
const show = (traits: care.Traits, query = '') =>
  showPage(OpeningPage, '/gear/:id/opening', `/gear/i/opening${query}`, {
    [`GET ${routes.item('i')}`]: {
      id: 'i',
      name: 'Old lens',
      kind: 'lens',
      traits,
      surfaces: [],
      status: 'in-use',
      version: 1,
    },
    [`GET ${routes.settings}`]: settings,
    [`POST ${routes.teardowns}`]: { id: 't' },
  });
const MANUAL = { electronicContacts: false, value: 200, servicePrice: 90 };

/** The same answer as the plan and the look give: what is never opened, one ring, and what it is worth. */
describe('open it, or not', () => {
  it('weighs the loss against the service in the keeper’s currency', async () => {
    show(MANUAL, '?soil=fungus&depth=front-group&experience=this-type');
    expect(await screen.findByText('Go: undo that one ring, slowly')).toBeTruthy();
    expect(screen.getByText('About 10 in 10 first rings go well for somebody who has done as much as you (an estimate).')).toBeTruthy();
    expect(screen.getByText('On average a spoilt one costs £10 against £90 for the service.')).toBeTruthy();
  });

  it('chooses nothing for its keeper, and says nothing before both questions are answered', async () => {
    show(MANUAL, '?soil=haze');
    expect(await screen.findByText('Two questions first')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Start the record|Open it all the same/ })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Behind the rear group' }));
    expect(await screen.findByText('First say what you have opened before: nothing is advised on a guess.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'I never opened a lens' }));
    expect(
      await screen.findByText(/The first ring is undone on a practice lens, one worth £50 or less; this one is worth £200/),
    ).toBeTruthy();
  });

  it.each([
    ['suspected radioactive glass', { ...MANUAL, radioactiveGlass: true }, /never opened or ground/],
    ['an electronic lens', { electronicContacts: true }, /Flat cables and sensors/],
  ] as const)('never opens %s, and says why', async (_, traits, why) => {
    show(traits, '?soil=haze&depth=front-group');
    expect(await screen.findByText(why)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Start the record|Open it all the same/ })).toBeNull();
  });

  it('says what to have ready, and begins the record', async () => {
    const page = show(MANUAL, '?soil=fungus&depth=rear-group&experience=this-type');
    expect(await screen.findByText(/Mark with a pencil where the ring sat/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Start the record' }));
    await waitFor(() => expect(page.address()).toBe('/teardown/t'));
    expect(page.written()[0]!.body).toEqual({ itemId: 'i', depth: 'rear-group' });
  });

  it('sends a stuck filter off first', async () => {
    show({ ...MANUAL, filterFitted: true, filterStuck: true }, '?soil=haze&depth=front-group');
    expect((await screen.findByRole('link', { name: 'Free the filter' })).getAttribute('href')).toBe('/gear/i/stuck-filter');
  });
});
