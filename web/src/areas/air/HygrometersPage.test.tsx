import { routes, type Device } from '@bright-keeper/contract';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { agendaOf, dutyOf } from '../../testing/duties';
import { endPage, Refusal, showPage, type Handler } from '../../testing/page';
import { HygrometersPage } from './HygrometersPage';

afterEach(endPage);

const CUPBOARD = '00000000-0000-7000-8000-000000000001';
const dial: Device = {
  id: 'd',
  version: 1,
  name: 'Dial',
  source: 'push',
  outdoor: false,
  placeId: CUPBOARD,
  placeName: 'Oak cupboard',
  everyMinutes: 10,
  note: '',
  intake: null,
  intakeState: null,
  lastWord: null,
  latest: { at: '2026-03-10T09:50:00.000Z', temperatureC: 20.5, humidityPct: 58.2, rawHumidityPct: 61, dewPointC: 12.1 },
  readings: 52_560,
  firstAt: '2025-03-10T00:00:00.000Z',
  silent: false,
  calibrations: [],
  driftPctPerYear: null,
  addedAt: '2025-03-10T00:00:00.000Z',
  hasToken: false,
  keyUsedAt: null,
  clockJumps: [],
};
const show = (devices: Device[], more: Record<string, Handler> = {}, address = '/hygrometers', duties = agendaOf()) =>
  showPage(
    HygrometersPage,
    '/hygrometers',
    address,
    {
      [`GET ${routes.devices}`]: { devices },
      [`GET ${routes.agenda}`]: duties,
      [`GET ${routes.places}`]: { places: [{ id: CUPBOARD, name: 'Oak cupboard' }] },
      ...more,
    },
    { now: () => new Date('2026-03-10T10:00:00Z') },
  );
const open = '/hygrometers?device=d';

describe('what a hygrometer says of itself', () => {
  const word = {
    at: '2026-03-10T09:50:00.000Z',
    batteryPct: null,
    isBatteryLow: null,
    lowSince: null,
    signalDbm: null,
    clockOffS: 0,
    setAside: null,
  };
  const poll: Device['intake'] = { by: 'poll', address: 'http://192.168.1.7/', options: {} };
  const mqtt: Device['intake'] = { by: 'mqtt', topic: 'a', humidityTopic: null, stateTopic: null, options: {} };
  const since = '2026-03-10T08:00:00.000Z';

  it.each<[string, Partial<Device>, RegExp]>([
    ['its battery', { lastWord: { ...word, batteryPct: 11.6, lowSince: since } }, /battery 12 %.*battery low since/],
    ['that it is low, where it says no more', { lastWord: { ...word, isBatteryLow: true, lowSince: since } }, /: battery low .*since/],
    ['its signal', { lastWord: { ...word, signalDbm: -74 } }, /signal −74 dBm/],
    [
      'a clock that is ahead',
      { lastWord: { ...word, clockOffS: 3600, setAside: 'in-the-future' } },
      /60 min ahead: what it tells counts for nothing/,
    ],
    ['what is late', { lastWord: { ...word, clockOffS: -7200 } }, /of 2 h before: kept back, or its clock is slow/],
    ['half a reading', { lastWord: { ...word, setAside: 'half-a-reading' } }, /a temperature or a humidity is missing/],
    [
      'that it is not there',
      { source: 'poll', intake: poll, intakeState: { fault: 'unreachable', since } },
      /It does not answer\. Is it on/,
    ],
    [
      'that the broker is not there',
      { source: 'mqtt', intake: mqtt, intakeState: { fault: 'unreachable', since } },
      /The broker does not answer/,
    ],
    [
      'that nobody here has named it',
      { source: 'poll', intake: poll, intakeState: { fault: 'from-elsewhere', since } },
      /came with a household from elsewhere/,
    ],
  ])('is shown: %s', async (_, more, words) => {
    show([{ ...dial, ...more }]);
    expect((await screen.findByRole('listitem', { name: 'Dial' })).textContent).toMatch(words);
  });
});

