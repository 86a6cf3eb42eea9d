import { REPORT_LIMITS, type Item, type LogEntry } from '@bright-keeper/contract';
import type { record } from '@bright-keeper/core';
import { isPicture, type ThingToReport } from '@bright-keeper/words';
import { Injectable } from '@nestjs/common';
import { BlobRepository, smallPicture } from '../blobs/index.js';
import type { Db } from '../db/index.js';
import { FungusService } from '../fungus/index.js';
import { GearRepository, ItemFileRepository } from '../gear/index.js';
import { LookPhotoService } from '../inspection/index.js';
import { JournalRepository } from '../journal/index.js';
import { SensorService } from '../sensor/index.js';

type Taken = { surface: ThingToReport['photographs'][number]['surface']; at: string; blob: string };
/** Pictures that a report may still take. */
export type Room = { pictures: number };

/** All that is noted of a thing, from the rooms that know it. */
@Injectable()
export class ReportFacts {
  constructor(
    private readonly gear: GearRepository,
    private readonly files: ItemFileRepository,
    private readonly journal: JournalRepository,
    private readonly photos: LookPhotoService,
    private readonly fungus: FungusService,
    private readonly sensors: SensorService,
    private readonly blobs: BlobRepository,
  ) {}

  /** The one that is named, also where it is gone; else all that is on the shelf. */
  async items(db: Db, thing: string | undefined): Promise<Item[]> {
    return thing === undefined ? this.gear.all(db) : [await this.gear.versioned.find(db, thing)];
  }

  async of(db: Db, item: Item, parts: readonly record.ReportPart[], room: Room): Promise<ThingToReport> {
    const wants = (...some: record.ReportPart[]) => some.some((part) => parts.includes(part));
    const [states, log, exposure, tests, frame, taken] = await Promise.all([
      wants('surfaces') ? this.gear.statesOf(db, [item.id]) : null,
      wants('care', 'opened') ? this.journal.log(db, item.id, REPORT_LIMITS.entries, null) : ([] as LogEntry[]),
      wants('air') ? this.fungus.exposureOf(item.id) : null,
      wants('measured') ? this.sensors.glareTests(item.id) : null,
      wants('measured') ? this.sensors.lastFrame(db, item) : null,
      wants('photographs') ? this.taken(db, item.id) : ([] as Taken[]),
    ]);
    const fit = taken.slice(0, Math.min(REPORT_LIMITS.photographsOfOne, room.pictures));
    const photographs = await this.drawn(db, fit);
    room.pictures -= fit.length;
    return {
      item: { ...item, place: null },
      surfaces: states?.get(item.id) ?? [],
      photographs,
      photographsLeftOut: taken.length - photographs.length,
      exposure,
      log: log.slice(0, REPORT_LIMITS.entries),
      glare: tests?.tests.at(-1) ?? null,
      frame,
    };
  }

  /** Pictures of the thing itself, then of its surfaces, the newest first. */
  private async taken(db: Db, itemId: string): Promise<Taken[]> {
    const [own, ofSurfaces] = await Promise.all([this.files.of(db, itemId), this.photos.ofThing(db, itemId)]);
    const whole = own.filter((file) => file.role === 'picture' && isPicture(file));
    return [...whole.map(({ at, blob }) => ({ surface: null, at, blob })), ...ofSurfaces];
  }

  private async drawn(db: Db, taken: readonly Taken[]): Promise<ThingToReport['photographs']> {
    const drawn: { surface: Taken['surface']; at: string; jpeg: string }[] = [];
    for (const { surface, at, blob: hash } of taken) {
      const blob = await this.blobs.find(db, hash);
      // One picture that breaks off takes nothing else away: it is counted as left out.
      const jpeg = blob ? await smallPicture(await this.blobs.whole(db, blob)).catch(() => null) : null;
      if (jpeg) drawn.push({ surface, at, jpeg: jpeg.toString('base64') });
    }
    return drawn;
  }
}
