import { describe, expect, it } from 'vitest';
import type { Surface } from '../care/knowledge/index.js';
import { agendaFrom, DUTY_CODES, dutyFacts, isAtHand } from './index.js';
import type { Duty, DutyCode, Entry, Facts, JournalData, SubjectRef } from './index.js';
import { surfacesOfSight } from './settling.js';
import { NOW, WORLDS } from './testing/worlds.js';

/*
 * Each condition that settles a duty, switched on and off by itself: with it the duty is not at hand any more, with a
 * part of it missing it is. Section “What settles a duty” of the care knowledge: common practice throughout.
 */

type World = { facts: Facts; journal: Entry[]; now: string };
type AtHand = World & { duty: Duty };

const atHandIn = ({ facts, journal, now }: World): Duty[] => agendaFrom(facts, journal, [], { now }).duties.filter(isAtHand);

/** The first day on which a duty is at hand in some world, within a year: what falls due only later is waited for. */
function whereAtHand(code: DutyCode): AtHand {
  for (const [facts, journal] of WORLDS) {
    const next = agendaFrom(facts, journal, [], { now: NOW }).duties.find((d) => d.code === code && d.ahead === 0);
    if (!next) continue;
    const now = next.window.due <= NOW.slice(0, 10) ? NOW : `${next.window.due}T10:00:00Z`;
    const duty = atHandIn({ facts, journal, now }).find((d) => d.code === code);
    if (duty) return { facts, journal, now, duty };
  }
  throw new Error(`${code}: add a world in which it is at hand`);
}

const isStillAtHand = (world: World, { code, subject }: Duty): boolean =>
  atHandIn(world).some((d) => d.code === code && d.subject.id === subject.id);

const after = (world: AtHand, data: JournalData, subject: SubjectRef = world.duty.subject): World => ({
  ...world,
  journal: [...world.journal, { id: 'z', at: world.now, subject: { kind: subject.kind, id: subject.id }, data }],
});
const looked = (seen: Surface[]): JournalData => ({ kind: 'look', lookId: 'z', looked: seen.length, notes: [], verdicts: [], seen });

const settledBy = (code: DutyCode) => dutyFacts(code).settledBy;
const BY_SEEING = DUTY_CODES.filter((code) => 'seeing' in settledBy(code));
const BY_DEED = DUTY_CODES.filter((code) => 'deed' in settledBy(code));
const BY_STATE = DUTY_CODES.filter((code) => 'state' in settledBy(code));

describe('what is settled by seeing', () => {
  it.each(BY_SEEING)('%s: by all that it asks for, and by nothing less', (code) => {
    const world = whereAtHand(code);
    const { facts } = world.duty;
    // What can be ticked off as well, and what asks for several things, does not count surfaces; it is told by the design.
    const sight = facts.says === 'rhythm' ? facts.sight : undefined;
    const { seeing } = settledBy(code) as { seeing: Parameters<typeof surfacesOfSight>[0] };
    const asked = sight?.asked ?? surfacesOfSight(seeing, world.facts.things[0]!);
    expect(asked).not.toEqual([]);
    const saw = (seen: Surface[]) => after(world, looked(seen), { kind: 'thing', id: world.facts.things[0]!.id });
    expect(isStillAtHand(saw(asked), world.duty)).toBe(false);
    for (const missed of asked) expect(isStillAtHand(saw(asked.filter((s) => s !== missed)), world.duty), `without ${missed}`).toBe(true);
    // Where a thing was moved to, and a clean that left everything, have shown nothing.
    expect(isStillAtHand(after(world, { kind: 'moved', placeName: 'Shelf' }), world.duty)).toBe(true);
    const outcomes = Object.fromEntries(asked.map((s) => [s, 'left' as const]));
    const undone: JournalData = { kind: 'clean', cleaningId: 'c', place: 'home', outcomes, contacts: {}, methods: [], minutes: 5 };
    expect(atHandIn(after(world, undone)).some((d) => d.subject.id === world.duty.subject.id)).toBe(true);
  });
});

