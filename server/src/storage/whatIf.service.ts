import type { FitInShort, Place, PlaceExplanation, WhatIfStart } from '@bright-keeper/contract';
import { air, fungus, storage, MS_PER_DAY } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database } from '../db/index.js';
import { Clock } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { AdviceService, FEWEST_HOURS } from './advice.service.js';
import { FitService, type Fit } from './fit.service.js';
import { KnownService, type House, type Known } from './known.service.js';
import { boxOf, gelEventsOf, readingsSince, setPointOf, SURFACE_STATE } from './placeBox.js';
import { roomAround, WHAT_IF_DAYS } from './room.js';

const DAMPEST_DAYS = 30;
const YEAR_DAYS = 365;
/** A hindcast is drawn in so many points. */
const HINDCAST_POINTS = 240;

type Reckoned = Omit<WhatIfStart, 'advice' | 'now' | 'outside' | 'measured' | 'closed' | 'lowPct' | 'highPct'> & {
  trial: storage.Trial;
  /** What was measured of it over these weeks, explained or not; null where too little was. */
  figures: storage.Figures | null;
  standing: storage.Standing;
  disputed: boolean;
  options: fungus.AssessOptions;
};

/** What explains a place, and what would become of it with something changed. */
@Injectable()
export class WhatIfService {
  constructor(
    private readonly database: Database,
    private readonly known: KnownService,
    private readonly fits: FitService,
    private readonly advice: AdviceService,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
  ) {}

  /** What its past says of a place, and what would help it. */
  async explanation(id: string): Promise<PlaceExplanation> {
    const { db } = this.database;
    const place = await this.known.place(db, id);
    const known = await this.knownOf(place, await this.known.house(db));
    const { around, fit, ...reckoned } = await this.reckon(known);
    const season = await this.fits.seasonOf(known, this.known.wholeOf(known));
    return { around, fit, advice: await this.adviceOf(place, fit, reckoned), season };
  }

  /** The place as it is, and the air around it over the last weeks, or that of another place it might stand in. */
  async whatIf(id: string, roomId?: string): Promise<WhatIfStart> {
    const { db } = this.database;
    const place = await this.known.place(db, id);
    const house = await this.known.house(db);
    const { trial, figures, standing, disputed, options, ...start } = await this.reckon(await this.knownOf(place, house));
    const { lowPct, highPct, kind } = place;
    return {
      ...start,
      advice: await this.adviceOf(place, start.fit, { trial, figures, standing, disputed, options }),
      now: this.clock.now().toISOString(),
      closed: storage.placeFacts(kind).airChangesPerDay !== null,
      lowPct,
      highPct,
      outside: air.readingsOf(roomId ? await this.airOf(house, roomId) : trial.outside),
      measured: trial.measured && air.readingsOf(trial.measured),
    };
  }

  private knownOf(place: Place, house: House): Promise<Known> {
    return this.known.one(this.database.db, house, place);
  }

  /** The air of another place over the last weeks. @throws ProblemError where there is none. */
  private async airOf(house: House, roomId: string): Promise<air.AirLog> {
    await this.known.place(this.database.db, roomId);
    const toMs = this.clock.now().getTime();
    return roomAround(house.air, house.names, { standsInId: roomId }, { fromMs: toMs - WHAT_IF_DAYS * MS_PER_DAY, toMs }).log;
  }

  private adviceOf(
    place: Place,
    fit: WhatIfStart['fit'],
    { trial, figures, standing, disputed, options }: Pick<Reckoned, 'trial' | 'figures' | 'standing' | 'disputed' | 'options'>,
  ) {
    const asked = { place, trial, measured: figures, standing, disputed, explained: !('cannot' in fit), options };
    return this.advice.of(this.database.db, asked);
  }

  private async reckon(known: Known): Promise<Reckoned> {
    const { place, room } = known;
    const [fit, { schools }] = await Promise.all([this.fits.fitOf(known), this.settings.get(this.database.db)]);
    const nowMs = this.clock.now().getTime();
    const { whole } = this.known.assessed(known, schools.humidity);
    const assessed = { humiditySchool: schools.humidity, surfaceState: SURFACE_STATE };
    const fromMs = Math.max(nowMs - WHAT_IF_DAYS * MS_PER_DAY, explained(fit) ? gelSince(known) : 0);
    const within = readingsSince(whole, fromMs);
    const start = startOf(whole, within, assessed);
    const options = { ...assessed, ...start };
    const figures = within.length >= FEWEST_HOURS ? storage.figuresOf(within, place, options) : null;
    const isExplained = explained(fit) && figures !== null;
    const usual = storage.usualPlace(boxOf(place, this.known.sealOf(known), this.known.gelOf(known)), setPointOf(place));
    const own = isExplained ? filledAsItWas(fit.place, within) : usual;
    return {
      around: { ...room.climate, dampest: room.measured && dampestOf(readingsSince(room.log, nowMs - YEAR_DAYS * MS_PER_DAY)) },
      fit: explained(fit) ? inShort(fit) : fit,
      place: own,
      ends: isExplained ? fit.ends.map((end) => filledAsItWas(end, within)) : [],
      start,
      hindcast: explained(fit) ? drawn(fit, whole) : null,
      figures,
      standing: this.known.standingOf(known, schools.humidity),
      disputed: storage.isDisputed(known.apart),
      options,
      trial: {
        place: own,
        ends: [],
        open: storage.placeFacts(place.kind).airChangesPerDay === null,
        outside: readingsSince(isExplained && room.measured ? room.measured : room.log, fromMs),
        measured: isExplained ? within : null,
        weather: isExplained && room.climate.source === 'outdoors',
      },
    };
  }
}

