import { commonPractice, natureOf } from '../../care/knowledge/index.js';
import type { DueBecause } from '../because.js';
import { addDays, localDay, type Day } from '../day.js';
import { isTicked } from '../journal.js';
import { settledBy, surfacesOfSight } from '../settling.js';
import type { Context, Due, DutyKind } from './duty.js';
import type { PastStayFacts, PlaceClimateFacts, ThingFacts } from '../facts.js';
import { MS_PER_DAY } from '../../units.js';

/** Growth takes two to six weeks to be seen (common practice). */
const EARLIEST_DAYS = 14;
const DUE_DAYS = 28;
const LATEST_DAYS = 42;
/** Spores want days in damp air to begin to grow: after so many in all, a place counts as damp (our choice). */
const DAMP_DAYS = 7;

export const secondLook: DutyKind = {
  about: 'thing',
  kinds: 'every',
  settledBy: { seeing: 'inside' },
  name: 'Look through it once more: it was in the damp',
  what: 'A torch through from behind, also when the first look found nothing: growth takes weeks to be seen.',
  gravity: 'worsens',
  setUp: 'torch-and-loupe',
  minutes: 8,
  doneBy: 'look',
  basis: commonPractice,
};

type Past = { over: Day; because: DueBecause };

/** A stay in air that was seen over its band for days, and when that was over: the thing left, or the air dried. */
function dampStay({ name, since, until }: PastStayFacts, place: PlaceClimateFacts | undefined, zone: string): Past[] {
  const within = (place?.dampSpells ?? [])
    .map((s) => ({ from: Math.max(Date.parse(s.from), Date.parse(since)), to: Math.min(Date.parse(s.until), Date.parse(until)) }))
    .filter(({ from, to }) => from < to);
  const days = within.reduce((sum, { from, to }) => sum + to - from, 0) / MS_PER_DAY;
  const ended = Math.max(...within.map(({ to }) => to));
  return days >= DAMP_DAYS ? [{ over: localDay(new Date(ended), zone), because: { because: 'lay-in-the-damp', name } }] : [];
}

/** Where it was in the damp or in the water, and since when that is over: the last time counts. */
function dampPast(thing: ThingFacts, { facts, journal, today }: Context): Past | null {
  const damp = facts.outings.filter((o) => o.itemIds.includes(thing.id) && o.met.includes('damp') && o.to < today);
  const outings = damp.map((o) => ({ over: o.to, because: { because: 'was-in-the-damp' as const, name: o.name } }));
  const wet = journal.of({ kind: 'thing', id: thing.id }).flatMap(({ day, data }) => {
    const gotWet =
      data.kind === 'look' && data.verdicts.some((v) => v.findings.some((f) => f.severity > 0 && natureOf(f.soil) === 'flooded'));
    return gotWet ? [{ over: day, because: { because: 'got-wet' as const } }] : [];
  });
  const stays = (thing.stayed ?? []).flatMap((stay) =>
    dampStay(
      stay,
      facts.places.find((p) => p.id === stay.placeId),
      facts.timeZone,
    ),
  );
  return [...outings, ...wet, ...stays].sort((a, b) => b.over.localeCompare(a.over))[0] ?? null;
}

/** Home from the damp, out of the water or out of a damp cupboard, the second look falls weeks later, whatever the first one found. */
export const secondLookDue: Due<'thing'> = {
  appliesTo: (thing) => thing.status === 'in-use',
  dueFrom: (thing, context, code) => {
    const past = dampPast(thing, context);
    if (!past) return [];
    const earliest = addDays(past.over, EARLIEST_DAYS);
    const asked = surfacesOfSight('inside', thing);
    const entries = context.journal.of({ kind: 'thing', id: thing.id });
    const inTime = entries.filter((e) => e.day >= earliest || (isTicked(e.data, code) && e.day >= past.over));
    const { by, seen } = settledBy(asked, inTime, code);
    if (by.length > 0) return [];
    return [
      {
        window: { earliest, due: addDays(past.over, DUE_DAYS), latest: addDays(past.over, LATEST_DAYS) },
        facts: { says: 'rhythm', because: [past.because], sight: { asked, seen } },
      },
    ];
  },
};
