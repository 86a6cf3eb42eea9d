import { routes } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { agendaOf, dutyOf, lensOf } from '../../testing/duties';
import { endPage, Refusal, showPage, type Handler } from '../../testing/page';
import { CleanPage } from './CleanPage';

afterEach(endPage);

const plan = care.planCleaning({
  item: { kind: 'lens', traits: {} },
  place: 'home',
  findings: [{ surface: 'front-glass', soil: 'fingerprint', severity: 3 }],
});
const cleaning = {
  id: 'c',
  itemId: '9',
  itemName: 'Lens 9',
  plan,
  events: [],
  startedAt: '2026-03-08T10:00:00Z',
  finishedAt: '2026-03-08T11:00:00Z',
};
const show = (duties: Parameters<typeof agendaOf>, more: Record<string, Handler> = {}) =>
  showPage(CleanPage, '/clean', '/clean', {
    [`GET ${routes.agenda}`]: agendaOf(...duties),
    [`GET ${routes.cleanings}`]: { cleanings: [] },
    ...more,
  });

const need = dutyOf('clean', {
  subject: lensOf('1'),
  facts: { says: 'need', verdict: 'clean', surfaces: [{ surface: 'front-glass', because: { reason: 'nothing-found' } }] } as never,
});
const begun = dutyOf('go-on', {
  subject: lensOf('2'),
  facts: { says: 'open-work', work: 'cleaning', id: 'open', startedAt: '2026-03-09T10:00:00Z' },
});
const openLook = dutyOf('go-on', {
  subject: lensOf('3'),
  facts: { says: 'open-work', work: 'look', id: 'look', startedAt: '2026-03-09T10:00:00Z' },
});

describe('what may be cleaned', () => {
  it('is nothing where the last looks asked for nothing: it sends one to look, not to wipe', async () => {
    show([openLook]);
    expect(await screen.findByText('Nothing asks to be cleaned')).toBeTruthy();
    expect(screen.getByText(/a clean without evidence is only wear/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Choose a thing to look at' }).getAttribute('href')).toBe('/gear');
    expect(screen.getByText('No cleaning yet.')).toBeTruthy();
  });

  it('is what a look found, by its surfaces, and what was begun, with the way on', async () => {
    show([need, begun]);
    const asked = (await screen.findByText('Asked for by the last look')).closest('section')!;
    expect(within(asked).getByText('Lens 1')).toBeTruthy();
    expect(within(asked).getByText('front glass')).toBeTruthy();
    expect(within(asked).getByRole('link', { name: 'See the plan' }).getAttribute('href')).toBe('/gear/1/plan');
    const bench = screen.getByText('On the bench').closest('section')!;
    expect(within(bench).getByRole('link', { name: 'Go on' }).getAttribute('href')).toBe('/bench/open');
    expect(screen.queryByText('Nothing asks to be cleaned')).toBeNull();
  });

  it('stands beside what was done lately, with how often the glass was touched', async () => {
    show([need], { [`GET ${routes.cleanings}`]: { cleanings: [cleaning] } });
    const lately = (await screen.findByText('Lately')).closest('section')!;
    expect(within(lately).getByText('Lens 9')).toBeTruthy();
    expect(within(lately).getByText(/0 touches$/)).toBeTruthy();
  });

  it('says why it cannot be told', async () => {
    show([], { [`GET ${routes.cleanings}`]: new Refusal({ status: 503, code: 'busy', detail: 'The database is starting anew.' }) });
    expect(await screen.findByText('The database is starting anew.')).toBeTruthy();
  });
});
