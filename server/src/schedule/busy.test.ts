import { routes, type BenchDays, type BusyCalendar, type Problem } from '@bright-keeper/contract';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeEach(async () => void (t = await testApp()));
afterEach(() => t.app.close());

const post = (path: string, body: object, status = 201) => t.http.post(path).send(body).expect(status);

const CALENDAR = [
  'BEGIN:VCALENDAR',
  'VERSION:2.0',
  'BEGIN:VEVENT',
  'UID:1',
  'DTSTART:20260314T150000Z',
  'DTEND:20260314T170000Z',
  'SUMMARY:a secret',
  'END:VEVENT',
  'BEGIN:VEVENT',
  'UID:2',
  'DTSTART:20261399T990000Z',
  'END:VEVENT',
  'END:VCALENDAR',
].join('\r\n');

describe('busy time of other calendars', () => {
  it('from a file leaves less room on a bench day; nothing but the times is kept, and what is broken is told', async () => {
    await t.add('Squeezed');
    const before = ((await t.http.get(routes.benchDays)).body as BenchDays).plan.days[0]!;
    expect(before.day).toBe('2026-03-14');
    const busy = (await post(routes.busyFile, { name: 'Family', text: CALENDAR })).body as BusyCalendar;
    expect(busy).toMatchObject({
      events: 1,
      busy: [{ from: '2026-03-14T15:00:00.000Z', to: '2026-03-14T17:00:00.000Z' }],
      problems: [{ line: 11, property: 'DTSTART' }],
    });
    expect(JSON.stringify((await t.http.get(routes.busy)).body)).not.toContain('secret');
    const after = (await t.http.get(routes.benchDays)).body as BenchDays;
    expect(after.busyDays).toEqual([{ day: '2026-03-14', minutes: 0 }]);
    expect(after.plan.days[0]!.day).toBe('2026-03-15');
    await t.http.delete(routes.busyCalendar(busy.id)).expect(204);
    expect(((await t.http.get(routes.benchDays)).body as BenchDays).plan.days[0]!.day).toBe('2026-03-14');
  });

  it('what is no calendar is refused with its line', async () => {
    expect((await post(routes.busyFile, { name: 'No', text: '<html>' }, 400)).body).toMatchObject({
      code: 'no-calendar',
      fields: { text: expect.stringMatching(/^Line 1/) },
    });
  });

  describe('by address', () => {
    let other: Server;
    let text = CALENDAR;
    beforeAll(async () => {
      other = createServer((_, response) => void response.end(text));
      await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve));
    });
    afterAll(() => void other.close());
    const url = () => `http://127.0.0.1:${(other.address() as AddressInfo).port}/family.ics`;

    it('is fetched from this machine, and anew when asked', async () => {
      text = CALENDAR;
      const { id } = (await post(routes.busyAddress, { name: 'Family', url: url() })).body as BusyCalendar;
      text = CALENDAR.replace('20260314T150000Z', '20260315T150000Z').replace('20260314T170000Z', '20260315T170000Z');
      const again = (await post(routes.busyCalendar(id), {}, 200)).body as BusyCalendar;
      expect(again.busy[0]!.from).toBe('2026-03-15T15:00:00.000Z');
    });
    it('is refused beyond this network, and when nothing answers', async () => {
      expect((await post(routes.busyAddress, { name: 'Far', url: 'http://192.0.2.1/x.ics' }, 400)).body.code).toBe('not-nearby');
      expect((await post(routes.busyAddress, { name: 'Shut', url: 'http://127.0.0.1:1/x.ics' }, 422)).body.code).toBe('calendar-silent');
      expect((await post(routes.busyAddress, { name: 'Odd', url: 'ftp://127.0.0.1/x.ics' }, 400)).body.fields.url).toMatch(/http/);
    });
  });

  it('without end hold up nobody, and are refused by the line of the event that has none', async () => {
    // Every other hour, begun on an odd one, and only at even ones: it never comes, and nothing says so but trying.
    const endless = CALENDAR.replace('DTEND:20260314T170000Z', 'RRULE:FREQ=HOURLY;INTERVAL=2;BYHOUR=0');
    const order: string[] = [];
    const asked = post(routes.busyFile, { name: 'Endless', text: endless }, 422).then(
      ({ body }) => (order.push('calendar'), body as Problem),
    );
    for (let i = 0; i < 5; i += 1)
      await t.http
        .get(routes.gear)
        .expect(200)
        .then(() => order.push('shelf'));
    expect(await asked).toMatchObject({ code: 'calendar-endless', fields: { text: expect.stringContaining('line 3') as string } });
    expect(order).toEqual(['shelf', 'shelf', 'shelf', 'shelf', 'shelf', 'calendar']);
    expect((await t.http.get(routes.busy)).body).toEqual([]);
  });

  it('that are cut tell so, in the list of what could not be read', async () => {
    const flood = CALENDAR.replace('DTEND:20260314T170000Z', 'DURATION:PT1S\r\nRRULE:FREQ=SECONDLY');
    const { problems } = (await post(routes.busyFile, { name: 'Flood', text: flood })).body as BusyCalendar;
    expect(problems[0]).toMatchObject({ line: 3, detail: expect.stringContaining('left out') as string });
  });
});
