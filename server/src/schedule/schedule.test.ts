import {
  EVERYTHING,
  routes,
  type BenchDayPage,
  type BenchDays,
  type Feed,
  type ItemPage,
  type KeptRhythm,
  type NewFeed,
  type Outing,
  type OutingInput,
  type RhythmPreview,
  type Written,
} from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { START, testApp, type TestApp } from '../testing/testApp.js';

let t: TestApp;
beforeEach(async () => void (t = await testApp()));
afterEach(() => t.app.close());

const DAY = 86_400_000;
const daysLater = (days: number) => t.clock.set(new Date(START.getTime() + days * DAY));
const agenda = async () => (await t.http.get(routes.agenda).expect(200)).body as schedule.Agenda;
const find = async (code: schedule.DutyCode, id?: string) =>
  (await agenda()).duties.find((d) => d.code === code && d.ahead === 0 && (!id || d.subject.id === id));
const thing = (id: string) => ({ kind: 'thing', id });
const post = (path: string, body: object, status = 201) => t.http.post(path).send(body).expect(status);

describe('what the keeper says of a duty', () => {
  it('is an entry that can be taken back, and is taken back once', async () => {
    const { id } = await t.add('Exercised');
    daysLater(100);
    expect((await find('exercise', id))!.urgency).toBe('due');
    const { entryId } = (await post(routes.dutyDone, { code: 'exercise', subject: thing(id) })).body;
    expect((await find('exercise', id))!.urgency).toBe('later');
    await post(routes.journalUndo(entryId), {});
    expect((await find('exercise', id))!.urgency).toBe('due');
    expect((await post(routes.journalUndo(entryId), {}, 404)).body.code).toBe('entry-not-found');
    const log = (await t.http.get(routes.itemLog(id))).body.entries as { data: { kind: string } }[];
    expect(log.map((e) => e.data.kind)).toEqual(['added']);
  });

  it('a look stands: it is not taken back', async () => {
    const { id } = await t.add('Looked');
    await t.look(id, { 'front-glass': {} });
    const { entries } = (await t.http.get(routes.itemLog(id))).body;
    expect((await post(routes.journalUndo(entries[0].id), {}, 409)).body.code).toBe('not-undoable');
  });

  it('is passed over with a reason, and put off until a day that is still to come', async () => {
    const { id } = await t.add('Busy');
    await post(routes.dutySkip, { code: 'light-test', subject: thing(id), reason: 'done-elsewhere', note: '' });
    expect(await find('light-test', id)).toMatchObject({
      window: { due: '2026-06-10' },
      facts: { because: [{ because: 'skipped', reason: 'done-elsewhere' }] },
    });
    const refused = await post(routes.dutySnooze, { code: 'exercise', subject: thing(id), until: '2026-03-10' }, 400);
    expect(refused.body).toMatchObject({ code: 'day-over', fields: { until: expect.any(String) } });
    await post(routes.dutySnooze, { code: 'exercise', subject: thing(id), until: '2026-07-01' });
    expect((await find('exercise', id))!.snoozedUntil).toBe('2026-07-01');
  });

  it('is put on a day within its window; the later of two browsers is told', async () => {
    const { id } = await t.add('Moved');
    const move = (day: string | null, expected: string | null, status = 201) =>
      post(routes.dutyPlan, { code: 'light-test', subject: thing(id), day, expected }, status);
    expect((await move('2026-05-01', null, 409)).body).toMatchObject({ code: 'outside-window' });
    expect((await move('2026-03-09', null, 400)).body.code).toBe('day-over');
    await move('2026-03-14', null);
    expect((await find('light-test', id))!.plannedOn).toBe('2026-03-14');
    expect((await move('2026-03-15', null, 409)).body).toMatchObject({ code: 'moved-elsewhere', current: { plannedOn: '2026-03-14' } });
    await move(null, '2026-03-14');
    expect((await find('light-test', id))!.plannedOn).toBeNull();
  });

  it('a lost cap is noted, asked for until it is ticked off, and taken back; what it has not cannot be lost', async () => {
    const { id } = await t.add('Bare');
    const lose = (surface: string, status = 201) => post(routes.capMissing, { itemId: id, surface }, status);
    const { entryId } = (await lose('front-cap')).body as Written;
    expect((await lose('front-cap', 409)).body.code).toBe('cap-missing-already');
    expect((await lose('body-cap', 400)).body).toMatchObject({ code: 'no-such-cap', fields: { surface: expect.any(String) } });
    expect((await find('cap-missing', id))!.facts).toEqual({ says: 'caps', missing: ['front-cap'] });
    await post(routes.journalUndo(entryId), {});
    expect(await find('cap-missing', id)).toBeUndefined();
    await lose('rear-cap');
    await post(routes.dutyDone, { code: 'cap-missing', subject: thing(id) });
    expect(await find('cap-missing', id)).toBeUndefined();
  });

  it('waits while the thing is away, and asks for a look when it is back', async () => {
    const { id } = await t.add('Lent');
    const nobody = await post(routes.away, { itemId: id, why: 'loan', until: '2026-04-01' }, 400);
    expect(nobody.body.fields.to).toMatch(/Whom is it lent to/);
    await post(routes.away, { itemId: id, why: 'loan', until: '2026-04-01', to: '  ' }, 400);
    await post(routes.away, { itemId: id, why: 'loan', until: '2026-04-01', to: ' Mara ' });
    expect((await post(routes.away, { itemId: id, why: 'loan', until: null, to: 'Mara' }, 409)).body.code).toBe('already-away');
    const page = async () => (await t.http.get(routes.item(id)).expect(200)).body as ItemPage;
    expect(await page()).toMatchObject({ away: { why: 'loan', until: '2026-04-01', to: 'Mara' }, due: [{ code: 'due-back' }] });
    daysLater(30);
    await post(routes.back, { itemId: id });
    expect((await page()).due.map((d) => d.code)).toContain('return-look');
    expect((await post(routes.back, { itemId: id }, 409)).body.code).toBe('not-away');
  });
});

