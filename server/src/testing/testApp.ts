import 'reflect-metadata';
import type { Cleaning, Item, ItemPage, LookDoc, Place, PlaceInput } from '@bright-keeper/contract';
import { routes } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import request from 'supertest';
import type { NetworkOptions } from '../access/index.js';
import { createApp } from '../app.js';
import { SeededIds, SetClock, type Ids, DataFolder, Disk } from '../platform/index.js';
import type { Database } from '../db/index.js';
import { BackupService } from '../household/index.js';
import { freshDatabase } from './freshDatabase.js';

export const START = new Date('2026-03-10T10:00:00Z');

/** A plain place in a room. */
export const SHELF: PlaceInput = {
  name: 'Shelf',
  kind: 'shelf',
  volumeL: 200,
  airChangesPerDay: null,
  openingsPerWeek: 0,
  lining: 'none',
  lowPct: 35,
  highPct: 60,
  standsInId: null,
  note: '',
};

type Given = { dataDir?: string | null; opened?: Database | null; ids?: Ids | null; network?: NetworkOptions | null };

/**
 * The whole application in this process over a database in memory, at a time the test sets.
 *
 * @param dataDir a folder of its own, for what is kept beside the database.
 * @param opened a database that is open already.
 * @param ids as a program makes them that is not the only one.
 * @param network how it can be opened to its network.
 */
export async function testApp({ dataDir = null, opened = null, ids: given = null, network = null }: Given = {}) {
  const clock = new SetClock(START);
  const ids = given ?? new SeededIds(clock);
  const database = opened ?? (await freshDatabase());
  const app: NestExpressApplication = await createApp(
    { database, clock, ids, disk: new Disk(dataDir), data: new DataFolder(dataDir) },
    { network },
  );
  await app.init();
  const http = request(app.getHttpServer());
  await http.put(routes.settings).send({ version: 1, schools: care.DEFAULT_SCHOOLS, timeZone: 'UTC', currency: 'EUR' });

  const add = async (name: string, more: Partial<Item> = {}): Promise<Item> =>
    (
      await http
        .post(routes.gear)
        .send({ name, kind: 'lens', traits: {}, notes: '', acquiredOn: null, ...more })
        .expect(201)
    ).body as Item;

  /** A finished look in which this was found; the other surfaces were not looked at. */
  const look = async (itemId: string, found: Partial<Record<care.Surface, Partial<Record<care.Soil, number>>>>): Promise<ItemPage> => {
    const doc = (await http.post(routes.looks).send({ itemId }).expect(201)).body as LookDoc;
    const answers = Object.entries(found).map(([surface, soils]) => ({
      surface,
      findings: Object.entries(soils).map(([soil, severity]) => ({ soil, severity })),
      note: '',
    }));
    const saved = (await http.put(routes.look(doc.id)).send({ version: doc.version, at: null, answers }).expect(200)).body as LookDoc;
    return (await http.post(routes.lookFinish(doc.id)).send({ version: saved.version }).expect(200)).body as ItemPage;
  };

  const startCleaning = async (itemId: string): Promise<Cleaning> =>
    (await http.post(routes.cleanings).send({ itemId, place: 'home' }).expect(201)).body as Cleaning;

  /** A shelf, or what else is said of it. */
  const addPlace = async (more: Partial<PlaceInput> = {}): Promise<Place> =>
    (
      await http
        .post(routes.places)
        .send({ ...SHELF, ...more })
        .expect(201)
    ).body as Place;

  return { app, http, clock, ids, database, dataDir, backups: app.get(BackupService), add, look, startCleaning, addPlace };
}

export type TestApp = Awaited<ReturnType<typeof testApp>>;
