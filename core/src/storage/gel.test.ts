import { describe, expect, it } from 'vitest';
import { logOf } from '../testing/logs.js';
import { reckonGel, type GelEvent, type GelQuestion } from './index.js';

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
});
