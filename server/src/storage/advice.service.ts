import type { AdvisedChange, Place, PlaceAdvice } from '@bright-keeper/contract';
import { fungus, storage, MS_PER_DAY, MS_PER_HOUR } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { SeriesService } from '../air/index.js';
import type { Db } from '../db/index.js';
import { Clock, Memo } from '../platform/index.js';
import { PlaceService } from '../places/index.js';
import { printOf, wholeHours } from './placeBox.js';
import { WHAT_IF_DAYS } from './room.js';

/** So many hours have to be measured before a place speaks for itself. */
export const FEWEST_HOURS = 24;
/** More rooms than this are not walked through for one piece of advice. */
const MOST_OTHER_ROOMS = 4;

const toAdvised = ({ change: { id, amount, placeName }, result }: storage.TriedChange): AdvisedChange => ({
  id,
  amount,
  placeName,
  above: result.above,
  below: result.below,
  level: result.level,
});

export type AdviceQuestion = {
  place: Place;
  trial: storage.Trial;
  /** What was measured of it over the same weeks; null where too little was. */
  measured: storage.Figures | null;
  /** How it stands: what is safe needs nothing. */
  standing: storage.Standing;
  /** Is it not known which of its hygrometers is right? */
  disputed: boolean;
  /** Was the place explained by its past? */
  explained: boolean;
  options: fungus.AssessOptions;
};

/** What would help a place. */
@Injectable()
export class AdviceService {
  private readonly memo = new Memo();

  constructor(
    private readonly places: PlaceService,
    private readonly series: SeriesService,
    private readonly clock: Clock,
  ) {}

  /** What would help a place most, reckoned once an hour at most over the same weeks as the what-if; null for what is made for the road. */
  async of(db: Db, question: AdviceQuestion): Promise<PlaceAdvice | null> {
    const { place, trial, measured, standing, disputed, explained, options } = question;
    // What is made for the road is emptied, not improved.
    if (storage.placeFacts(place.kind).forTravel) return null;
    if (disputed) return { by: 'measured', verdict: 'settle-first' };
    if (standing.says === 'safe') return { by: 'measured', verdict: 'nothing-needed' };
    if (measured && storage.needsNothing(measured)) return { by: 'measured', verdict: 'wait' };
    const nowMs = this.clock.now().getTime();
    const others = await this.otherRooms(db, place, nowMs - WHAT_IF_DAYS * MS_PER_DAY);
    const hour = Math.floor(nowMs / MS_PER_HOUR);
    const key = `${hour}/${options.humiditySchool}/${JSON.stringify([trial.place, place.lowPct, place.highPct, explained, measured])}/${printOf(wholeHours(trial.outside, hour))}/${others.map((o) => o.name).join()}`;
    return this.memo.get(place.id, key, () => advise(question, others));
  }

  /** Open places other than the one it stands in, with their air over the same weeks. */
  private async otherRooms(db: Db, place: Place, fromMs: number): Promise<storage.OtherRoom[]> {
    const open = (await this.places.all(db)).filter(
      (p) => storage.placeFacts(p.kind).airChangesPerDay === null && p.id !== place.id && p.id !== place.standsInId,
    );
    const house = await this.series.air(db);
    const span = { fromMs, toMs: this.clock.now().getTime() };
    const rooms = open.slice(0, MOST_OTHER_ROOMS).map(({ id, name }) => ({ name, readings: house.hourly(id, span) }));
    return rooms.filter((r) => r.readings.length >= FEWEST_HOURS);
  }
}

/** By the place’s own past where that is explained; else by rule of thumb, which has to see the same trouble to say anything. */
function advise({ place, trial, measured, explained, options }: AdviceQuestion, others: storage.OtherRoom[]): PlaceAdvice {
  const by = explained ? 'past' : 'usual';
  const now = explained && measured ? measured : storage.tryChange(trial, {}, place, options);
  const advice = storage.adviseChange(now, trial, place, options, others);
  switch (advice.verdict) {
    case 'nothing-needed':
      // It was measured to need something, and no rule of thumb sees why.
      return { by, verdict: measured ? 'cannot-say' : 'nothing-needed' };
    case 'helps':
      return { by, verdict: advice.verdict, changes: advice.changes.map(toAdvised) };
    case 'nothing-helps':
      return { by, verdict: advice.verdict, nearest: advice.nearest && toAdvised(advice.nearest) };
    default:
      return advice satisfies never;
  }
}
