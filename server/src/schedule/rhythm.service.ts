import { schedule } from '@bright-keeper/core';
import type { Item } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { isDeepStrictEqual } from 'node:util';
import type { Db } from '../db/database.js';
import { Clock, Ids } from '../platform/clock.js';
import { SettingsService } from '../settings/settings.service.js';
import { ScheduleRepository } from './schedule.repository.js';

type Thing = Pick<Item, 'id' | 'kind' | 'traits' | 'status'>;

/** Keeps every thing's due windows: begins them, and moves them on when something is done. */
@Injectable()
export class RhythmService {
  constructor(
    private readonly repository: ScheduleRepository,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  async today(db: Db): Promise<schedule.Day> {
    const { timeZone } = await this.settings.get(db);
    return schedule.localDay(this.clock.now(), timeZone);
  }

  /** Begins the rhythms of new things: the first look is due now, the rest after their interval. */
  async begin(db: Db, things: readonly Thing[]): Promise<void> {
    const today = await this.today(db);
    await this.repository.save(
      db,
      things.flatMap((thing) =>
        schedule.tasksFor(thing.kind, thing.traits, thing.status).map((task) => this.firstWindow(thing, task, today)),
      ),
    );
  }

  /** The thing has become another one (kind or status changed): drop what no longer recurs and begin what is new. */
  async realign(db: Db, thing: Thing): Promise<void> {
    const wanted = schedule.tasksFor(thing.kind, thing.traits, thing.status);
    const present = (await this.repository.ofItems(db, [thing.id])).map((d) => d.task);
    const keep = [...wanted, ...(thing.status === 'in-use' ? schedule.ONCE_TASKS : [])];
    await this.repository.dropAllBut(db, thing.id, keep);
    const today = await this.today(db);
    const fresh = wanted.filter((task) => !present.includes(task));
    await this.repository.save(
      db,
      fresh.map((task) =>
        thing.status === 'quarantined' ? this.row(thing.id, task, today, { because: 'quarantined' }) : this.firstWindow(thing, task, today),
      ),
    );
  }

  /** A look counts for every task done by looking. */
  async lookedAt(db: Db, thing: Thing): Promise<void> {
    await this.moveOn(db, thing, ['look', 'look-or-clean'], { because: 'last-look' });
    await this.doneOnce(db, thing.id);
  }

  /** After a clean the thing has been looked at closely; what was left undone is looked at again soon. */
  async cleaned(db: Db, thing: Thing, { leftUndone, place }: { leftUndone: boolean; place: 'home' | 'field' }): Promise<void> {
    await this.moveOn(db, thing, ['look', 'look-or-clean'], { because: 'last-clean' });
    // What waits for home is not done by a clean in the field.
    await this.doneOnce(db, thing.id, place === 'field' ? ['home-care'] : []);
    if (leftUndone && thing.status === 'in-use')
      await this.repository.save(db, [this.row(thing.id, 'follow-up-look', await this.today(db), { because: 'left-undone' })]);
  }

  /** A task that is only ticked off. */
  async marked(db: Db, itemId: string, task: schedule.TaskId): Promise<void> {
    await this.repository.save(db, [this.row(itemId, task, await this.today(db), { because: 'last-done' })]);
  }

  /** What was put off in the field waits at home; what already waits keeps its reason and its earlier day. */
  async waitForHome(db: Db, itemId: string, because: schedule.DueBecause, withinDays: number): Promise<void> {
    const today = await this.today(db);
    const waiting = (await this.repository.ofItems(db, [itemId])).find((d) => d.task === 'home-care');
    const told = (waiting?.because ?? []).filter((b) => !isDeepStrictEqual(b, because));
    const latest = schedule.addDays(today, withinDays);
    const row = { ...this.row(itemId, 'home-care', today, because), because: [...told, because] };
    await this.repository.save(db, [{ ...row, latest: waiting && waiting.latest < latest ? waiting.latest : latest }]);
  }

  /** A finish that tacks, aired or removed, is pressed again in two months: it turns where it is shut away. */
  async watchSticky(db: Db, itemId: string, because: 'finish-tacks' | 'finish-was-worked-on'): Promise<void> {
    await this.repository.save(db, [this.row(itemId, 'sticky-look', await this.today(db), { because })]);
  }

  /** Looks at everything that shared a place with a thing of this name that has gone into quarantine: now, after 4 and after 12 weeks. */
  async watchNeighbours(db: Db, neighbours: readonly string[], name: string): Promise<void> {
    const today = await this.today(db);
    await this.repository.save(
      db,
      neighbours.flatMap((id) => schedule.NEIGHBOUR_LOOKS.map((task) => this.row(id, task, today, { because: 'shared-a-place', name }))),
    );
  }

  /** A look or a clean does what was to be done once, if its time had come. */
  private async doneOnce(db: Db, itemId: string, except: readonly schedule.TaskId[] = []): Promise<void> {
    const today = await this.today(db);
    const due = (await this.repository.ofItems(db, [itemId])).filter((d) => d.task === 'follow-up-look' || d.earliest <= today);
    await this.repository.drop(
      db,
      itemId,
      due.map((d) => d.task).filter((task) => schedule.ONCE_TASKS.includes(task) && !except.includes(task)),
    );
  }

  private async moveOn(db: Db, thing: Thing, doneBy: schedule.Rhythm['doneBy'][], because: schedule.DueBecause): Promise<void> {
    const today = await this.today(db);
    const tasks = schedule.tasksFor(thing.kind, thing.traits, thing.status).filter((task) => doneBy.includes(schedule.rhythm(task).doneBy));
    await this.repository.save(
      db,
      tasks.map((task) => this.row(thing.id, task, today, because)),
    );
  }

  private firstWindow(thing: Thing, task: schedule.TaskId, today: schedule.Day) {
    const window = schedule.nextWindow(task, thing.id, today);
    if (schedule.rhythm(task).doneBy === 'mark') return this.fromWindow(window, task, { because: 'since-on-the-shelf' });
    const { windowDays } = schedule.rhythm(task);
    return this.fromWindow({ ...window, earliest: today, due: today, latest: schedule.addDays(today, windowDays) }, task, {
      because: 'never-looked-at',
    });
  }

  private row(itemId: string, task: schedule.TaskId, lastDone: schedule.Day, because: schedule.DueBecause) {
    return this.fromWindow(schedule.nextWindow(task, itemId, lastDone), task, because);
  }

  private fromWindow(
    { subjectId, earliest, due, latest, minutes }: schedule.DueWindow,
    task: schedule.TaskId,
    because: schedule.DueBecause,
  ) {
    return { id: this.ids.next(), itemId: subjectId, task, earliest, due, latest, minutes, because: [because] };
  }
}
