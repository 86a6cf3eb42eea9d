import {
  frameFacts,
  sensorErrors,
  type Dismissed,
  type DismissInput,
  type FramePart,
  type GlareInput,
  type GlareTest,
  type GlareTests,
  type Item,
  type Outing,
  type SensorFrame,
  type SensorFrameInput,
  type SensorFrames,
  type SensorFrameUpdate,
} from '@bright-keeper/contract';
import { care, schedule, sensor } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { BlobRepository, FILE_TYPE, type KeptType, pictureToKeep } from '../blobs/index.js';
import { Kept, Database, type Db } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { problem } from '../http/index.js';
import { JournalRepository } from '../journal/index.js';
import { Clock, Ids, grouped } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { settings, outings, dismissedSpots, sensorFrames } from '../tables/index.js';
import { OutingRepository } from '../trip/index.js';
import { SensorRepository, type FrameRow } from './sensor.repository.js';

const dayOf = (at: Date, timeZone: string): schedule.Day => schedule.localDay(at.toISOString(), timeZone);

type Exposed = Pick<SensorFrame, 'exposures' | 'lensChanges'>;
const UNEXPOSED: Exposed = { exposures: 0, lensChanges: 0 };

/** Lens changes of a body on an outing: those of the whole outing, unless they are known by thing. */
const changesOn = ({ used, lensChanges }: Outing, itemId: string): number | null => (used[itemId] ?? { lensChanges }).lensChanges;

/** Outings with a body that ended after one frame and not after the next, and its lens changes on them. */
function between(all: readonly Outing[], itemId: string, after: schedule.Day, until: schedule.Day): Exposed {
  const own = all.filter((o) => o.itemIds.includes(itemId) && o.to > after && o.to <= until);
  const changes = own.map((outing) => changesOn(outing, itemId));
  const areCounted = changes.every((n) => n !== null);
  return { exposures: own.length, lensChanges: areCounted ? changes.reduce<number>((sum, n) => sum + n, 0) : null };
}

/** Frames of sensors, what they tell over time, and tests of glare. */
@Injectable()
export class SensorService {
  private readonly told = new Kept<Map<string, schedule.SensorFacts>>();

