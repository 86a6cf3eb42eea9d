import type { care, schedule } from '@bright-keeper/core';
import type { Alert, Timer } from '../storage/climate.js';
import type { Due, Item, LogEntry, SurfaceState } from '../gear/dto.js';

type Named = Pick<Item, 'id' | 'name' | 'kind' | 'traits' | 'status'>;

/** Everything that wants the keeper today, ranked by consequence. */
export type Today = {
  day: string;
  counts: { items: number; neverLooked: number };
  open: { kind: 'look' | 'cleaning'; id: string; startedAt: string; item: Named }[];
  /** Things whose last look asks for something; gravest first. */
  needs: {
    item: Named;
    verdict: Exclude<care.Verdict, 'leave'>;
    surfaces: Pick<SurfaceState, 'surface' | 'verdict' | 'findings' | 'because'>[];
  }[];
  alerts: Alert[];
  timers: Timer[];
  due: (Due & { item: Named; urgency: schedule.Urgency })[];
  recent: (LogEntry & { itemName: string })[];
};
