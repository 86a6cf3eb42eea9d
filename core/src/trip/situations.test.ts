import { describe, expect, it } from 'vitest';
import { surfacesOf } from '../care/kinds/index.js';
import { addDays, type DutyCode, type Entry, type Exposure, type OutingFacts, type ThingFacts } from '../schedule/index.js';
import { afterTripCare } from './afterTrip.js';
import { type AskId, asksOf, GROUND_IDS, type GroundId, PHASES, type Phase, skyAndCold, type Weather } from './index.js';

/**
 * Outings as a keeper tells them, a row each: where to, in which weather, what it met; then what must be asked before, out
 * there and at home, what must not, and what the calendar asks for by itself. Common practice, by ground.
 */
type Row = {
  tells: string;
  grounds: [GroundId, ...GroundId[]];
  weather?: Weather[];
  met?: Exposure[];
  before: AskId[];
  there: AskId[];
  back: AskId[];
  never?: AskId[];
  /** Codes that fall due: the day before it, on its second day out there, once it is over, and weeks later. */
  duties: Partial<Record<'ahead' | 'out' | 'home' | 'weeks', DutyCode[]>>;
};
const SALT_ASKS: AskId[] = ['salt-same-evening', 'salt-off'];
const ROWS: Row[] = [
  {
    tells: 'Three days in town, dry; the bag is opened on café tables',
    grounds: ['town'],
    before: ['cells-charged', 'cards-empty', 'caps-there', 'weather-asked'],
    there: ['arrival-look'],
    back: ['aired-then-stored', 'pictures-safe'],
    never: [...SALT_ASKS, 'grains-first', 'o-rings-looked-at', 'closed-before-warm', 'strap-before-dew', 'cover-on-top'],
    duties: { ahead: ['look-before-outing'], out: ['evening-minute'], home: ['look-after-outing'] },
  },
  {
    tells: 'A windy beach; spray on the second day',
    grounds: ['shore'],
    weather: ['wind'],
    met: ['salt'],
    before: ['water-along', 'tide-asked', 'fewest-changes', 'seams-taped'],
    there: ['bag-closed', 'back-to-the-wind', 'salt-same-evening'],
    back: ['grains-first', 'salt-off', 'bag-emptied'],
    never: ['o-rings-looked-at', 'closed-before-warm'],
    duties: { out: ['evening-look'], home: ['look-after-outing'] },
  },
  {
    tells: 'On a boat for the birds; it is wet with the sea when it is home',
    grounds: ['boat'],
    met: ['salt'],
    before: ['water-along', 'cover-on-top', 'zip-bags'],
    there: ['salt-same-evening', 'bag-closed'],
    back: ['salt-off', 'dried-open'],
    never: ['strap-before-dew'],
    duties: { out: ['evening-look'], home: ['look-after-outing'] },
  },
  {
    tells: 'Diving with a housing: it stayed dry inside',
    grounds: ['under-water'],
    before: ['o-rings-looked-at', 'water-along'],
    there: ['rinse-before-opening'],
    back: ['salt-off', 'dried-open', 'second-look'],
    never: ['seams-taped', 'back-to-the-wind'],
    duties: { ahead: ['look-before-outing'], home: ['look-after-outing'] },
  },
  {
    tells: 'Dunes in the wind, sand everywhere',
    grounds: ['desert'],
    weather: ['wind'],
    met: ['sand'],
    before: ['seams-taped', 'fewest-changes'],
    there: ['bag-closed', 'back-to-the-wind'],
    back: ['grains-first', 'bag-emptied'],
    never: [...SALT_ASKS, 'o-rings-looked-at'],
    duties: { out: ['evening-look'], home: ['look-after-outing'] },
  },
  {
    tells: 'A hide in the woods, drizzle',
    grounds: ['forest'],
    weather: ['rain'],
    met: ['rain'],
    before: ['cover-on-top'],
    there: ['bag-closed'],
    back: ['dried-open', 'second-look'],
    never: [...SALT_ASKS, 'seams-taped'],
    duties: { out: ['evening-look'], home: ['look-after-outing'] },
  },
  {
    tells: 'Rain forest, everything damp for days',
    grounds: ['rain-forest'],
    met: ['damp'],
    before: ['zip-bags', 'cover-on-top'],
    there: ['air-every-evening', 'closed-before-warm'],
    back: ['dried-open', 'second-look'],
    never: SALT_ASKS,
    duties: { home: ['look-after-outing'], weeks: ['second-look'] },
  },
  {
    tells: 'Over a pass on foot, frost at night',
    grounds: ['mountain'],
    weather: ['cold'],
    before: ['cover-on-top'],
    there: ['cells-warm', 'no-breath', 'closed-before-warm'],
    back: ['dried-open'],
    never: SALT_ASKS,
    duties: { ahead: ['comes-in-cold'], out: ['comes-in-cold'] },
  },
  {
    tells: 'A week of snow',
    grounds: ['snow'],
    before: ['zip-bags'],
    there: ['cells-warm', 'no-breath', 'closed-before-warm'],
    back: ['dried-open'],
    never: ['back-to-the-wind', ...SALT_ASKS],
    duties: { ahead: ['comes-in-cold'], out: ['comes-in-cold'] },
  },
  {
    tells: 'Two nights under the stars',
    grounds: ['night-sky'],
    before: ['night-kit'],
    there: ['strap-before-dew', 'closed-before-warm'],
    back: ['dried-open'],
    never: ['fewest-changes', ...SALT_ASKS],
    duties: { out: ['dew-tonight', 'comes-in-cold'] },
  },
  {
    tells: 'A studio with feet and cables',
    grounds: ['studio'],
    before: ['cells-charged', 'caps-there'],
    there: ['off-the-floor', 'arrival-look'],
    back: ['aired-then-stored'],
    never: ['weather-asked', 'cover-on-top', 'closed-before-warm', 'strap-before-dew'],
    duties: { out: ['evening-minute'], home: ['look-after-outing'] },
  },
  {
    tells: 'A day out, nobody knows where; clear damp nights are foretold',
    grounds: ['other'],
    weather: ['damp-night'],
    before: ['night-kit', 'weather-asked'],
    there: ['strap-before-dew'],
    back: ['aired-then-stored'],
    never: SALT_ASKS,
    duties: { out: ['dew-tonight'] },
  },
  {
    tells: 'Mountains that end at the sea, in frost: both ask',
    grounds: ['mountain', 'shore'],
    weather: ['cold'],
    met: ['salt', 'damp'],
    before: ['water-along', 'cover-on-top'],
    there: ['salt-same-evening', 'closed-before-warm'],
    back: ['salt-off', 'dried-open'],
    duties: { out: ['evening-look', 'comes-in-cold'], home: ['look-after-outing'], weeks: ['second-look'] },
  },
];

