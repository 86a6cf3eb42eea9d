import { scheduleErrors, type Item, type Today } from '@bright-keeper/contract';
import { care, schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database } from '../db/database.js';
import { GearRepository } from '../gear/gear.repository.js';
import { OpenWorkRepository } from '../gear/openWork.repository.js';
import { problem } from '../http/problem.js';
import { Clock, Ids } from '../platform/clock.js';
import { RhythmService } from '../schedule/rhythm.service.js';
import { ClimateService } from '../storage/climate.service.js';
import { TimerService } from '../storage/timer.service.js';
import { ScheduleRepository } from '../schedule/schedule.repository.js';

const RECENT = 8;

const worst = ({ findings }: Today['needs'][number]['surfaces'][number]) => Math.max(0, ...findings.map((f) => f.severity));
const named = ({ id, name, kind, traits, status }: Item): Today['open'][number]['item'] => ({ id, name, kind, traits, status });

/** What wants the keeper now, gathered from every area. */
@Injectable()
export class TodayService {
  constructor(
    private readonly database: Database,
    private readonly gear: GearRepository,
    private readonly openWork: OpenWorkRepository,
    private readonly due: ScheduleRepository,
    private readonly rhythms: RhythmService,
    private readonly climate: ClimateService,
    private readonly timers: TimerService,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  async today(): Promise<Today> {
    const { db } = this.database;
    const day = await this.rhythms.today(db);
    const open = await this.openWork.all(db);
    const due = await this.due.openOn(db, day);
    const items = new Map(
      (await this.gear.findMany(db, [...new Set([...open.map((o) => o.itemId), ...due.map((d) => d.subjectId)])])).map((i) => [
        i.id,
        named(i),
      ]),
    );
    return {
      day,
      counts: await this.gear.countOf(db),
      open: open.map(({ kind, id, startedAt, itemId }) => ({ kind, id, startedAt: startedAt.toISOString(), item: items.get(itemId)! })),
      alerts: await this.climate.alerts(),
      timers: await this.timers.all(),
      needs: await this.needs(),
      due: due.map((d) => ({ ...d, item: items.get(d.subjectId)!, urgency: schedule.urgencyOf(d, day) })),
      recent: await this.gear.recentLog(db, RECENT),
    };
  }

  /** Ticks off a task that is not done by looking. */
  markDone(dueId: string): Promise<void> {
    return this.database.transaction(async (db) => {
      const due = await this.due.find(db, dueId);
      if (!due) throw problem(scheduleErrors, 'due-not-found');
      if (schedule.rhythm(due.task).doneBy !== 'mark') throw problem(scheduleErrors, 'done-by-looking');
      await this.rhythms.marked(db, due.subjectId, due.task);
      await this.gear.addLog(db, [
        { id: this.ids.next(), itemId: due.subjectId, at: this.clock.now(), data: { kind: 'care', task: due.task } },
      ]);
    });
  }

  private async needs(): Promise<Today['needs']> {
    const byItem = new Map<string, Today['needs'][number]>();
    for (const { item, state } of await this.gear.needy(this.database.db)) {
      const verdict = state.verdict as Today['needs'][number]['verdict'];
      const need = byItem.get(item.id) ?? { item: named(item), verdict, surfaces: [] };
      if (care.gravity(verdict) > care.gravity(need.verdict)) need.verdict = verdict;
      need.surfaces.push({ surface: state.surface, verdict, findings: state.findings, because: state.because });
      byItem.set(item.id, need);
    }
    for (const need of byItem.values())
      need.surfaces.sort((a, b) => care.gravity(b.verdict) - care.gravity(a.verdict) || worst(b) - worst(a));
    return [...byItem.values()].sort((a, b) => care.gravity(b.verdict) - care.gravity(a.verdict) || a.item.name.localeCompare(b.item.name));
  }
}