describe('rhythms', () => {
  const monthly = {
    triggers: [{ on: 'calendar', rrule: 'FREQ=MONTHLY;INTERVAL=1', from: 'last-done' }],
    earlyDays: 5,
    lateDays: 5,
    minutes: 6,
  } as const;
  const save = (more: object, status = 200) =>
    t.http
      .put(routes.rhythms)
      .send({ code: 'light-test', scope: { for: 'all' }, rhythm: monthly, version: null, ...more })
      .expect(status);

  it('are shown with what they would make of the next year, and move it when saved; a stale change is told', async () => {
    const { id } = await t.add('Rhythmic');
    await t.look(id, { 'inner-glass': {} });
    const { before, after } = (await post(routes.rhythmPreview, { code: 'light-test', scope: { for: 'all' }, rhythm: monthly }, 200))
      .body as RhythmPreview;
    expect([before.length, after.length]).toEqual([4, 12]);
    expect((await find('light-test', id))!.window.due).toBe('2026-06-10');
    const kept = (await save({})).body as KeptRhythm;
    expect(await find('light-test', id)).toMatchObject({
      minutes: 6,
      window: { earliest: '2026-04-05', due: '2026-04-10', latest: '2026-04-15' },
    });
    expect((await save({}, 409)).body).toMatchObject({ code: 'stale', current: { id: kept.id, version: 1 } });
    await save({ version: 1, rhythm: null });
    expect(await find('light-test', id)).toBeUndefined();
    await t.http.delete(routes.rhythm(kept.id)).expect(204);
    expect((await find('light-test', id))!.window.due).toBe('2026-06-10');
    await t.http.delete(routes.rhythm(kept.id)).expect(404);
  });

  it.each([
    [
      'a flood',
      { ...monthly, triggers: [{ on: 'calendar', rrule: 'FREQ=MINUTELY', from: 'last-done' }] },
      'rhythm.triggers.0',
      /The nearest: every day/,
    ],
    [
      'a rule that never fires',
      { ...monthly, triggers: [{ on: 'calendar', rrule: 'FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=31', from: 'last-done' }] },
      'rhythm.triggers.0',
      /does not fall on any day/,
    ],
    ['windows that overlap', { ...monthly, earlyDays: 20, lateDays: 20 }, 'rhythm.lateDays', /At most 15 days/],
    ['no trigger', { ...monthly, triggers: [] }, 'rhythm.triggers', /./],
    ['an unknown trigger', { ...monthly, triggers: [{ on: 'whim' }] }, 'rhythm.triggers.0.on', /Choose one of/],
  ])('refuse %s beside its field, with what would do', async (_words, rhythm, field, message) => {
    const { body } = await save({ rhythm }, 400);
    expect(body.fields[field]).toMatch(message);
  });
});

