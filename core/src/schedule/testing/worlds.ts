import type { Outcome } from '../../care/index.js';
import { surfacesOf } from '../../care/kinds/index.js';
import type { Surface } from '../../care/knowledge/index.js';
import { NO_FACTS, type Entry, type Facts, type JournalData, type OutingFacts, type PlaceClimateFacts, type ThingFacts } from '../index.js';

export const NOW = '2026-06-01T10:00:00Z';
export const TODAY = '2026-06-01';

export const thing = (more: Partial<ThingFacts> = {}): ThingFacts => ({
  id: 'a',
  name: 'A lens',
  kind: 'lens',
  traits: {},
  status: 'in-use',
  addedAt: '2026-01-01T10:00:00Z',
  surfaces: [],
  open: [],
  stay: null,
  ...more,
});
export const house = (things: ThingFacts[] = [thing()], more: Partial<Facts> = {}): Facts => ({
  ...NO_FACTS,
  timeZone: 'UTC',
  things,
  ...more,
});
let n = 0;
export const entry = (day: string, data: JournalData): Entry => ({
  id: `e${String(n++).padStart(4, '0')}`,
  at: `${day}T12:00:00Z`,
  subject: { kind: 'thing', id: 'a' },
  data,
});
export const saw = (day: string, ...seen: Surface[]): Entry =>
  entry(day, { kind: 'look', lookId: 'l', looked: seen.length, notes: [], verdicts: [], seen });
export const cleaned = (day: string, outcomes: Partial<Record<Surface, Outcome>>, place: 'home' | 'field' = 'home'): Entry =>
  entry(day, { kind: 'clean', cleaningId: 'c', place, outcomes, contacts: {}, methods: [], minutes: 5 });
