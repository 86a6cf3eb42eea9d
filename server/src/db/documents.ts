import { CHOSEN_SCHOOLS_DOCUMENT, EVENTS_DOCUMENT, PLAN_DOCUMENT, REQUEST_DOCUMENT, STAGES_DOCUMENT } from '../care/care.documents.js';
import { BECAUSE_DOCUMENT, TRAITS_DOCUMENT } from '../gear/gear.documents.js';
import { ANSWERS_DOCUMENT } from '../inspection/inspection.documents.js';
import { DUE_DOCUMENT } from '../schedule/schedule.documents.js';
import { SCHOOLS_DOCUMENT } from '../settings/settings.documents.js';
import type { DocumentKind } from './document.js';
import type { DocumentColumn } from './rewriteDocuments.js';

const lies = <T>(table: string, column: string, kind: DocumentKind<T>, key: readonly string[] = ['id']): DocumentColumn => ({
  table,
  column,
  key,
  kind: kind as DocumentKind<unknown>,
});

/** Every document that is kept, and where. */
export const DOCUMENTS: readonly DocumentColumn[] = [
  lies('item', 'traits', TRAITS_DOCUMENT),
  lies('surface_state', 'because', BECAUSE_DOCUMENT, ['item_id', 'surface']),
  lies('due_task', 'because', DUE_DOCUMENT),
  lies('cleaning', 'plan', PLAN_DOCUMENT),
  lies('cleaning', 'request', REQUEST_DOCUMENT),
  lies('cleaning', 'events', EVENTS_DOCUMENT),
  lies('cleaning', 'chosen_schools', CHOSEN_SCHOOLS_DOCUMENT),
  lies('teardown', 'stages', STAGES_DOCUMENT),
  lies('look', 'answers', ANSWERS_DOCUMENT),
  lies('settings', 'schools', SCHOOLS_DOCUMENT),
];