describe('outings', () => {
  const shore = (itemIds: string[], more: Partial<OutingInput> = {}): OutingInput => ({
    name: 'Breakwater',
    from: '2026-03-09',
    to: '2026-03-09',
    place: 'shore',
    itemIds,
    met: ['salt'],
    frames: 200,
    lensChanges: null,
    hours: null,
    note: '',
    ...more,
  });
  it('give use and exposure something to count, and what met salt is due the same day', async () => {
    const { id } = await t.add('Salted');
    const outing = (await post(routes.outings, shore([id]))).body as Outing;
    expect(await find('look-after-outing', id)).toMatchObject({
      gravity: 'harms',
      window: { due: '2026-03-09', latest: '2026-03-09' },
      urgency: 'overdue',
    });
    const changed = (
      await t.http
        .put(routes.outing(outing.id))
        .send({ ...shore([id], { met: [] }), version: 1 })
        .expect(200)
    ).body as Outing;
    expect((await find('look-after-outing', id))!.window.latest).toBe('2026-03-11');
    expect(
      (
        await t.http
          .put(routes.outing(outing.id))
          .send({ ...shore([id]), version: 1 })
          .expect(409)
      ).body.code,
    ).toBe('stale');
    expect(changed.version).toBe(2);
    await t.http.delete(routes.outing(outing.id)).expect(204);
    expect(await find('look-after-outing', id)).toBeUndefined();
  });
  it('end after they begin, with things that are there', async () => {
    const { body } = await post(routes.outings, shore([], { to: '2026-03-01' }), 400);
    expect(body.fields.to).toMatch(/ends before it begins/);
    expect((await post(routes.outings, shore(['018f0000-0000-7000-8000-000000000000']), 404)).body.fields).toHaveProperty(['itemIds.0']);
  });
});

describe('bench days', () => {
  const benchDays = async () => (await t.http.get(routes.benchDays).expect(200)).body as BenchDays;
  it('put what is due on the keeper’s days, proven the fewest, with one list of what to lay out', async () => {
    for (const name of ['One', 'Two', 'Three']) await t.add(name);
    const { plan, times } = await benchDays();
    expect(times.weekdays).toEqual([6, 0]);
    // 10 March 2026 is a Tuesday: the Saturday after it.
    expect(plan.days[0]).toMatchObject({ day: '2026-03-14', minutes: 3 * 8 + 4 });
    expect(plan).toMatchObject({ proven: true, late: [] });
    const page = (await t.http.get(routes.benchDay('2026-03-14')).expect(200)).body as BenchDayPage;
    expect(page.bench!.tasks.map((task) => task.duty.subject.name).sort()).toEqual(['One', 'Three', 'Two']);
    expect(((await t.http.get(routes.benchDay('2026-03-13')).expect(200)).body as BenchDayPage).bench).toBeNull();
  });

  it('lay out what the plan of each clean takes, each once', async () => {
    for (const name of ['One', 'Two']) await t.look((await t.add(name)).id, { 'front-glass': { fingerprint: 3 } });
    const { plan } = await benchDays();
    const { drawer } = (await t.http.get(routes.benchDay(plan.days[0]!.day)).expect(200)).body as BenchDayPage;
    expect(new Set(drawer.map((d) => d.label)).size).toBe(drawer.length);
    expect(drawer.find((d) => d.thing === 'bulb-blower')!.for).toEqual(['One', 'Two']);
  });

  it('follow changed times and absences, refuse impossible ones, and say what would make all fit', async () => {
    for (let i = 0; i < 8; i++) await t.add(`Lens ${i}`);
    const times = { version: 1, weekdays: [6], minutesPerDay: 20, startsAt: '10:00', away: [{ from: '2026-03-14', to: '2026-03-20' }] };
    await t.http
      .put(routes.benchTimes)
      .send({ ...times, weekdays: [] })
      .expect(400);
    const bad = await t.http
      .put(routes.benchTimes)
      .send({ ...times, away: [{ from: '2026-03-20', to: '2026-03-14' }] })
      .expect(400);
    expect(bad.body.fields).toHaveProperty(['away.0.to']);
    await t.http.put(routes.benchTimes).send(times).expect(200);
    expect((await t.http.put(routes.benchTimes).send(times).expect(409)).body.code).toBe('stale');
    const { plan, remedy } = await benchDays();
    expect(plan.days.every((d) => d.day >= '2026-03-21' && d.minutes <= 20)).toBe(true);
    expect(plan.late.length).toBeGreaterThan(0);
    expect(remedy).toMatchObject({ change: 'minutes' });
  });

  it('keep what was put on a day there, and move the rest', async () => {
    const { id } = await t.add('Pinned');
    await t.add('Free');
    await post(routes.dutyPlan, { code: 'light-test', subject: thing(id), day: '2026-03-22', expected: null });
    const { plan } = await benchDays();
    const pinned = plan.days.find((d) => d.tasks.some((task) => task.duty.subject.id === id))!;
    expect(pinned).toMatchObject({ day: '2026-03-22', because: { because: 'pinned' } });
  });
});

