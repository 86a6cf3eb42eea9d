import type { LiveTopic } from '@bright-keeper/contract';

/** What a page would say of a table that was written to; null where no page shows any of it. */
export const TOPIC_OF: Readonly<Record<string, LiveTopic | null>> = {
  item: 'gear',
  surface_state: 'gear',
  contact: 'gear',
  journal_entry: 'journal',
  look: 'looks',
  look_photo: 'looks',
  cleaning: 'cleanings',
  teardown: 'openings',
  teardown_photo: 'openings',
  place: 'places',
  stay: 'places',
  timer: 'places',
  climate_event: 'places',
  device: 'air',
  device_stay: 'air',
  reading_day: 'air',
  calibration: 'air',
  supply: 'drawer',
  settings: 'settings',
  outing: 'outings',
  sensor_frame: 'frames',
  dismissed_spot: 'frames',
  glare_test: 'frames',
  rhythm: 'calendars',
  bench_times: 'calendars',
  calendar_feed: 'calendars',
  busy_calendar: 'calendars',
  trail: 'trail',
  // What another calendar was told, so that it can be told of its end; and the bytes of pictures, which never change.
  calendar_event: null,
  blob: null,
  blob_part: null,
  // Not the household’s: whose turn it is to write, and the steps of the schema, in a schema of their own.
  drizzle: null,
};
