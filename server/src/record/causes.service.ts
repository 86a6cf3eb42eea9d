import type { CausesTold } from '@bright-keeper/contract';
import { care, record, schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database, type Db, Kept } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { JournalRepository } from '../journal/index.js';
import { StayRepository } from '../places/index.js';
import { Clock } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { calibrations, climateEvents, items, journalEntries, outings, places, settings, stays } from '../tables/index.js';
import { OutingRepository } from '../trip/index.js';

type Thing = { id: string; kind: care.ItemKind; traits: care.Traits };

/** A look or a clean as the log tells it; null for what is neither. A look of before its surfaces were kept counts for all. */
function seenOrCleaned({ at, data }: schedule.Entry, { kind, traits }: Thing): record.SeenOrCleaned | null {
  const ms = Date.parse(at);
  if (data.kind === 'look') {
    const found = data.verdicts.flatMap(({ surface, findings }) => findings.map(({ soil }) => ({ surface, soil })));
    return { ms, did: 'look', seen: data.seen ?? care.surfacesOf(kind, traits), found };
  }
  if (data.kind !== 'clean') return null;
  const clean = Object.entries(data.outcomes).filter(([, outcome]) => outcome === 'clean-enough');
  return { ms, did: 'clean', clean: clean.map(([surface]) => surface as care.Surface) };
}

/** What goes before which dirt, by the household's own looks. */
@Injectable()
export class CausesService {
  private readonly kept = new Kept<CausesTold>();

  constructor(
    private readonly database: Database,
    private readonly gear: GearRepository,
    private readonly journal: JournalRepository,
    private readonly outings: OutingRepository,
    private readonly stays: StayRepository,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
  ) {}

  told(): Promise<CausesTold> {
    const { db } = this.database;
    const tables = [items, journalEntries, calibrations, climateEvents, outings, places, stays, settings];
    return this.kept.get(this.database.stampFor(db, tables), () => this.reckoned(db));
  }

  private async reckoned(db: Db): Promise<CausesTold> {
    const [all, entries, lies, lay] = await Promise.all([
      this.gear.ever(db),
      this.journal.forDuties(db),
      this.stays.open(db),
      this.stays.ended(db),
    ]);
    const { timeZone } = await this.settings.get(db);
    const journal = new schedule.Journal(entries, timeZone, this.clock.now().toISOString());
    const risks = all.flatMap((thing) => {
      const own = journal.of({ kind: 'thing', id: thing.id });
      return record.atRisk({ ...thing, entries: own.flatMap((entry) => seenOrCleaned(entry, thing) ?? []) });
    });
    const now = this.clock.now().getTime();
    const spans: record.WentThrough[] = [
      ...(await this.outThere(db, all, timeZone)),
      ...[...lies.map((l) => ({ ...l, until: null })), ...lay].map(({ itemId, placeId, since, until }) => ({
        cause: { is: 'place' as const, placeId },
        itemId,
        fromMs: since.getTime(),
        toMs: until?.getTime() ?? now,
      })),
    ];
    const { told, ...counts } = record.whatGoesBefore(risks, spans);
    const names = new Map([
      ...all.map(({ id, name }) => [id, name] as const),
      ...[...lies, ...lay].map(({ placeId, name }) => [placeId, name] as const),
    ]);
    const nameOf = (cause: record.Cause): string | null =>
      cause.is === 'with' ? (names.get(cause.itemId) ?? null) : cause.is === 'place' ? (names.get(cause.placeId) ?? null) : null;
    return {
      ...counts,
      // JSON has no number without an end.
      told: told.map((one) => ({ ...one, high: Number.isFinite(one.high) ? one.high : null, name: nameOf(one.cause) })),
      looks: new Set(risks.map(({ itemId, toMs }) => `${itemId} ${toMs}`)).size,
    };
  }

  /** Every outing of every thing, with what its ground and its company may have brought. */
  private async outThere(db: Db, all: readonly Thing[], timeZone: string): Promise<record.WentThrough[]> {
    const things = new Map(all.map((thing) => [thing.id, thing]));
    const hasSensor = (id: string): boolean => {
      const thing = things.get(id);
      return thing !== undefined && care.hasSurface(thing.kind, thing.traits, 'sensor-cover');
    };
    return (await this.outings.all(db)).flatMap(({ from, to, place, also, met, itemIds }) => {
      const fromMs = schedule.startOfDay(from, timeZone);
      const toMs = schedule.startOfDay(schedule.addDays(to, 1), timeZone);
      const shared: record.Cause[] = [
        { is: 'out' },
        ...[...new Set([place, ...also])].map((ground) => ({ is: 'ground' as const, ground })),
        ...met.map((m) => ({ is: 'met' as const, met: m })),
      ];
      const lenses = itemIds.filter((id) => things.get(id)?.kind === 'lens');
      return itemIds.flatMap((itemId) => {
        // A lens may bring dirt into a body that it is changed on.
        const company: record.Cause[] = hasSensor(itemId) ? lenses.map((id) => ({ is: 'with' as const, itemId: id })) : [];
        return [...shared, ...company].map((cause) => ({ cause, itemId, fromMs, toMs }));
      });
    });
  }
}