describe('calendars that read this one', () => {
  const feed = async (more: object = {}) =>
    (await post(routes.feeds, { name: 'Care', filter: { ...EVERYTHING, benchDays: false, ...more } })).body as NewFeed;

  it('fetch it cheaply by a secret address, hear of what changed and what is gone, and nothing once it is revoked', async () => {
    const { id } = await t.add('Fed');
    const { id: feedId, path } = await feed();
    expect(JSON.stringify((await t.http.get(routes.feeds)).body)).not.toContain(path.split('/').at(-1)!.replace('.ics', ''));
    const first = await t.http
      .get(path)
      .expect(200)
      .expect('content-type', /text\/calendar/);
    await t.http
      .get(path)
      .set('if-none-match', first.headers.etag as string)
      .expect(304);
    const uid = `UID:light-test/thing/${id}/0@bright-keeper`;
    const unfolded = (text: string) => text.replaceAll('\r\n ', '');
    const eventOf = (text: string) =>
      unfolded(text)
        .split('BEGIN:VEVENT')
        .find((e) => e.includes(uid))!;
    expect(eventOf(first.text)).toMatch(/SEQUENCE:0[\s\S]*STATUS:CONFIRMED/);
    daysLater(1);
    await post(routes.dutyPlan, { code: 'light-test', subject: thing(id), day: '2026-03-14', expected: null });
    const moved = await t.http
      .get(path)
      .set('if-none-match', first.headers.etag as string)
      .expect(200);
    expect(eventOf(moved.text)).toMatch(/SEQUENCE:1[\s\S]*DTSTART;VALUE=DATE:20260314/);
    await t.look(id, { 'inner-glass': {} });
    expect(eventOf((await t.http.get(path).expect(200)).text)).toMatch(/SEQUENCE:2[\s\S]*STATUS:CANCELLED/);
    expect(((await t.http.get(routes.feeds)).body as Feed[])[0]!.fetchedAt).not.toBeNull();
    await t.http.delete(routes.feed(feedId)).expect(204);
    expect((await t.http.get(path).expect(404)).body.code).toBe('feed-not-found');
  });

  it('hold only what their filter lets through, bench days with their zone', async () => {
    await t.add('Fed');
    const { path } = await feed({ duties: false, benchDays: true });
    await t.http
      .put(routes.settings)
      .send({ version: 2, schools: (await t.http.get(routes.settings)).body.schools, timeZone: 'Europe/Lisbon', currency: 'EUR' })
      .expect(200);
    const { text } = await t.http.get(path).expect(200);
    expect(text).toContain('TZID:Europe/Lisbon');
    expect(text).toContain('DTSTART;TZID=Europe/Lisbon:20260314T160000');
    expect(text).not.toContain('light-test/');
  });

  it('a filtered one hears that something is gone only if it ever showed it', async () => {
    const { id } = await t.add('Fed');
    const all = await feed();
    const ofPlaces = await feed({ subjects: ['place'] });
    for (const { path } of [all, ofPlaces]) await t.http.get(path).expect(200);
    await t.look(id, { 'inner-glass': {} });
    const gone = async ({ path }: NewFeed) => (await t.http.get(path).expect(200)).text.includes('STATUS:CANCELLED');
    expect(await gone(all)).toBe(true);
    expect(await gone(ofPlaces)).toBe(false);
  });

  it('a guessed address leads nowhere', async () => {
    await t.http.get(routes.feedFile('AAAA')).expect(404);
  });

  it('the file holds everything', async () => {
    await t.add('Filed');
    const { text, headers } = await t.http.get(routes.calendarFile).expect(200);
    expect(headers['content-disposition']).toContain('care.ics');
    expect(schedule.readBusy(text, { from: '2026-03-01', to: '2027-03-01', timeZone: 'UTC' }).problems).toEqual([]);
  });
});
