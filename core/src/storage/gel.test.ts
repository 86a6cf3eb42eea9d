import { describe, expect, it } from 'vitest';
import { logOf } from '../testing/logs.js';
import type { Log } from '../air/index.js';
import { desiccantUptake, reckonGel, type GelEvent, type GelQuestion } from './index.js';

const DAY = 24;
const room = logOf(60 * DAY, () => [22, 65]);
const now = room.at(-1)!.at;
const box = { volumeL: 50, airChangesPerDay: 0.5, openingsPerWeek: 2, targetPct: 45 };
const set: GelEvent = { at: '2026-01-01T00:00:00.000Z', kind: 'gel-set', desiccant: 'silica-gel', massG: 100, loadingPct: 2 };
const ask = (more: Partial<GelQuestion> = {}) => reckonGel({ events: [set], box, room, inside: [], now, ...more });
const daysAhead = (iso: string | null) => (iso === null ? Infinity : (Date.parse(iso) - Date.parse(now)) / 86_400_000);

describe('the gel of a box', () => {
  it('of 100 g that lasts 97 days is spent in about 37 after 60', () => {
    const gel = ask()!;
    expect(daysAhead(gel.spentOn)).toBeGreaterThan(32);
    expect(daysAhead(gel.spentOn)).toBeLessThan(42);
    expect(gel.left).toBeGreaterThan(0.2);
    expect(gel.left).toBeLessThan(0.6);
    expect(gel.knownFrom).toBe('reckoned');
  });

  it('is corrected by its indicator, and overruled by a hygrometer inside', () => {
    const read = ask({ events: [set, { at: now, kind: 'indicator', colour: 'spent' }] })!;
    expect(read.knownFrom).toBe('indicator');
    expect(daysAhead(read.spentOn)).toBe(0);
    const measured = ask({ inside: logOf(DAY, () => [22, 20]) })!;
    expect(measured.knownFrom).toBe('measured');
    expect(daysAhead(measured.spentOn)).toBeGreaterThan(daysAhead(ask()!.spentOn));
  });

  it('begins anew when it was dried, and is not there once it was taken out', () => {
    const dried = ask({ events: [set, { at: now, kind: 'gel-dried' }] })!;
    expect(dried.left).toBeCloseTo(1, 2);
    expect(ask({ events: [set, { at: now, kind: 'gel-out' }] })).toBeNull();
    expect(ask({ events: [] })).toBeNull();
  });

  it('lasts for a year and longer where the room is dry', () => {
    expect(ask({ room: logOf(60 * DAY, () => [22, 40]) })!.spentOn).toBeNull();
  });

  const dried: GelEvent[] = [set, { at: now, kind: 'gel-dried' }];
  /** Sixty days of air, of which the last month is another. */
  const turned = (before: [number, number], lately: [number, number], lastDays = 30) =>
    logOf(60 * DAY, (h) => (h <= (60 - lastDays) * DAY ? before : lately));

  it('goes on as in the last month, whatever was before it', () => {
    expect(ask({ events: dried, room: turned([22, 85], [22, 40]) })!.spentOn).toBeNull();
    const wet = ask({ events: dried, room: turned([22, 40], [22, 85]) })!;
    const always = ask({ events: dried, room: turned([22, 85], [22, 85]) })!;
    expect(wet.spentOn).toBe(always.spentOn);
    expect(daysAhead(wet.spentOn)).toBeLessThan(90);
    // A week of rain in a dry month comes again every month: sooner than never, later than in rain without end.
    const mixed = daysAhead(ask({ events: dried, room: turned([22, 40], [22, 85], 7) })!.spentOn);
    expect(mixed).toBeGreaterThan(daysAhead(always.spentOn) * 1.5);
  });

  it('takes a room that was not read lately to be as it was read last', () => {
    const long = turned([22, 40], [22, 85], 1);
    const later = new Date(Date.parse(now) + 90 * 86_400_000).toISOString();
    const silent = ask({ events: [...dried, { at: later, kind: 'gel-dried' }], room: long, now: later })!;
    const steady = ask({ events: dried, room: turned([22, 85], [22, 85]) })!;
    expect((Date.parse(silent.spentOn!) - Date.parse(later)) / 86_400_000).toBeCloseTo(daysAhead(steady.spentOn), 0);
  });

  it('is told a day where the year ahead holds one, to a quarter of a day', () => {
    const { spentOn } = ask({ events: dried })!;
    const hours = daysAhead(spentOn) * DAY;
    expect(hours % 6).toBe(0);
    expect(ask({ events: dried, box: { ...box, airChangesPerDay: 0.01, openingsPerWeek: 0 } })!.spentOn).toBeNull();
  });

  it('stays as it was last known where nobody read the room', () => {
    const unread = ask({ room: [], events: [set, { at: now, kind: 'indicator', colour: 'turning' }] })!;
    expect(unread).toMatchObject({ knownFrom: 'indicator', spentOn: null, since: now });
    const one = ask({ room: room.slice(-1), events: [{ ...set, at: now, loadingPct: 9 }] })!;
    expect(one).toMatchObject({ knownFrom: 'reckoned', loadingGPerG: 0.09 });
  });

  it('measures what is left against what it can hold at the temperature of the last day, or at 20 degC', () => {
    const left = (air: Log) => ask({ events: [{ ...set, at: now, loadingPct: 10 }], room: air })!.left;
    const full = (t: number) => desiccantUptake('silica-gel', t, box.targetPct);
    const share = (t: number) => (full(t) - 0.1) / (full(t) - 0.02);
    expect(left([])).toBeCloseTo(share(20), 9);
    expect(left(logOf(60 * DAY, (h) => [h > 59 * DAY ? 30 : 5, 65]))).toBeCloseTo(share(30), 9);
    expect(share(30)).not.toBeCloseTo(share(5), 2);
  });

  it('is never more than all of it, nor less than none', () => {
    expect(ask({ events: [{ ...set, at: now, loadingPct: 0 }] })!.left).toBe(1);
    expect(ask({ events: [{ ...set, at: now, loadingPct: 60 }] })!.left).toBe(0);
  });
});
