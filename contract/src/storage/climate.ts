import { storage, type air, type fungus } from '@bright-keeper/core';
import Joi from 'joi';
import type { ClimateEvent, Forecast, Latest } from '../air/index.js';
import { id, toldFor } from '../joi.js';
import type { Place } from './places.js';

/** One day of a ribbon. */
export type RibbonDay = { day: string; meanPct: number; maxPct: number; minPct: number; dose: number; daysPast: number };

/** The desiccant in a place, as reckoned or as the air in it tells. */
export type GelState = {
  kind: storage.DesiccantKind;
  massG: number;
  loadingGPerG: number;
  /** Share of what it could take up to the upper end of the band that is still free, 0 to 1. */
  left: number;
  spentOn: string | null;
  knownFrom: 'measured' | 'reckoned' | 'indicator';
  since: string;
  /** What the room is taken to go on as. */
  roomAs: storage.GelReckoning['roomAs'];
};

export type PlaceSummary = Place & {
  latest: Latest | null;
  zone: air.ZoneId | null;
  things: number;
  assessment: fungus.Assessment | null;
  /** The one answer to whether it is safe. */
  standing: storage.Standing;
  ribbon: RibbonDay[];
  gel: GelState | null;
};
/** Things of which it is asked how long they have lain where they lie. */
export type LongOwned = { place: { id: string; name: string }; things: { id: string; addedAt: string; acquiredOn: string | null }[] };

export type StorageOverview = {
  places: PlaceSummary[];
  /** The air outside, if a station is heard. */
  outdoors: { name: string; latest: Latest | null; forecast: Forecast | null } | null;
  /** How many days the ribbons show. */
  ribbonDays: number;
  /** What came on the shelf with its place this month, and was most likely kept there long before. */
  longOwned: LongOwned[];
};

/** The home of a thing; `place` is null where it is better set apart, and `stays` where it is at home. */
export type HomeToBe = { place: { id: string; name: string } | null; stays: boolean; reasons: storage.HomeReason[] };

export type ThingInPlace = {
  itemId: string;
  name: string;
  since: string;
  /** It has fungus, or is in quarantine for it: it may not stay with the others. */
  sick: boolean;
  /** A better place for it, if there is one. */
  better: HomeToBe | null;
};

type Named = { id: string; name: string };
/** Where everything lives best. `found` is false where that was not found in time. */
export type HomesPage = { unmeasured: Named[] } & (
  | { found: false }
  | {
      found: true;
      /** Nothing is better. */
      proven: boolean;
      /** In the order in which they can be made. `aside`: its place is full until another has moved. */
      moves: {
        itemId: string;
        name: string;
        from: Named | null;
        to: Named | null;
        aside: boolean;
        /** What speaks against where it lies; null where nobody said where. */
        against: storage.HomeReason | null;
        reasons: storage.HomeReason[];
      }[];
      /** So many things are at home. */
      stay: number;
      /** What has no place that would suit it. */
      noRoom: Named[];
      /** What one more place would take in, as it is usual for its kind; none that is not worth a word. */
      more: { kind: storage.MorePlace['kind']; volumeL: number; gelG: number | null; things: number }[];
    }
);
export type RoomClimate = { source: 'place' | 'outdoors' | 'assumed'; name: string; readings: number };
/** What opening does to a place now, and in the hours ahead as far as they are foretold; `now` is null where that is not known. */
export type Airing = { by: 'room' | 'weather'; name: string; now: storage.Airing | null; hours: storage.AiringSpan[] };
export type PlacePage = PlaceSummary & {
  items: ThingInPlace[];
  events: ClimateEvent[];
  seal: storage.HalfLife | null;
  /** What the model uses: said, measured, or usual for its kind. */
  airChanges: { perDay: number | null; from: 'said' | 'measured' | 'usual' };
  room: RoomClimate;
  /** Null where nothing is known of what would come in. */
  airing: Airing | null;
  /** When its desiccant goes into the oven next; null where that is not within the year, or nobody can tell. */
  drying: storage.Drying | null;
};

/** One change by itself, and what would become of the place. */
export type AdvisedChange = Pick<storage.SingleChange, 'id' | 'amount' | 'placeName'> & Pick<storage.Figures, 'above' | 'below' | 'level'>;
/**
 * What would help most, and what that stands on: `measured` needs no model, `past` is a model that explained what was
 * measured, `usual` is a rule of thumb that promises nothing. `wait`: it is not safe, but was where it should be for most
 * of these weeks. `cannot-say`: what was measured is not what rules of thumb say.
 */
