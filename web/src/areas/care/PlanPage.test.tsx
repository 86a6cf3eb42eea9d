import { routes, type ItemPage } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, Refusal, showPage, type Handler } from '../../testing/page';
import { settingsIn } from '../../testing/settings';
import { PlanPage } from './PlanPage';

afterEach(endPage);

const seen = (surface: care.Surface, soil: care.Soil, severity: care.Severity) => ({
  surface,
  verdict: 'clean',
  findings: [{ soil, severity }],
  because: { reason: 'worth-a-touch', soil, surface },
  knownSince: '2026-03-10T10:00:00Z',
});
const thing = (surfaces: object[], more: object = {}) =>
  ({
    id: 'i',
    name: 'Corvane 35/2',
    kind: 'lens',
    traits: {},
    status: 'in-use',
    version: 3,
    openCleaningId: null,
    surfaces,
    noted: [],
    ...more,
  }) as unknown as ItemPage;
const settings = settingsIn('NOK');
const show = (item: ItemPage, query = '', more: Record<string, Handler> = {}) =>
  showPage(PlanPage, '/gear/:id/plan', `/gear/i/plan${query}`, {
    [`GET ${routes.item('i')}`]: item,
    [`GET ${routes.settings}`]: settings,
    [`GET ${routes.supplies}`]: { supplies: [], isAll: false, along: null },
    ...more,
  });
const print = thing([seen('front-glass', 'fingerprint', 3)]);
const ladder = () => screen.getByRole('list', { name: 'Touch ladder for the front glass' });

describe('a plan', () => {
  it('hangs its steps on the ladder, and strikes through what is ruled out with its reason', async () => {
    const [front] = print.surfaces;
    show(thing([{ ...front, findings: [...front!.findings, { soil: 'dust', severity: 2 }] }]));
    expect(await screen.findByText('One surface to clean, gentlest first. Stop as soon as it is clean enough.')).toBeTruthy();
    expect(within(ladder()).getByRole('link', { name: 'Damp wipe' })).toBeTruthy();
    expect(within(ladder()).getAllByText('Dry wipe', { selector: 's' }).length).toBeGreaterThan(0);
    expect(within(ladder()).getByText(/A film as plain as this only spreads under a dry cloth/)).toBeTruthy();
  });

  it('tells what it costs in the keeper’s currency', async () => {
    show(print);
    await screen.findByRole('heading', { name: 'Front glass' });
    expect(screen.getByText('Materials').parentElement!.textContent).toMatch(/NOK/);
  });

  it('shows only the schools that change this plan, with what each would change, and follows the one that is tapped', async () => {
    const page = show(print);
    fireEvent.click(await screen.findByRole('button', { name: /^Do it by another school \(\d+\)/ }));
    expect(screen.queryByText(/^Reflex mirror:/)).toBeNull();
    expect(screen.getByText('Takes alcohol-free eyeglass cleaner instead of lens fluid.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: care.schoolFacts('solvent').choices['alcohol-free']!.name }));
    await waitFor(() => expect(page.address()).toBe('/gear/i/plan?school.solvent=alcohol-free'));
    expect(within(ladder()).getAllByText(/alcohol-free eyeglass cleaner/).length).toBeGreaterThan(0);
  });

  it('folds away the schools that change nothing here', async () => {
    show(print);
    fireEvent.click(await screen.findByRole('button', { name: 'Schools that change nothing here' }));
    expect(screen.getByText(/^Reflex mirror:/)).toBeTruthy();
  });

  it('makes the plan anew in the field, and keeps what cannot be beside its field', async () => {
    const page = show(print);
    fireEvent.click(await screen.findByRole('button', { name: 'In the field' }));
    await waitFor(() => expect(page.address()).toBe('/gear/i/plan?place=field'));
    expect(within(ladder()).getByText('Sealed wet wipe')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Humidity, %'), { target: { value: '140' } });
    expect(await screen.findByText('Between 0 and 100.')).toBeTruthy();
    expect(screen.getByDisplayValue('140')).toBeTruthy();
  });

  it('leads from what it would do to a sensor to the frames that show it', async () => {
    show(thing([seen('sensor-cover', 'dust', 2)], { kind: 'mirrorless-body' }));
    expect((await screen.findByRole('link', { name: 'Its test frames' })).getAttribute('href')).toBe('/gear/i/frames');
  });

  it('starts the cleaning with the place, the weather and the schools that stand in the address', async () => {
    const page = show(print, '?place=field&wind=1&school.breath=never', { [`POST ${routes.cleanings}`]: { id: 'c' } });
    fireEvent.click(await screen.findByRole('button', { name: 'Start cleaning' }));
    await waitFor(() => expect(page.address()).toBe('/bench/c'));
    expect(page.written()[0]!.body).toMatchObject({
      itemId: 'i',
      place: 'field',
      conditions: { wind: true },
      schools: { breath: 'never' },
    });
  });

  it('says why a cleaning cannot be started, and stays', async () => {
    show(print, '', {
      [`POST ${routes.cleanings}`]: new Refusal({ status: 409, code: 'cleaning-open', title: 'A cleaning is open already' }),
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Start cleaning' }));
    expect(await screen.findByText('A cleaning is open already')).toBeTruthy();
  });

  it('offers to go on where a cleaning is open', async () => {
    show(thing([seen('front-glass', 'fingerprint', 3)], { openCleaningId: 'c9' }));
    expect((await screen.findByRole('link', { name: 'Go on at the bench' })).getAttribute('href')).toBe('/bench/c9');
  });

  it('moves what has fungus away in one tap', async () => {
    const sick = thing([{ ...seen('inner-glass', 'fungus', 2), verdict: 'isolate' }]);
    const page = show(sick, '', { [`PUT ${routes.itemStatus('i')}`]: { ...sick, status: 'quarantined' } });
    fireEvent.click(await screen.findByRole('button', { name: 'Move to quarantine' }));
    await waitFor(() => expect(page.written()[0]!.body).toEqual({ version: 3, status: 'quarantined' }));
  });

  it('says to leave a thing on which nothing was found, and to look first at one nobody looked at', async () => {
    show(thing([{ ...seen('front-glass', 'dust', 1), verdict: 'leave', findings: [] }]));
    expect((await screen.findAllByText(/^Leave it\. It is good enough/)).length).toBeGreaterThan(0);
    endPage();
    const page = show(thing([]), '', { [`POST ${routes.looks}`]: { id: 'l1', itemId: 'i' } });
    expect(await screen.findByText('It has not been looked at yet.')).toBeTruthy();
    expect(screen.getByText('Look first')).toBeTruthy();
    // Nobody knows whether it may be left; one tap begins the look that tells.
    expect(screen.queryByText(/Leave it|good enough/)).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Look at it' }));
    await waitFor(() => expect(page.address()).toBe('/look/l1'));
  });
});
