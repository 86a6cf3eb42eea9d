import { routes, type Settings } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { queryClient } from '../../api/client';
import { keys } from '../../api/keys';
import { endPage, Refusal, showPage, type Handler } from '../../testing/page';
import { SettingsPage } from './SettingsPage';

afterEach(endPage);

const settings: Settings = {
  version: 4,
  schools: care.DEFAULT_SCHOOLS,
  timeZone: 'Europe/Lisbon',
  currency: 'EUR',
  sensorRehearsedOn: null,
  drawerIsAll: false,
};
const show = (put: Handler, start: Partial<Settings> = {}) =>
  showPage(SettingsPage, '/settings', '/settings', {
    [`GET ${routes.settings}`]: { ...settings, ...start },
    [`PUT ${routes.settings}`]: put,
  });
const save = () => screen.getByRole('button', { name: 'Save' });
const currency = () => screen.getByLabelText<HTMLInputElement>(/^Currency/);

describe('Settings', () => {
  it('saves what was changed, whole and with its version', async () => {
    const page = show((body: unknown) => ({ ...(body as Settings), version: 5 }));
    fireEvent.change(await screen.findByLabelText(/^Currency/), { target: { value: 'NOK' } });
    fireEvent.click(save());
    expect(await screen.findByText('Saved.')).toBeTruthy();
    expect(page.written()[0]!.body).toMatchObject({ version: 4, currency: 'NOK', timeZone: 'Europe/Lisbon' });
  });

  it('has everything that follows from schools and zone asked for anew', async () => {
    show((body: unknown) => ({ ...(body as Settings), version: 5 }));
    await screen.findByLabelText(/^Currency/);
    for (const key of [keys.today, keys.item('i'), keys.schedule]) queryClient.setQueryData(key, {});
    fireEvent.change(currency(), { target: { value: 'NOK' } });
    fireEvent.click(save());
    await screen.findByText('Saved.');
    const isStale = (key: readonly unknown[]) => queryClient.getQueryState(key)!.isInvalidated;
    expect([keys.today, keys.item('i'), keys.schedule, keys.settings].map(isStale)).toEqual([true, true, true, false]);
  });

  it('says beside its field what cannot be, keeps it, and sends nothing', async () => {
    const page = show(() => settings);
    fireEvent.change(await screen.findByLabelText(/^Currency/), { target: { value: 'eu' } });
    fireEvent.click(save());
    expect(await screen.findByText('Write a currency as three capitals, like EUR.')).toBeTruthy();
    expect(currency().value).toBe('eu');
    expect(page.written()).toEqual([]);
  });

  it.each([
    ['Take the newer ones', 'GBP', []],
    ['Keep mine', 'NOK', [{ version: 9, currency: 'NOK' }]],
  ] as const)('offers what was saved elsewhere in the meantime: %s', async (choice, wanted, sent) => {
    const theirs = { ...settings, version: 9, currency: 'GBP' };
    const page = show((body: unknown) => {
      const mine = body as Settings;
      return mine.version === 9 ? { ...mine, version: 10 } : new Refusal({ status: 409, code: 'stale', current: theirs });
    });
    fireEvent.change(await screen.findByLabelText(/^Currency/), { target: { value: 'NOK' } });
    fireEvent.click(save());
    fireEvent.click(await screen.findByRole('button', { name: choice }));
    await waitFor(() => expect(currency().value).toBe(wanted));
    await waitFor(() =>
      expect(
        page
          .written()
          .slice(1)
          .map((c) => c.body),
      ).toMatchObject(sent),
    );
  });

  it('asks for the practice run once more when it is told to', async () => {
    const page = show((body: unknown) => body, { sensorRehearsedOn: '2026-03-01' });
    fireEvent.click(await screen.findByRole('button', { name: 'Ask for it once more' }));
    expect(screen.getByText(/^Not done yet/)).toBeTruthy();
    fireEvent.click(save());
    await waitFor(() => expect(page.written()[0]!.body).toMatchObject({ sensorRehearsedOn: null }));
  });

  it('tells of every school what it chooses and why', async () => {
    show(() => settings);
    await screen.findByLabelText(/^Currency/);
    for (const id of care.SCHOOL_IDS) {
      const { name, choices } = care.schoolFacts(id);
      expect(screen.getByText(name, { selector: 'span' })).toBeTruthy();
      expect(screen.getAllByText(choices[care.DEFAULT_SCHOOLS[id]]!.reason).length).toBeGreaterThan(0);
    }
  });
});
