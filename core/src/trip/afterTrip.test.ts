import { describe, expect, it } from 'vitest';
import { surfacesOf } from '../care/kinds/index.js';
import { agendaFrom, type Duty, EXPOSURES, NO_FACTS, type Entry, type OutingFacts, type ThingFacts } from '../schedule/index.js';
import { afterTripCare } from './afterTrip.js';

const NOW = '2026-06-01T10:00:00Z';
const TODAY = '2026-06-01';
const YESTERDAY = '2026-05-31';
const LENS: ThingFacts = {
  id: 'a',
  name: 'A lens',
  kind: 'lens',
  traits: {},
  status: 'in-use',
  addedAt: '2026-01-01T10:00:00Z',
  surfaces: [],
  open: [],
  stay: null,
};
const outing = (from: string, to: string, more: Partial<OutingFacts> = {}): OutingFacts => ({
  id: `o${from}`,
  name: 'Shore',
  from,
  to,
  notedAt: `${from}T18:00:00Z`,
  itemIds: ['a'],
  met: [],
  counts: {},
  ...more,
});
/** All of it was looked at on a day. */
const whole = (day: string): Entry => {
  const seen = surfacesOf('lens', {});
  const subject = { kind: 'thing', id: 'a' } as const;
  return {
    id: `e${day}`,
    at: `${day}T12:00:00Z`,
    subject,
    data: { kind: 'look', lookId: 'l', looked: seen.length, notes: [], verdicts: [], seen },
  };
};

const asked = (of: OutingFacts, entries: readonly Entry[] = [whole('2026-05-20')], more: object = {}) =>
  afterTripCare({ outing: of, things: [LENS], timeZone: 'UTC', now: NOW, entries, ...more });
const told = (duties: ReturnType<typeof asked>) => duties.map((d) => [d.code, d.window.due, d.gravity]);

describe('what an outing asks for', () => {
  it.each<[string, OutingFacts, unknown[]]>([
    [
      'home since yesterday, with salt on it: a look the same day',
      outing(YESTERDAY, YESTERDAY, { met: ['salt'] }),
      [['look-after-outing', YESTERDAY, 'harms']],
    ],
    ['home since yesterday from a dry one', outing(YESTERDAY, YESTERDAY), [['look-after-outing', YESTERDAY, 'spoils']]],
    ['next week: a look the day before', outing('2026-06-08', '2026-06-09'), [['look-before-outing', '2026-06-07', 'spoils']]],
    ['under way in sand: this evening', outing('2026-05-31', '2026-06-04', { met: ['sand'], notedAt: '2026-06-01T09:00:00Z' }), [['evening-look', TODAY, 'harms']]], // prettier-ignore
    [
      'home from the damp: growth takes weeks',
      outing('2026-05-29', '2026-05-31', { met: ['damp'] }),
      [
        ['look-after-outing', '2026-05-31', 'spoils'],
        ['second-look', '2026-06-28', 'worsens'],
      ],
    ],
    ['nothing that is here came along', outing(YESTERDAY, YESTERDAY, { met: ['salt'], itemIds: ['elsewhere'] }), []],
  ])('%s', (_, of, duties) => expect(told(asked(of)).sort()).toEqual(duties));

  it('is over when it was looked at', () => {
    const home = outing('2026-05-28', '2026-05-28', { met: ['salt'] });
    expect(asked(home, [whole('2026-05-27'), whole('2026-05-29')])).toEqual([]);
  });

  it('is nothing that was due without it, nor what an earlier one asks for already', () => {
    const salty = outing('2026-05-25', '2026-05-25', { met: ['salt'] });
    const later = outing('2026-05-30', '2026-05-30');
    expect(told(asked(salty)).map(([code]) => code)).toEqual(['look-after-outing']);
    expect(asked(later, [whole('2026-05-20')], { around: { outings: [salty, later] } })).toEqual([]);
  });

  it('says nothing else than the agenda, whatever was met: each duty of it stands there as it is told', () => {
    const exposures = Array.from({ length: 2 ** EXPOSURES.length }, (_, bits) => EXPOSURES.filter((_e, i) => bits & (1 << i)));
    for (const met of exposures)
      for (const [from, to] of [
        ['2026-05-28', '2026-05-28'],
        ['2026-05-30', '2026-06-03'],
        ['2026-06-05', '2026-06-06'],
      ] as const) {
        const of = outing(from, to, { met });
        const entries = [whole('2026-05-20')];
        const { duties } = agendaFrom({ ...NO_FACTS, timeZone: 'UTC', things: [LENS], outings: [of] }, entries, [], { now: NOW });
        const ours = asked(of, entries);
        for (const duty of ours) expect(duties.find((d) => d.id === duty.id)).toEqual(duty);
        // More that was met never asks for less: what met sand, salt or rain has an evening look in place of its minute.
        const asMuch = (o: Duty, d: Duty) => o.code === d.code || (d.code === 'evening-minute' && o.code === 'evening-look');
        for (const fewer of met.length > 0 ? [met.slice(1)] : []) {
          const less = asked(outing(from, to, { met: fewer }), entries);
          for (const d of less) expect(ours.some((o) => asMuch(o, d) && o.window.due <= d.window.due)).toBe(true);
        }
      }
  });
});
