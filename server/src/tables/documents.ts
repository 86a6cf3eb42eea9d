import { INTAKE_DOCUMENT, LAST_WORD_DOCUMENT } from './air.documents.js';
import { CHOSEN_SCHOOLS_DOCUMENT, EVENTS_DOCUMENT, PLAN_DOCUMENT, REQUEST_DOCUMENT, STAGES_DOCUMENT } from './care.documents.js';
import { BECAUSE_DOCUMENT, PARTICULARS_DOCUMENT, TRAITS_DOCUMENT } from './gear.documents.js';
import { ANSWERS_DOCUMENT } from './inspection.documents.js';
import { JOURNAL_DOCUMENT } from './journal.documents.js';
import { OFFER_DOCUMENT } from './record.documents.js';
import {
  BENCH_TIMES_DOCUMENT,
  BUSY_DOCUMENT,
  ENTRY_DOCUMENT,
  FILTER_DOCUMENT,
  PROBLEMS_DOCUMENT,
  RHYTHM_DOCUMENT,
} from './schedule.documents.js';
import { FRAME_DOCUMENT } from './sensor.documents.js';
import { SCHOOLS_DOCUMENT } from './settings.documents.js';
import type { DocumentColumn, DocumentKind } from '../db/index.js';

const lies = <T>(table: string, column: string, kind: DocumentKind<T>, key: readonly string[] = ['id']): DocumentColumn => ({
  table,
  column,
  key,
  kind: kind as DocumentKind<unknown>,
});

/** Every document that is kept, and where. */
export const DOCUMENTS: readonly DocumentColumn[] = [
  lies('item', 'traits', TRAITS_DOCUMENT),
  lies('item', 'particulars', PARTICULARS_DOCUMENT),
  lies('surface_state', 'because', BECAUSE_DOCUMENT, ['item_id', 'surface']),
  lies('journal_entry', 'data', JOURNAL_DOCUMENT),
  lies('rhythm', 'rhythm', RHYTHM_DOCUMENT),
  lies('bench_times', 'times', BENCH_TIMES_DOCUMENT),
  lies('calendar_feed', 'filter', FILTER_DOCUMENT),
  lies('calendar_event', 'entry', ENTRY_DOCUMENT, ['uid']),
  lies('busy_calendar', 'busy', BUSY_DOCUMENT),
  lies('busy_calendar', 'problems', PROBLEMS_DOCUMENT),
  lies('cleaning', 'plan', PLAN_DOCUMENT),
  lies('cleaning', 'request', REQUEST_DOCUMENT),
  lies('cleaning', 'events', EVENTS_DOCUMENT),
  lies('cleaning', 'chosen_schools', CHOSEN_SCHOOLS_DOCUMENT),
  lies('teardown', 'stages', STAGES_DOCUMENT),
  lies('look', 'answers', ANSWERS_DOCUMENT),
  lies('sensor_frame', 'data', FRAME_DOCUMENT),
  lies('settings', 'schools', SCHOOLS_DOCUMENT),
  lies('offer', 'seen', OFFER_DOCUMENT),
  { ...lies('device', 'intake', INTAKE_DOCUMENT), isOptional: true },
  { ...lies('device', 'last_word', LAST_WORD_DOCUMENT), isOptional: true },
];