const LENS: ThingFacts = {
  ...{ id: 'a', name: 'A lens', kind: 'lens', traits: {}, status: 'in-use', addedAt: '2026-01-01T10:00:00Z' },
  ...{ surfaces: [], open: [], stay: null },
};
/** When the agenda is read, in days from its first; it lasts three days. */
const READ = { ahead: -1, out: 1, home: 3, weeks: 30 } as const;
const FROM = '2026-03-10';
const looked = (day: string): Entry => ({
  ...{ id: `e${day}`, at: `${day}T21:00:00Z`, subject: { kind: 'thing', id: 'a' } as const },
  data: { kind: 'look', lookId: 'l', looked: 1, notes: [], verdicts: [], seen: surfacesOf('lens', {}) },
});

function codesAt({ grounds, weather = [], met = [] }: Row, when: keyof typeof READ): DutyCode[] {
  const today = addDays(FROM, READ[when]);
  const outing: OutingFacts = {
    ...{ id: 'o', name: 'Out', from: FROM, to: addDays(FROM, 2), itemIds: ['a'], counts: {} },
    notedAt: `${addDays(FROM, 1)}T08:00:00Z`,
    met: when === 'ahead' ? [] : met,
    ...skyAndCold({ grounds, weather }),
  };
  const roof = { id: 'h', name: 'Roof', outdoor: true, placeName: null, addedAt: `${FROM}T00:00:00Z`, silent: false, lastHeardAt: null };
  const hygrometers = [{ ...roof, dewFrom: `${today}T22:00:00Z` }];
  // Weeks later the look on coming home is long done.
  const entries = [looked('2026-02-01'), ...(when === 'weeks' ? [looked(addDays(FROM, 3))] : [])];
  const asked = { outing, things: [LENS], timeZone: 'UTC', now: `${today}T10:00:00Z`, entries, around: { hygrometers } };
  return [...new Set(afterTripCare(asked).map((duty) => duty.code))];
}

describe.each(ROWS)('$tells', (row) => {
  const going = { grounds: row.grounds, weather: row.weather ?? [] };
  it.each(PHASES)('%s: what must be asked for', (phase: Phase) => expect(asksOf(going, phase)).toEqual(expect.arrayContaining(row[phase])));
  it('what must not', () => {
    const asked = PHASES.flatMap((phase) => asksOf(going, phase));
    expect(asked.filter((ask) => row.never?.includes(ask))).toEqual([]);
  });
  it.each(Object.keys(row.duties) as (keyof Row['duties'])[])('%s: what falls due', (when) =>
    expect(codesAt(row, when)).toEqual(expect.arrayContaining(row.duties[when]!)),
  );
  it('and nothing of salt, cold or dew that was not there', () => {
    const all = (Object.keys(READ) as (keyof typeof READ)[]).flatMap((when) => codesAt(row, when));
    const { isCold, isUnderSky } = skyAndCold(going);
    expect(all.includes('comes-in-cold')).toBe(isCold);
    expect(all.includes('dew-tonight')).toBe(isUnderSky);
    expect(all.includes('second-look')).toBe(row.met?.includes('damp') ?? false);
    expect(all.includes('evening-look')).toBe(row.met?.some((m) => m !== 'damp' && m !== 'dust') ?? false);
  });
});

it('every ground is told by a row', () => {
  const told = new Set(ROWS.flatMap(({ grounds }) => grounds));
  expect(GROUND_IDS.filter((id) => !told.has(id))).toEqual([]);
});
