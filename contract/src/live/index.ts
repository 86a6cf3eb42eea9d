import Joi from 'joi';
import { errorTable } from '../problem.js';

/** What may move in a household, as coarse as a page needs it to know what to ask for anew. */
export const LIVE_TOPICS = [
  'gear',
  'journal',
  'looks',
  'cleanings',
  'openings',
  'places',
  'air',
  'drawer',
  'settings',
  'outings',
  'frames',
  'calendars',
  'record',
  'trail',
] as const;
export type LiveTopic = (typeof LIVE_TOPICS)[number];

/** One piece of news: what has moved since the one before it. */
export type LiveNews = { moved: LiveTopic[] };

/** Where one goes on from: the place of the last piece that was heard. */
export type LiveQuery = { since?: string };
export const liveQuery = Joi.object<LiveQuery>({
  since: Joi.string().max(100),
});

export const liveErrors = errorTable({
  'too-many-listen': {
    status: 503,
    title: 'Too many pages listen',
    remedy: 'Close some of them. What you do here is kept all the same; only what others change shows when you reload.',
  },
});