export type PlaceAdvice = { by: 'measured' | 'past' | 'usual' } & (
  | { verdict: 'nothing-needed' | 'wait' | 'cannot-say' | 'settle-first' }
  | { verdict: 'helps'; changes: AdvisedChange[] }
  | { verdict: 'nothing-helps'; nearest: AdvisedChange | null }
);

/** A place as its own log explains it, in short; or why it is not explained. */
export type FitInShort = Omit<storage.PlaceFit, 'ends' | 'hindcast'> & {
  /** How far it was off on so many days that it had never seen, % RH. */
  hindcast: Pick<storage.Hindcast, 'medianPct' | 'p90Pct'> & { days: number };
  /** Complete changes of its air a day, openings apart. */
  leakPerDay: number;
};
export type NotExplained = storage.CannotFit | { cannot: 'not-finished' };
export type PlaceExplanation = {
  /** The air it is held against, and its dampest thirty days of the last year. */
  around: RoomClimate & { dampest: { temperatureC: number; humidityPct: number; from: string } | null };
  fit: FitInShort | NotExplained;
  /** What would help most; null for what is made for the road: it is emptied, not improved. */
  advice: PlaceAdvice | null;
  /** How the year ahead goes if nothing is done; null where its past does not explain it, or desiccant in it is to be dried in time. */
  season: storage.Season | null;
};

/** Another of the keeper's places to stand in, instead of the one it stands in. */
export type WhatIfQuery = { roomId?: string };
export const whatIfQuery = Joi.object<WhatIfQuery>({ roomId: id() });

/** What the what-if page reckons with: the place as it is and the last weeks of the air around it. */
export type WhatIfStart = Pick<PlaceExplanation, 'around' | 'fit' | 'advice'> & {
  place: storage.FittedPlace;
  /** The same place at the ends of what is not sure. */
  ends: storage.FittedPlace[];
  /** Has it a seal, so that gel and openings do something? */
  closed: boolean;
  lowPct: number;
  highPct: number;
  /** The air around it over these weeks: the room’s, the weather’s, or what is taken for it. */
  outside: air.Reading[];
  /** When it was asked for: up to then it stands as it does. */
  now: string;
  /** Where both models stood when these weeks began: every course goes on from there. */
  start: Required<Pick<fungus.AssessOptions, 'start' | 'startRange'>>;
  /** The place as it was measured over the same weeks; null where it was not, or is not explained. */
  measured: air.Reading[] | null;
  /** The days it had never seen: what it said of them, and what was measured; a point for each stretch of hours, null where none was. */
  hindcast: { from: string; to: string; modelled: (number | null)[]; measured: (number | null)[] } | null;
};

export type PlaceEventInput = { at: string | null } & ({ kind: 'opened' } | storage.GelAct | { kind: 'note'; text: string });
const at = toldFor();
const kind = (...kinds: string[]) =>
  Joi.string()
    .valid(...kinds)
    .required();
export const placeEvent = Joi.alternatives<PlaceEventInput>().conditional('.kind', {
  switch: [
    {
      is: 'gel-set',
      then: Joi.object({
        kind: kind('gel-set'),
        at,
        desiccant: Joi.string()
          .valid(...storage.DESICCANT_KINDS)
          .required(),
        massG: Joi.number().min(1).max(100_000).required(),
        loadingPct: Joi.number().min(0).max(40).required(),
      }),
    },
    {
      is: 'indicator',
      then: Joi.object({
        kind: kind('indicator'),
        at,
        colour: Joi.string()
          .valid(...storage.INDICATOR_COLOURS)
          .required(),
      }),
    },
    { is: 'note', then: Joi.object({ kind: kind('note'), at, text: Joi.string().min(1).max(500).required() }) },
  ],
  otherwise: Joi.object({ kind: kind('opened', 'gel-dried', 'gel-out'), at }),
});

/** A wait for a thing that warms: of this size, wrapped like this. */
type Warming = { size: storage.TypicalThing | null; wrapping: storage.Wrapping };
export type Timer = Warming & { id: string; startedAt: string; endsAt: string; itemId: string | null };
export type TimerInput = Warming & { minutes: number; itemId: string | null };
export const timerInput = Joi.object<TimerInput>({
  size: Joi.string()
    .valid(...Object.keys(storage.TYPICAL_THINGS))
    .allow(null)
    .required(),
  wrapping: Joi.string()
    .valid(...Object.keys(storage.WRAPPINGS))
    .required(),
  minutes: Joi.number().min(1).max(2880).required(),
  itemId: id().allow(null).required(),
});