export const outing = (from: string, to: string, more: Partial<OutingFacts> = {}): OutingFacts => ({
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
export const whole = (day: string, kind: ThingFacts['kind'] = 'lens'): Entry => saw(day, ...surfacesOf(kind, {}));

/** A place whose air says nothing. */
export const cupboard = (more: Partial<PlaceClimateFacts> = {}): PlaceClimateFacts => ({
  id: 'p',
  name: 'Cupboard',
  highPct: 60,
  gel: null,
  indicatorSince: null,
  dampSince: null,
  drySince: null,
  dampSpells: [],
  assessment: null,
  apart: null,
  leaves: null,
  ...more,
});
/** One whose air lets growth be feared, and does no more than that. */
export const riskyCupboard: PlaceClimateFacts = cupboard({
  assessment: {
    level: 'watch',
    best: { level: 'watch' },
    now: { index: 0.3, dose: 0.6, daysPast: 0 },
    reasons: [],
    since: null,
    daysToGrowth: { byIndex: null, byDose: null },
  } as never,
});
const told = (deviceId: string, humidityPct: number) => ({ deviceId, name: deviceId, humidityPct, temperatureC: 20, testedAt: null });
const disagreement: PlaceClimateFacts['apart'] = {
  wetter: told('Logger', 61),
  drier: told('Dial', 48),
  at: '2026-06-01T09:00:00Z',
  since: '2026-05-28T09:00:00Z',
};
const device = {
  id: 'h',
  name: 'Dial',
  outdoor: false,
  placeName: null,
  addedAt: '2025-01-01T10:00:00Z',
  silent: true,
  lastHeardAt: '2026-05-01T10:00:00Z',
};
const supply = {
  id: 's',
  thing: 'glass-cloth' as const,
  role: 'glass' as const,
  state: 'dirty' as const,
  usesSinceWash: 12,
  stock: null,
  packPrice: null,
  packSize: null,
  addedAt: '2026-05-01T10:00:00Z',
};
const risk = {
  level: 'act',
  best: { level: 'act' },
  now: { index: 1.2, dose: 2, daysPast: 3 },
  reasons: [],
  since: NOW,
  daysToGrowth: { byIndex: null, byDose: null },
};
const state = (verdict: 'isolate' | 'hand-over' | 'weigh' | 'clean' | 'wait' | 'replace', soil = 'dust') =>
  thing({
    surfaces: [{ surface: 'barrel', verdict, findings: [{ soil: soil as 'dust', severity: 2 }], because: { reason: 'no-gentle-way' } }],
  });
/** Households in which, together, every duty falls due. */
export const WORLDS: [Facts, Entry[]][] = [
  ...(['lens', 'filter', 'slr-body', 'mirrorless-body', 'compact', 'reflector'] as const).map((kind): [Facts, Entry[]] => [
    house([thing({ kind })]),
    [],
  ]),
  ...(['isolate', 'hand-over', 'weigh', 'clean', 'wait', 'replace'] as const).map((v): [Facts, Entry[]] => [house([state(v)]), []]),
  [house([thing({ status: 'quarantined' })]), [entry('2026-04-01', { kind: 'quarantined' })]],
  [house(), [entry('2026-03-01', { kind: 'neighbour-isolated', name: 'Sick' })]],
  [house(), [entry('2026-05-31', { kind: 'back' })]],
  [house(), [entry('2026-05-20', { kind: 'away', why: 'service', until: '2026-05-25' })]],
  [house(), [entry('2026-05-31', { kind: 'outdoors', happening: 'sand' })]],
  [house(), [entry('2026-05-31', { kind: 'cap-missing', surface: 'front-cap' })]],
  [house(), [cleaned('2026-05-20', { barrel: 'left' })]],
  [
    house(),
    [
      entry('2026-04-01', {
        kind: 'look',
        lookId: 'l',
        looked: 1,
        notes: [],
        verdicts: [{ surface: 'barrel', verdict: 'leave', findings: [{ soil: 'sticky-coating', severity: 2 }] }],
      }),
    ],
  ],
  [
    house([
      thing({
        open: [{ work: 'look', id: 'l', startedAt: NOW }],
        stay: { placeId: 'b', name: 'Bag', forTravel: true, since: '2026-05-01T10:00:00Z' },
      }),
    ]),
    [],
  ],
  [
    house([
      thing({
        traits: { rubberisedCoating: true },
        stay: { placeId: 'p', name: 'Box', forTravel: false, aired: false, since: '2026-01-01T10:00:00Z' },
      }),
    ]),
    [],
  ],
  [house([thing()], { outings: [outing('2026-05-30', '2026-06-09', { met: ['salt'] })] }), []],
  [house([thing()], { outings: [outing('2026-05-30', '2026-06-09')] }), []],
  [
    house([thing()], { outings: [outing('2026-04-30', '2026-05-20', { met: ['damp'] }), outing('2026-06-02', '2026-06-02')] }),
    [whole('2026-04-01')],
  ],
  [house([thing({ kind: 'mirrorless-body', sensor: { frameAt: '2026-05-30T10:00:00Z', advice: 'swab', shows: 4, next: null } })]), []],
  [
    house([], {
      places: [
        cupboard({
          assessment: risk as never,
          dampSince: NOW,
          indicatorSince: '2026-01-01T10:00:00Z',
          gel: { kind: 'silica-gel', massG: 50, left: 0, spentOn: NOW, knownFrom: 'indicator' },
        }),
      ],
    }),
    [],
  ],
  [
    house([], {
      places: [cupboard({ dampSince: '2026-05-01T10:00:00Z' }), cupboard({ id: 'q', drySince: '2026-05-01T10:00:00Z' })],
    }),
    [],
  ],
  [
    house([thing()], {
      outings: [outing('2026-05-30', '2026-06-01', { isCold: true, isUnderSky: true })],
      hygrometers: [{ ...device, outdoor: true, dewFrom: '2026-06-01T20:00:00Z' }],
    }),
    [],
  ],
  [house([], { places: [cupboard({ apart: disagreement })] }), []],
  [
    house([], {
      places: [
        cupboard({
          leaves: { side: 'damp', at: '2026-06-15T12:00:00Z', earliest: '2026-06-09T12:00:00Z', latest: '2026-07-01T12:00:00Z' },
        }),
      ],
    }),
    [],
  ],
  [
    house([], {
      hygrometers: [device],
      supplies: [supply, { ...supply, id: 't', thing: 'lens-tissue', state: 'clean', stock: 1 } as never],
      timers: [
        { id: 't', itemId: null, itemName: null, size: 'mid-lens', wrapping: 'bare', startedAt: NOW, endsAt: '2026-06-01T12:00:00Z' },
      ],
    }),
    [],
  ],
];
