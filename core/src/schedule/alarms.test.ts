import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  ALARM_KINDS,
  type AlarmPolicy,
  alarmsIn,
  type AlarmState,
  alarmsToTell,
  type Duty,
  isQuietHour,
  NOTHING_TOLD,
  withoutLost,
} from './index.js';

const duty = (code: Duty['code'], id: string, more: Partial<Duty> = {}): Duty => ({
  id: `${code}-${id}`,
  code,
  subject: { kind: 'place', id, name: id },
  window: { earliest: '2026-03-10', due: '2026-03-10', latest: '2026-03-13' },
  minutes: 5,
  gravity: 'worsens',
  setUp: 'desk',
  urgency: 'now' as never,
  facts: { says: 'air', cause: 'damp', highPct: 60, deviceId: 'd', placeId: id, since: null } as never,
  ahead: 0,
  estimate: null,
  snoozedUntil: null,
  plannedOn: null,
  ...more,
});
const DAMP = duty('damp', 'cupboard');
const SILENT = duty('silent', 'probe');
const AT_ONCE: AlarmPolicy = { kinds: ALARM_KINDS, when: 'at-once', dailyHour: 8, quiet: { fromHour: 22, toHour: 7 } };
const DAILY: AlarmPolicy = { ...AT_ONCE, when: 'daily' };
const at = (instant: string) => ({ now: new Date(instant), timeZone: 'UTC' });

/** Goes through instants with what is at hand at each; what was told at which. */
function through(policy: AlarmPolicy, steps: readonly [string, Duty[]][]): string[] {
  let state: AlarmState = NOTHING_TOLD;
  return steps.flatMap(([instant, duties]) => {
    const told = alarmsToTell(alarmsIn(duties, policy.kinds), policy, state, at(instant));
    state = told.state;
    return told.tell.map((a) => `${instant.slice(8, 16)} ${a.key}`);
  });
}

describe('which duties are alarms', () => {
  it('are those of the chosen kinds that are at hand', () => {
    const low = duty('cell-change', 'h', { facts: { says: 'battery', pct: 9 } });
    const yearly = duty('cell-change', 'h2', { facts: { says: 'rhythm', because: [] } });
    const all = [DAMP, SILENT, low, yearly, duty('fungus', 'p'), duty('too-dry', 'q'), duty('look-over', 'x')];
    expect(alarmsIn(all, ALARM_KINDS).map((a) => a.kind)).toEqual(['damp', 'silent', 'battery', 'damp', 'dry']);
    expect(alarmsIn(all, ['silent']).map((a) => a.kind)).toEqual(['silent']);
    expect(
      alarmsIn(
        [
          { ...DAMP, snoozedUntil: '2026-03-12' },
          { ...DAMP, ahead: 1 },
        ],
        ALARM_KINDS,
      ),
    ).toEqual([]);
  });
});

describe('an alarm that goes out at once', () => {
  it('is told when it comes, once while it lasts, and not again when it comes right back', () => {
    expect(
      through(AT_ONCE, [
        ['2026-03-10T10:00Z', [DAMP]],
        ['2026-03-10T10:05Z', [DAMP, SILENT]],
        ['2026-03-10T11:00Z', [SILENT]],
        ['2026-03-10T12:00Z', [DAMP, SILENT]],
        ['2026-03-12T12:00Z', [SILENT]],
        ['2026-03-12T13:00Z', [DAMP, SILENT]],
      ]),
    ).toEqual(['10T10:00 damp place cupboard', '10T10:05 silent place probe', '12T13:00 damp place cupboard']);
  });
  it('waits out the hours that are kept quiet, and is not told where it has ended by then', () => {
    expect(
      through(AT_ONCE, [
        ['2026-03-10T22:30Z', [DAMP, SILENT]],
        ['2026-03-11T03:00Z', [DAMP]],
        ['2026-03-11T07:00Z', [DAMP]],
      ]),
    ).toEqual(['11T07:00 damp place cupboard']);
  });
});

