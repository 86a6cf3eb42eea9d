import type { AssessReason } from '../fungus/index.js';
import type { DesiccantKind } from './desiccants.js';
import type { SeasonSide } from './season.js';

/** How fungus threatens: expected now, rising, left over from a damp season, or a log too thin to call it safe. */
export const FUNGUS_THREATS = ['expected', 'rising', 'long-damp', 'thin-log'] as const;
export type FungusThreat = (typeof FUNGUS_THREATS)[number];

/** What one of two hygrometers says, and when it was tested last; null where it never was. */
export type ToldBy = { deviceId: string; name: string; humidityPct: number; temperatureC: number; testedAt: string | null };

/** What wants the keeper about a place or a hygrometer, as a cause with its facts; the sentences are made in `words`. */
export type AlertFacts =
  | { cause: 'fungus'; threat: FungusThreat; because: AssessReason | null }
  /** The day's mean lies above the band, or has been far below it for long. */
  | { cause: 'damp'; highPct: number }
  | { cause: 'too-dry' }
  | {
      cause: 'gel-spent';
      daysLeft: number;
      kind: DesiccantKind;
      massG: number;
      left: number;
      knownFrom: 'measured' | 'reckoned' | 'indicator';
    }
  /** The coming season takes it out of its band. */
  | {
      cause: 'leaves-band';
      side: SeasonSide;
      /** Local days; `latest` is null where it perhaps does not. */ on: string;
      earliest: string;
      latest: string | null;
      highPct: number;
    }
  /** Two hygrometers in the same air that say different things. */
  | { cause: 'apart'; wetter: ToldBy; drier: ToldBy; at: string }
  /** A thing forgotten in a bag. */
  | { cause: 'too-closed'; itemId: string }
  | { cause: 'silent'; deviceId: string };
