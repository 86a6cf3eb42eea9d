/** What the tables of a household are called by people. */
const WORDS: Record<string, string> = {
  item: 'Things',
  surface_state: 'What is known of their surfaces',
  look: 'Looks',
  cleaning: 'Cleanings',
  contact: 'Touches of a surface',
  teardown: 'Openings',
  teardown_photo: 'Photographs of openings',
  journal_entry: 'Entries of the logs',
  supply: 'Supplies',
  place: 'Places',
  stay: 'Where things were kept',
  device: 'Hygrometers',
  device_stay: 'Where hygrometers stood',
  reading_day: 'Days of readings',
  calibration: 'Salt tests',
  climate_event: 'Events of a place',
  forecast: 'Forecasts',
  timer: 'Timers',
  outing: 'Outings',
  rhythm: 'Rhythms',
  bench_times: 'Bench times',
  calendar_event: 'What calendars were told',
  calendar_feed: 'Calendar addresses',
  busy_calendar: 'Other calendars',
};

/** A table in words; one that is new here goes by its own name. */
export const tableWords = (table: string): string => WORDS[table] ?? table.replaceAll('_', ' ');