const explained = (fit: Fit): fit is storage.PlaceFit => !('cannot' in fit);

/** When something was last done to its desiccant, ms. */
const gelSince = ({ events }: Known): number => {
  const last = gelEventsOf(events).findLast((e) => e.kind !== 'indicator');
  return last ? air.instantMs(last.at) : 0;
};

/** Where both models stood when these weeks began, and what earlier gaps may hide. */
function startOf(whole: air.AirLog, within: air.AirLog, options: fungus.AssessOptions): WhatIfStart['start'] {
  const before = whole.length - within.length;
  // The first reading of these weeks ends the last interval before them.
  const { now, best, worst } = fungus.assess(air.part(whole, 0, before > 0 ? Math.min(whole.length, before + 1) : 0), options);
  const bare = ({ index, dose, daysPast }: fungus.Exposure): fungus.Exposure => ({ index, dose, daysPast });
  return { start: now, startRange: { best: bare(best), worst: bare(worst) } };
}

/** Its desiccant as full as the air of the first day of these weeks says. */
function filledAsItWas(place: storage.FittedPlace, within: air.AirLog): storage.FittedPlace {
  if (!place.desiccant || within.length === 0) return place;
  const day = air.part(within, 0, Math.min(24, within.length));
  const loadingGPerG = storage.loadingByAir(place.desiccant.kind, day);
  return { ...place, desiccant: { ...place.desiccant, loadingGPerG } };
}

function inShort({ place, intervals, hindcast, somethingElse, fittedDays }: storage.PlaceFit): FitInShort {
  const { medianPct, p90Pct, readings } = hindcast;
  return {
    place,
    intervals,
    somethingElse,
    fittedDays,
    hindcast: { medianPct, p90Pct, days: readings.length / 24 },
    leakPerDay: storage.leakOf(place),
  };
}

/** The dampest thirty days, as means. */
function dampestOf({ length, ms, temperatureC, humidityPct }: air.AirLog): PlaceExplanation['around']['dampest'] {
  let best: PlaceExplanation['around']['dampest'] = null;
  let [from, sumC, sumPct] = [0, 0, 0];
  for (let i = 0; i < length; i++) {
    sumC += temperatureC[i]!;
    sumPct += humidityPct[i]!;
    while (ms[i]! - ms[from]! > DAMPEST_DAYS * MS_PER_DAY) {
      sumC -= temperatureC[from]!;
      sumPct -= humidityPct[from]!;
      from += 1;
    }
    const many = i - from + 1;
    const long = ms[i]! - ms[from]! >= 0.9 * DAMPEST_DAYS * MS_PER_DAY;
    if (long && (!best || sumPct / many > best.humidityPct))
      best = { temperatureC: sumC / many, humidityPct: sumPct / many, from: new Date(ms[from]!).toISOString() };
  }
  return best;
}

/** The days it had never seen, in no more points than are drawn. */
function drawn({ hindcast: { readings } }: storage.PlaceFit, whole: air.AirLog): WhatIfStart['hindcast'] {
  if (readings.length === 0) return null;
  const [fromMs, toMs] = [air.instantMs(readings[0]!.at), air.instantMs(readings.at(-1)!.at)];
  const points = Math.min(HINDCAST_POINTS, readings.length);
  const bucket = (ms: number) => Math.min(points - 1, Math.floor(((ms - fromMs) / Math.max(1, toMs - fromMs)) * points));
  const means = (log: air.AirLog): (number | null)[] => {
    const [sum, many] = [new Float64Array(points), new Float64Array(points)];
    for (let i = 0; i < log.length; i++) {
      sum[bucket(log.ms[i]!)]! += log.humidityPct[i]!;
      many[bucket(log.ms[i]!)]! += 1;
    }
    return Array.from(sum, (s, i) => (many[i]! > 0 ? s / many[i]! : null));
  };
  return {
    from: readings[0]!.at,
    to: readings.at(-1)!.at,
    modelled: means(air.columnsOf(readings)),
    measured: means(air.between(whole, fromMs, toMs)),
  };
}
