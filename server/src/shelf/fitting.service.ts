import type { FitPage, Item, ItemPage, JoinedThings, NamedThing, ScrewedThings, Vocabulary } from '@bright-keeper/contract';
import { type care, gear, trip } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { AgendaService } from '../agenda/index.js';
import { GearRepository } from '../gear/index.js';

type Told = gear.Fitting & { name: string };
type Whole = Awaited<ReturnType<GearRepository['particulars']>>[number];
const named = ({ id, name }: NamedThing): NamedThing => ({ id, name });

/** Particulars whose words are offered to whoever types the next. */
const OFFERED = ['maker', 'mount', 'takesMount', 'boughtFrom'] as const;
const MOST_OFFERED = 50;

/** What joins things: by mount or thread. */
const JOINING = ['mount', 'takesMount', 'threadMm'] as const;
const joins = ({ particulars }: Pick<gear.Fitting, 'particulars'>): boolean => JOINING.some((id) => particulars[id] !== undefined);
/** A lens, a body or a filter of which nobody said what it fits; of a bag that is no question. */
const isSilent = (thing: gear.Fitting): boolean =>
  thing.kind !== 'accessory' && JOINING.some((id) => gear.particularsOf(thing.kind).includes(id)) && !joins(thing);

/** Each word once however it is written, the most used first. */
function byUse(words: readonly string[]): { word: string; uses: number }[] {
  const counted = new Map<string, { word: string; uses: number }>();
  for (const word of words) {
    const key = word.toLowerCase();
    counted.set(key, { word: counted.get(key)?.word ?? word, uses: (counted.get(key)?.uses ?? 0) + 1 });
  }
  return [...counted.values()].sort((a, b) => b.uses - a.uses || a.word.localeCompare(b.word));
}

/** What fits what on the shelf, and the words it is told in. */
@Injectable()
export class FittingService {
  constructor(
    private readonly database: Database,
    private readonly repository: GearRepository,
    private readonly agenda: AgendaService,
  ) {}

  async vocabulary(): Promise<Vocabulary> {
    const things = await this.repository.particulars(this.database.db);
    const words = OFFERED.map((id) => {
      const used = byUse(things.flatMap(({ particulars }) => particulars[id] ?? []));
      return [id, used.slice(0, MOST_OFFERED).map((w) => w.word)] as const;
    });
    return {
      tags: byUse(things.flatMap((t) => t.particulars.tags ?? [])).map(({ word, uses }) => ({ tag: word, things: uses })),
      words: Object.fromEntries(words.filter(([, used]) => used.length > 0)),
    };
  }

  async page(): Promise<FitPage> {
    const { db } = this.database;
    const [things, lost] = await Promise.all([this.repository.particulars(db), this.lostCaps(db)]);
    const { threads, filters, rings } = gear.threadsOf(things);
    const wanted = trip.fewestRings({
      threads,
      filters,
      rings: [...rings.map((ring) => ({ ...ring, owned: true })), ...trip.ringsBetween([...threads, ...filters])],
    });
    const isOwned = ([from, to]: readonly [number, number]) => rings.some((ring) => ring.from === from && ring.to === to);
    return {
      mounts: jointsOf(things),
      nowhere: gear.onNothing(things).map(namesOf(things)),
      pairs: pairsOf(things),
      ringsToAdd: wanted.rings.filter((ring) => !isOwned(ring)),
      areRingsFewest: wanted.proven,
      ...capsOf(things, lost),
      capSizes: trip.fewestCaps({ threads, rings, spare: gear.spareCapsMm(things) }),
      silent: things.filter(isSilent).length,
    };
  }

  /** What one thing fits, what belongs together with it, and what else carries its serial number. */
  async of(db: Db, item: Item): Promise<Pick<ItemPage, 'fit' | 'sameSerial' | 'together'>> {
    const { id, name, kind, particulars } = item;
    const serial = gear.sameSerial(particulars.serial);
    const together = await this.together(db, item);
    if (serial === '' && !joins({ particulars })) return { fit: { mounts: [], threads: [] }, sameSerial: [], together };
    const others = (await this.repository.particulars(db)).filter((t) => t.id !== id);
    const all = [{ id, name, kind, particulars }, ...others];
    const hasPart = (...parts: NamedThing[]) => parts.some((part) => part.id === id);
    return {
      together,
      fit: {
        mounts: jointsOf(all).filter((joint) => hasPart(joint.thing, joint.on, ...joint.through)),
        threads: pairsOf(all, id),
      },
      sameSerial: serial === '' ? [] : others.filter((t) => gear.sameSerial(t.particulars.serial) === serial).map(named),
    };
  }

  private async together(db: Db, { id, belongsTo }: Item): Promise<ItemPage['together']> {
    const [own, owner] = await Promise.all([
      this.repository.ownOf(db, [id]),
      belongsTo === null ? null : this.repository.find(db, belongsTo),
    ]);
    return { to: owner && owner.archivedAt === null ? named(owner) : null, things: own.get(id)! };
  }

  /** The caps that were noted as lost and not found since, by the thing they are of. */
  private async lostCaps(db: Db): Promise<ReadonlyMap<string, care.Surface[]>> {
    const { duties } = await this.agenda.agenda({ only: ['cap-missing'] }, db);
    const lost = duties.flatMap(({ subject, facts }) => (facts.says === 'caps' ? [[subject.id, facts.missing] as const] : []));
    return new Map(lost);
  }
}

/** What became of caps and hoods; what belonged to a thing that is gone is spare. */
function capsOf(
  things: readonly Whole[],
  lost: ReadonlyMap<string, care.Surface[]>,
): Pick<FitPage, 'wantedCaps' | 'spareCaps' | 'hoodless'> {
  const here = new Set(things.map(({ id }) => id));
  const name = namesOf(things);
  const { wanted, spare, hoodless } = gear.capsAndHoods(
    things.map(({ traits, belongsTo, ...thing }) => ({
      ...thing,
      belongsTo: belongsTo !== null && here.has(belongsTo) ? belongsTo : null,
      hoodFitted: traits.hoodFitted === true,
      lost: lost.get(thing.id) ?? [],
    })),
  );
  return {
    wantedCaps: wanted.map((w) => ({ ...w, of: name(w.of), spare: w.spare === null ? null : name(w.spare) })),
    spareCaps: spare.map(({ id, left }) => ({ thing: name(id), left })),
    hoodless: hoodless.map(name),
  };
}

function jointsOf(things: readonly Told[]): JoinedThings[] {
  const name = namesOf(things);
  return gear.jointsOf(things).map(({ thing, on, through }) => ({ thing: name(thing), on: name(on), through: through.map(name) }));
}

function pairsOf(things: readonly Told[], of: string | null = null): ScrewedThings[] {
  const name = namesOf(things);
  return gear
    .filtersBefore(things, of)
    .map(({ filter, before, fit, rings }) => ({ filter: name(filter), before: name(before), fit, rings: rings.map(name) }));
}

function namesOf(things: readonly Told[]): (id: string) => NamedThing {
  const names = new Map(things.map((t) => [t.id, t.name]));
  return (id) => ({ id, name: names.get(id) ?? '' });
}