describe('hygrometers', () => {
  it('say what they read corrected, what they said themselves, where they lie and how much they hold', async () => {
    show([dial]);
    const row = await screen.findByRole('listitem', { name: 'Dial' });
    expect(row.textContent).toContain('Oak cupboard · pushes by itself · 52,560 readings');
    expect(row.textContent).toContain('(it says 61.0 %) · dew point 12.1 °C');
    expect(within(row).queryByText('silent')).toBeNull();
  });

  it('that are silent, or want a salt test, say so', async () => {
    const test = dutyOf('salt-test', {
      subject: { kind: 'hygrometer', id: 'd', name: 'Dial' },
      facts: { says: 'salt-test', lastAt: null },
    });
    show([{ ...dial, silent: true }], {}, '/hygrometers', agendaOf(test));
    const row = await screen.findByRole('listitem', { name: 'Dial' });
    expect(within(row).getByText('silent')).toBeTruthy();
    expect(await within(row).findByText(/^A salt test is due: It was never tested/)).toBeTruthy();
  });

  it('are asked for where there is none, and the first is added', async () => {
    const page = show([], { [`POST ${routes.devices}`]: { ...dial, id: 'new' } });
    fireEvent.click(await screen.findByRole('button', { name: 'Add a hygrometer' }));
    const form = screen.getByRole('form', { name: 'Add it' });
    fireEvent.click(within(form).getByRole('button', { name: 'Add it' }));
    await waitFor(() => expect(within(form).getByLabelText('Name').getAttribute('aria-invalid')).toBe('true'));
    expect(page.written()).toEqual([]);
    fireEvent.change(within(form).getByLabelText('Name'), { target: { value: 'Hall' } });
    fireEvent.change(within(form).getByLabelText(/every so many minutes/), { target: { value: '15' } });
    fireEvent.click(within(form).getByRole('button', { name: 'Add it' }));
    await waitFor(() => expect(page.written()[0]!.body).toMatchObject({ name: 'Hall', source: 'hand', everyMinutes: 15, placeId: null }));
    await waitFor(() => expect(page.address()).toBe('/hygrometers?device=new'));
  });

  it('keep a reading typed with a comma; one that cannot be is refused beside its field and kept', async () => {
    const page = show([dial], { [`POST ${routes.deviceReadings('d')}`]: { accepted: 1, duplicates: 0, setAside: [] } }, open);
    const form = await screen.findByRole('form', { name: 'A reading by hand' });
    fireEvent.change(within(form).getByLabelText('It reads, °C'), { target: { value: '20,5' } });
    fireEvent.change(within(form).getByLabelText('and % RH'), { target: { value: '580' } });
    fireEvent.click(within(form).getByRole('button', { name: 'Note it' }));
    await waitFor(() => expect(within(form).getByLabelText('and % RH').getAttribute('aria-invalid')).toBe('true'));
    expect(page.written()).toEqual([]);
    expect(within(form).getByLabelText<HTMLInputElement>('It reads, °C').value).toBe('20,5');
    fireEvent.change(within(form).getByLabelText('and % RH'), { target: { value: '58' } });
    fireEvent.click(within(form).getByRole('button', { name: 'Note it' }));
    await waitFor(() => expect(page.written()[0]!.body).toEqual({ at: null, temperatureC: 20.5, humidityPct: 58 }));
  });

  it('show a new key once, with how to use it', async () => {
    show([dial], { [`POST ${routes.deviceToken('d')}`]: { token: 'once-only' } }, open);
    fireEvent.click(await screen.findByRole('button', { name: 'Make a key' }));
    expect(await screen.findByText('once-only')).toBeTruthy();
    expect(screen.getByText('Copy it now: only its fingerprint is kept.')).toBeTruthy();
  });

  it('say when they last came with their key', async () => {
    show([{ ...dial, hasToken: true, keyUsedAt: '2026-03-08T10:00:00Z' }], {}, open);
    const said = await screen.findByText(/Last came with its key/);
    expect(said.querySelector('time')!.dateTime).toBe('2026-03-08T10:00:00Z');
  });

  it('lose their key when it is taken away', async () => {
    const page = show([{ ...dial, hasToken: true }], { [`DELETE ${routes.deviceToken('d')}`]: undefined }, open);
    fireEvent.click(await screen.findByRole('button', { name: 'Take its key away' }));
    expect(await screen.findByText('Its key opens nothing any more.')).toBeTruthy();
    expect(page.written().map((c) => `${c.method} ${c.path}`)).toEqual([`DELETE ${routes.deviceToken('d')}`]);
  });

  it('that were changed elsewhere in the meantime say so, and keep what was typed', async () => {
    show([dial], { [`PUT ${routes.device('d')}`]: new Refusal({ status: 409, code: 'stale', title: 'It was changed elsewhere' }) }, open);
    fireEvent.click(await screen.findByRole('button', { name: 'Edit or move' }));
    const form = screen.getByRole('form', { name: 'Save' });
    // The places come after the form: where it lies is shown all the same.
    await waitFor(() => expect(within(form).getByLabelText<HTMLSelectElement>('Lies in').value).toBe(CUPBOARD));
    fireEvent.change(within(form).getByLabelText('Name'), { target: { value: 'Dial by the door' } });
    fireEvent.click(within(form).getByRole('button', { name: 'Save' }));
    expect(await screen.findByText('It was changed elsewhere')).toBeTruthy();
    expect(within(form).getByLabelText<HTMLInputElement>('Name').value).toBe('Dial by the door');
  });
});

