import Joi from 'joi';

/** What can be done to something. */
export const TRAIL_ACTS = [
  'added',
  'begun',
  'changed',
  'noted',
  'moved',
  'finished',
  'carried-over',
  'dropped',
  'removed',
  'put-away',
  'brought-back',
  'sent-away',
  'taken-in',
  'restored',
  'made',
  'revoked',
  'pushed',
  'ticked',
  'passed-over',
  'put-off',
  'planned',
  'taken-back',
  'washed',
  'bought',
  'declined',
] as const;
export type TrailAct = (typeof TRAIL_ACTS)[number];

/** What it can be done to. */
export const TRAIL_SUBJECTS = [
  'thing',
  'things',
  'look',
  'cleaning',
  'opening',
  'outing',
  'outings',
  'place',
  'timer',
  'duty',
  'entry',
  'rhythm',
  'bench-times',
  'calendar-address',
  'other-calendar',
  'hygrometer',
  'key',
  'salt-test',
  'reading',
  'readings',
  'forecast',
  'log',
  'frame',
  'glare-test',
  'drawer',
  'supply',
  'settings',
  'backup',
  'backup-folder',
  'household',
  'passphrase',
  'network',
  'unencrypted-key',
  'paired-device',
  'keeper',
  'broker',
  'alarms',
  'offer',
  'practice',
] as const;
export type TrailSubject = (typeof TRAIL_SUBJECTS)[number];

/** Who did what to what. The same, again on the same day, is one entry that counts. */
export type TrailEntry = {
  id: string;
  who: { is: 'keeper'; name: string | null } | { is: 'device'; id: string; name: string };
  act: TrailAct;
  subject: TrailSubject;
  /** What it was done to, by name, where it has one. */
  name: string | null;
  firstAt: string;
  at: string;
  times: number;
};

/** Newest first. */
export type Trail = { entries: TrailEntry[]; nextCursor: string | null };

const PAGE = 100;
const MOST = 500;
export type TrailQuery = { who?: 'keeper' | 'device'; cursor?: string; limit: number };
export const trailQuery = Joi.object<TrailQuery>({
  who: Joi.string().valid('keeper', 'device'),
  cursor: Joi.string().max(300),
  limit: Joi.number().integer().min(1).max(MOST).default(PAGE),
});