  constructor(
    private readonly database: Database,
    private readonly repository: SensorRepository,
    private readonly blobs: BlobRepository,
    private readonly gear: GearRepository,
    private readonly journal: JournalRepository,
    private readonly outings: OutingRepository,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  async frames(itemId: string, db: Db = this.database.db): Promise<SensorFrames> {
    await this.body(db, itemId);
    const rows = await this.repository.frames(db, itemId);
    const counts = await this.exposures(db, rows);
    return { frames: rows.map((row, i) => this.view(row, counts[i]!)), dismissed: await this.repository.dismissed(db, itemId) };
  }

  add({ itemId, takenAt, ...data }: SensorFrameInput): Promise<SensorFrame> {
    return this.database.transaction(async (db) => {
      await this.body(db, itemId);
      const id = this.ids.next();
      await this.repository.insert(db, { id, itemId, takenAt: new Date(takenAt), data, createdAt: this.clock.now() });
      const entry = { kind: 'frame', frameId: id, fNumber: data.fNumber, specks: data.spots.filter(sensor.isSure).length } as const;
      await this.journal.addForThings(db, [{ id: this.ids.next(), itemId, at: new Date(takenAt), data: entry }]);
      return this.frame(db, id);
    });
  }

  update(id: string, { version, ...change }: SensorFrameUpdate): Promise<SensorFrame> {
    return this.database.transaction(async (db) => {
      const row = await this.repository.versioned.find(db, id);
      await this.repository.versioned.update(db, id, version, { data: { ...row.data, ...change } }, () => this.frame(db, id));
      return this.frame(db, id);
    });
  }

  /** Keeps its picture, made small, or the file as it came. */
  async keepPicture(id: string, part: FramePart, bytes: Uint8Array): Promise<void> {
    // Before the transaction: others need not wait while a picture is worked on. An original is what it is, to the byte.
    const { type, data }: { type: KeptType; data: Uint8Array } =
      part === 'preview' ? await pictureToKeep(bytes) : { type: FILE_TYPE, data: bytes };
    await this.database.transaction(async (db) => {
      const row = await this.repository.versioned.find(db, id);
      const hash = await this.blobs.put(db, type, data, this.clock.now());
      await this.repository.setPicture(db, id, part, hash);
      const before = row[part];
      if (before && before !== hash) await this.blobs.removeUnused(db, before);
    });
  }

  /** Removes a frame, and takes its entry in the log back. */
  remove(id: string): Promise<void> {
    return this.database.transaction(async (db) => {
      const { preview, original, itemId } = await this.repository.versioned.find(db, id);
      await this.repository.remove(db, id);
      for (const hash of [preview, original]) if (hash) await this.blobs.removeUnused(db, hash);
      const entry = await this.journal.ofFrame(db, itemId, id);
      if (entry)
        await this.journal.addForThings(db, [
          { id: this.ids.next(), itemId, at: this.clock.now(), data: { kind: 'undone', entryId: entry } },
        ]);
    });
  }

  dismiss({ itemId, x, y }: DismissInput): Promise<Dismissed> {
    return this.database.transaction(async (db) => {
      await this.body(db, itemId);
      const row = { id: this.ids.next(), itemId, x, y, at: this.clock.now() };
      await this.repository.dismiss(db, row);
      return { id: row.id, x, y, at: row.at.toISOString() };
    });
  }

  async undismiss(id: string): Promise<void> {
    const there = await this.database.transaction((db) => this.repository.undismiss(db, id));
    if (!there) throw problem(sensorErrors, 'dismissal-not-found');
  }

  async glareTests(itemId: string): Promise<GlareTests> {
    const { db } = this.database;
    await this.gear.versioned.find(db, itemId);
    const { timeZone } = await this.settings.get(db);
    const journal = new schedule.Journal(await this.journal.forDuties(db, [itemId]), timeZone, this.clock.now().toISOString());
    const cleans = journal.of({ kind: 'thing', id: itemId }).filter((e) => e.data.kind === 'clean');
    return { tests: await this.repository.glareTests(db, itemId), cleanedAt: cleans.map((e) => e.at) };
  }

  addGlare({ takenAt, ...input }: GlareInput): Promise<GlareTest> {
    return this.database.transaction(async (db) => {
      await this.gear.versioned.find(db, input.itemId);
      return this.repository.addGlare(db, { ...input, id: this.ids.next(), takenAt: new Date(takenAt) });
    });
  }

  async removeGlare(id: string): Promise<void> {
    const there = await this.database.transaction((db) => this.repository.removeGlare(db, id));
    if (!there) throw problem(sensorErrors, 'glare-not-found');
  }

  /** What the frames of each body say of it, for the agenda. */
  bodies(db: Db): Promise<Map<string, schedule.SensorFacts>> {
    return this.told.get(this.database.stampFor(db, [sensorFrames, dismissedSpots, outings, settings]), async () => {
      const rows = await this.repository.allFrames(db);
      if (rows.length === 0) return new Map();
      const { schools } = await this.settings.get(db);
      const dismissed = grouped(await this.repository.allDismissed(db), (d) => d.itemId);
      const told = new Map<string, schedule.SensorFacts>();
      for (const [itemId, own] of grouped(rows, (r) => r.itemId)) {
        const counts = await this.exposures(db, own);
        const story = sensor.storyOf(
          own.map(({ id, takenAt, data }, i) => frameFacts(data, { id, at: takenAt.toISOString(), ...counts[i]! })),
          dismissed.get(itemId) ?? [],
          schools.sensor,
        );
        const { judgement } = story.chapters.at(-1)!;
        told.set(itemId, {
          frameAt: own.at(-1)!.takenAt.toISOString(),
          advice: judgement.advice,
          shows: judgement.shows,
          next: story.next,
        });
      }
      return told;
    });
  }

  /** What the last frame of a body says of it; null where it has no sensor, or none was taken. */
  async lastFrame(db: Db, item: Item): Promise<{ at: string; judgement: sensor.SensorJudgement } | null> {
    if (!care.hasSurface(item.kind, item.traits, 'sensor-cover')) return null;
    const { frames, dismissed } = await this.frames(item.id, db);
    const last = frames.at(-1);
    if (!last) return null;
    const { schools } = await this.settings.get(db);
    const facts = frames.map((frame) => frameFacts(frame, { ...frame, at: frame.takenAt }));
    return { at: last.takenAt, judgement: sensor.storyOf(facts, dismissed, schools.sensor).chapters.at(-1)!.judgement };
  }

  private async exposures(db: Db, rows: readonly FrameRow[]): Promise<Exposed[]> {
    if (rows.length < 2) return rows.map(() => UNEXPOSED);
    const { timeZone } = await this.settings.get(db);
    const all = await this.outings.all(db);
    return rows.map((row, i) =>
      i === 0 ? UNEXPOSED : between(all, row.itemId, dayOf(rows[i - 1]!.takenAt, timeZone), dayOf(row.takenAt, timeZone)),
    );
  }

  private async body(db: Db, id: string): Promise<Item> {
    const item = await this.gear.versioned.find(db, id);
    if (!care.hasSurface(item.kind, item.traits, 'sensor-cover')) throw problem(sensorErrors, 'no-sensor');
    return item;
  }

  private async frame(db: Db, id: string): Promise<SensorFrame> {
    const { itemId } = await this.repository.versioned.find(db, id);
    const { frames } = await this.frames(itemId, db);
    return frames.find((f) => f.id === id)!;
  }

  private view({ id, itemId, version, takenAt, data, preview, original }: FrameRow, exposed: Exposed): SensorFrame {
    return { id, itemId, version, takenAt: takenAt.toISOString(), ...data, preview, original, ...exposed };
  }
}