/** Table salt stands at 75.5 % at 20 degC (Greenspan 1977). */
describe('a salt test', () => {
  const salt = async () => {
    fireEvent.click(await screen.findByText('Salt test'));
  };
  it('says at once what it would correct, and is kept with its salt', async () => {
    const page = show([dial], { [`POST ${routes.deviceCalibrations('d')}`]: dial }, open);
    await salt();
    const keep = screen.getByRole<HTMLButtonElement>('button', { name: 'Keep this salt test' });
    expect(keep.disabled).toBe(true);
    fireEvent.change(screen.getByLabelText('it read, %'), { target: { value: '78,5' } });
    expect(screen.getByText(/^Gain 1\.000, offset -3\.0/)).toBeTruthy();
    fireEvent.click(keep);
    await waitFor(() =>
      expect(page.written()[0]!.body).toMatchObject({
        points: [{ salt: 'NaCl', temperatureC: 20, rawPct: 78.5 }],
        at: null,
      }),
    );
  });

  it('that was done earlier is told with its day, and none of tomorrow', async () => {
    const page = show([dial], { [`POST ${routes.deviceCalibrations('d')}`]: dial }, open);
    await salt();
    const test = within(screen.getByText('Keep this salt test').closest('details')!);
    fireEvent.change(test.getByLabelText('it read, %'), { target: { value: '78,5' } });
    fireEvent.click(test.getByRole('button', { name: 'Not now, earlier…' }));
    const field = test.getByLabelText<HTMLInputElement>('it was tested on');
    expect(field.value).toBe('2026-03-10T10:00');
    const keep = screen.getByRole<HTMLButtonElement>('button', { name: 'Keep this salt test' });
    fireEvent.change(field, { target: { value: '2026-03-11T10:00' } });
    expect(test.getByText('This is still to come.')).toBeTruthy();
    expect(keep.disabled).toBe(true);
    fireEvent.change(field, { target: { value: '' } });
    expect(test.getByText('Give a day and a time.')).toBeTruthy();
    fireEvent.change(field, { target: { value: '2026-03-02T18:30' } });
    fireEvent.click(keep);
    await waitFor(() => expect(page.written()[0]!.body).toMatchObject({ at: '2026-03-02T18:30:00.000Z' }));
    expect(await test.findByRole('button', { name: 'Not now, earlier…' })).toBeTruthy();
  });

  it('with two salts that contradict each other cannot be kept', async () => {
    show([dial], {}, open);
    await salt();
    fireEvent.change(screen.getByLabelText('it read, %'), { target: { value: '30' } });
    fireEvent.click(screen.getByRole('button', { name: 'A second salt' }));
    fireEvent.change(screen.getAllByLabelText('it read, %')[1]!, { target: { value: '80' } });
    expect(screen.getByText(/^This cannot be right:/)).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Keep this salt test' }).disabled).toBe(true);
  });
});