describe('an alarm that is told daily', () => {
  it('is told with all others at its hour, each day while it lasts, and as soon as may be where the hour was missed', () => {
    expect(
      through(DAILY, [
        ['2026-03-10T07:59Z', [DAMP]],
        ['2026-03-10T08:00Z', [DAMP, SILENT]],
        ['2026-03-10T09:00Z', [DAMP, SILENT]],
        ['2026-03-11T15:00Z', [DAMP]],
        ['2026-03-12T08:00Z', []],
        ['2026-03-12T09:00Z', [DAMP]],
      ]),
    ).toEqual(['10T08:00 damp place cupboard', '10T08:00 silent place probe', '11T15:00 damp place cupboard']);
  });
  it('goes by the household’s clock', () => {
    const told = (instant: string) =>
      alarmsToTell(alarmsIn([DAMP], ALARM_KINDS), DAILY, NOTHING_TOLD, { now: new Date(instant), timeZone: 'Asia/Kathmandu' }).tell.length;
    expect([told('2026-03-10T02:14Z'), told('2026-03-10T02:15Z')]).toEqual([0, 1]);
  });
});

describe('the hours that are kept quiet', () => {
  it.each([
    [22, 7, [22, 23, 0, 6], [7, 12, 21]],
    [1, 5, [1, 4], [0, 5, 23]],
    [8, 8, [], [0, 8, 23]],
  ])('from %d to %d', (fromHour, toHour, quiet, loud) => {
    for (const hour of quiet) expect(isQuietHour({ fromHour, toHour }, hour)).toBe(true);
    for (const hour of loud) expect(isQuietHour({ fromHour, toHour }, hour)).toBe(false);
    expect(isQuietHour(null, quiet[0] ?? 0)).toBe(false);
  });
});

it('whatever was told and waits, only what was taken or still waits counts as told, and nothing of that is lost', () => {
  const instants = fc.constantFrom('2026-03-10T08:00:00Z', '2026-03-10T09:00:00Z', '2026-03-11T08:00:00Z');
  const told = fc.array(fc.record({ key: fc.string(), at: instants, lasts: fc.boolean(), taken: fc.boolean() }));
  fc.assert(
    fc.property(told, fc.array(fc.record({ at: instants })), (all, waiting) => {
      const state = withoutLost({ told: all, lastDailyOn: '2026-03-10' }, waiting);
      const counts = (t: { at: string; taken: boolean }) => t.taken || waiting.some(({ at }) => at === t.at);
      expect(state.told.every(counts)).toBe(true);
      expect(all.filter((t) => !state.told.includes(t)).some(counts)).toBe(false);
      expect(state.lastDailyOn).toBe('2026-03-10');
    }),
  );
});

it('whatever comes and goes, none is told twice within a day, and none that lasts through a loud hour goes untold', () => {
  const hours = fc.array(fc.tuple(fc.boolean(), fc.boolean()), { minLength: 1, maxLength: 120 });
  fc.assert(
    fc.property(hours, (course) => {
      let state: AlarmState = NOTHING_TOLD;
      const toldAt = new Map<string, number>();
      course.forEach(([damp, silent], h) => {
        const now = new Date(Date.parse('2026-03-10T00:00Z') + h * 3_600_000);
        const alarms = alarmsIn([...(damp ? [DAMP] : []), ...(silent ? [SILENT] : [])], ALARM_KINDS);
        const told = alarmsToTell(alarms, AT_ONCE, state, { now, timeZone: 'UTC' });
        state = told.state;
        for (const { key } of told.tell) {
          expect(h - (toldAt.get(key) ?? -Infinity)).toBeGreaterThanOrEqual(24);
          toldAt.set(key, h);
        }
        // What has lasted for a day and is at hand in a loud hour was told within what lasts, or within the day before it.
        if (!isQuietHour(AT_ONCE.quiet, h % 24))
          for (const { key } of alarms) {
            const is = key.startsWith('damp') ? 0 : 1;
            const began = course.slice(0, h + 1).findLastIndex((step) => !step[is]) + 1;
            expect(toldAt.get(key)).toBeGreaterThan(began - 24);
            if (h - began >= 24) expect(toldAt.get(key)).toBeGreaterThanOrEqual(began);
          }
      });
    }),
  );
});