/** The entry that does each deed. */
const DEEDS: Record<'frame' | 'gel' | 'salt-test' | 'wash', JournalData> = {
  frame: { kind: 'frame', frameId: 'f', fNumber: 16, specks: 0 },
  gel: { kind: 'gel', act: 'indicator' },
  'salt-test': { kind: 'salt-test' },
  wash: { kind: 'washed' },
};

describe('what is settled by a deed', () => {
  /** Its end is what the deed changed: the gel weighed or dried, the frame read. That is told by the facts. */
  const TOLD_BY_FACTS: Partial<Record<DutyCode, (facts: Facts) => Facts>> = {
    'gel-spent': (f) => ({ ...f, places: f.places.map((p) => ({ ...p, gel: p.gel && { ...p.gel, left: 1, spentOn: null } })) }),
    'sensor-clean': (f) => ({ ...f, things: f.things.map((t) => ({ ...t, sensor: { ...t.sensor!, advice: 'leave', shows: 0 } })) }),
    'cloth-wash': (f) => ({ ...f, supplies: f.supplies.map((s) => ({ ...s, state: 'clean', usesSinceWash: 0 })) }),
  };

  it.each(BY_DEED)('%s: by that deed, and by no other', (code) => {
    const world = whereAtHand(code);
    const by = settledBy(code) as { deed: keyof typeof DEEDS | 'tick' };
    const done = after(world, by.deed === 'tick' ? { kind: 'care', task: code } : DEEDS[by.deed]);
    const told = TOLD_BY_FACTS[code];
    expect(isStillAtHand(told ? { ...done, facts: told(done.facts) } : done, world.duty)).toBe(false);
    const others = DUTY_CODES.filter((other) => other !== code && dutyFacts(other).about === dutyFacts(code).about);
    for (const other of others) expect(isStillAtHand(after(world, { kind: 'care', task: other }), world.duty), `by ${other}`).toBe(true);
  });
});

describe('what is settled by the state of the world', () => {
  const calm = (f: Facts): Facts => ({ ...f, things: f.things.map((t) => ({ ...t, surfaces: [] })) });
  const places = (change: Partial<Facts['places'][number]>) => (f: Facts) => ({ ...f, places: f.places.map((p) => ({ ...p, ...change })) });
  /** How the world is when it is settled: as facts, or as what was done. */
  const SETTLED: Partial<Record<DutyCode, ((facts: Facts) => Facts) | JournalData>> = {
    isolate: (f) => ({ ...f, things: f.things.map((t) => ({ ...t, status: 'quarantined' })) }),
    'hand-over': { kind: 'away', why: 'service', until: null },
    weigh: { kind: 'away', why: 'service', until: null },
    clean: calm,
    replace: calm,
    wait: calm,
    'go-on': (f) => ({ ...f, things: f.things.map((t) => ({ ...t, open: [] })) }),
    'air-out': (f) => ({ ...f, things: f.things.map((t) => ({ ...t, stay: { ...t.stay!, forTravel: false } })) }),
    damp: places({ dampSince: null }),
    fungus: places({ assessment: null }),
    'too-dry': places({ drySince: null }),
    apart: places({ apart: null }),
    'leaves-band': places({ leaves: null }),
    'due-back': { kind: 'back' },
    silent: (f) => ({ ...f, hygrometers: f.hygrometers.map((h) => ({ ...h, silent: false })) }),
    restock: (f) => ({ ...f, supplies: f.supplies.map((s) => ({ ...s, stock: 500 })) }),
    'warm-up': (f) => ({ ...f, timers: [] }),
  };

  it.each(BY_STATE)('%s: by that state, and not by being looked at or ticked off', (code) => {
    const world = whereAtHand(code);
    const end = SETTLED[code];
    if (!end) throw new Error(`${code}: say here how the world is when it is settled`);
    const ended = typeof end === 'function' ? { ...world, facts: end(world.facts) } : after(world, end);
    expect(isStillAtHand(ended, world.duty)).toBe(false);
    expect(isStillAtHand(after(world, { kind: 'edited', changed: ['name'] }), world.duty)).toBe(true);
    if (world.duty.subject.kind === 'thing') expect(isStillAtHand(after(world, looked(['barrel'])), world.duty)).toBe(true);
  });
});
