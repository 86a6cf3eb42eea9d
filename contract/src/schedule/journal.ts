import { care, gear, inspection, schedule, storage } from '@bright-keeper/core';
import Joi from 'joi';
import { fieldsBefore, goneFields, manyThings, particularsDocument } from '../gear/schema.js';
import { day, id, instant, toldFor } from '../joi.js';

const one = <T extends string>(values: readonly T[]) =>
  Joi.string()
    .valid(...values)
    .required();
const surface = () => Joi.string().valid(...care.SURFACE_IDS);
/** What a workshop asks for, in the household's currency. */
const estimate = () => Joi.number().min(0).max(gear.PARTICULARS.paid.max);
const task = () => one(schedule.DUTY_CODES);

/** What an entry of each kind holds besides it. Names of an earlier program that are gone stay readable in the past. */
const FIELDS: Record<schedule.JournalKind, Joi.SchemaMap> = {
  added: {},
  imported: {},
  archived: { gone: Joi.object(goneFields) },
  split: { of: one(['from', 'off']), name: Joi.string().required(), count: Joi.number().integer().min(1).required() },
  'file-removed': { role: one(gear.FILE_ROLES), name: Joi.string().required() },
  restored: {},
  quarantined: {},
  released: {},
  edited: { changed: Joi.array().items(Joi.string()).required(), was: particularsDocument, before: fieldsBefore },
  look: {
    lookId: id().required(),
    verdicts: Joi.array().required(),
    notes: Joi.array().required(),
    looked: Joi.number().required(),
    seen: Joi.array().items(surface()),
    photos: Joi.number(),
    light: Joi.valid(...inspection.LIGHTS),
    before: Joi.object({ verdicts: Joi.array().required(), notes: Joi.array().required() }),
  },
  clean: {
    cleaningId: id().required(),
    place: one(['home', 'field']),
    outcomes: Joi.object().unknown().required(),
    contacts: Joi.object().unknown().required(),
    methods: Joi.array().items(Joi.string()).required(),
    minutes: Joi.number().required(),
    tacky: Joi.boolean(),
  },
  frame: { frameId: id().required(), fNumber: Joi.number().required(), specks: Joi.number().required() },
  moved: { placeName: Joi.string().allow(null).required() },
  'stay-told': {
    placeName: Joi.string().allow(null).required(),
    since: instant().required(),
    before: Joi.object({ placeId: id().required(), placeName: Joi.string().required(), since: instant().required() }).required(),
  },
  outdoors: { happening: one(care.HAPPENING_IDS) },
  opened: { depth: one(care.DEPTHS), stages: Joi.number().required() },
  'left-for-home': { surfaces: Joi.array().items(surface()).required() },
  'neighbour-isolated': { name: Joi.string().allow(null).required() },
  'cap-missing': { surface: surface().required() },
  away: { why: one(schedule.AWAY_REASONS), until: day().allow(null).required(), to: Joi.string(), estimate: estimate() },
  back: {},
  care: { task: task() },
  skipped: { task: task(), reason: one(schedule.SKIP_REASONS), note: Joi.string().allow('').required() },
  snoozed: { task: task(), until: day().required() },
  planned: { task: task(), day: day().allow(null).required() },
  undone: { entryId: id().required() },
  'salt-test': {},
  'place-opened': {},
  gel: { act: one(['gel-set', 'gel-dried', 'gel-out', 'indicator'] satisfies storage.GelAct['kind'][]) },
  washed: {},
};

/** An entry of the journal as it is kept. */
export const journalData = Joi.alternatives<schedule.JournalData>().conditional('.kind', {
  switch: Object.entries(FIELDS).map(([kind, fields]) => ({ is: kind, then: Joi.object({ kind: Joi.valid(kind).required(), ...fields }) })),
  otherwise: Joi.object({ kind: one(Object.keys(FIELDS)) }).unknown(),
});

/** When it was, where that is told for an earlier moment; null is now. */
export type ToldFor = { at: string | null };

/** Which duty of which subject. */
export type DutyRef = { code: schedule.DutyCode; subject: schedule.SubjectRef };
export type SkipDuty = DutyRef & { reason: schedule.SkipReason; note: string };
export type SnoozeDuty = DutyRef & { until: string };
/** `expected` is the day it was on when it was moved: another browser may have moved it since. */
export type PlanDuty = DutyRef & { day: string | null; expected: string | null };
/** `to` is whom it is with: of a loan that is always said. */
export type SendAway = AwayFacts & { itemId: string };
/** Where it goes: `estimate` is what the workshop asks, `alone` leaves here what belongs to it. */
type AwayFacts = { why: schedule.AwayReason; until: string | null; to?: string; estimate?: number; alone?: boolean } & ToldFor;
export type SendManyAway = AwayFacts & { itemIds: string[] };
/** What became of it: the entries that take it back, and what did not go, with its reason. */
export type NotSent = { itemId: string; name: string; because: 'already-away' | 'came-back-later' };
export type SentAway = { entryIds: string[]; refused: NotSent[] };
export type CapMissing = { itemId: string; surface: care.Surface };
export type SayBack = { itemId: string } & ToldFor;
/** What was written, for taking it back. */
export type Written = { entryId: string };

/** Entries of the journal that are to be taken back, in one go. */
export type TakeBack = { entryIds: string[] };
/** How many were taken back, and which were not. */
export type TakenBack = { takenBack: number; kept: { entryId: string; because: schedule.KeptReason }[] };

const LONGEST_NOTE = 500;
const dutyFields = {
  code: task(),
  subject: Joi.object<schedule.SubjectRef>({ kind: one(schedule.SUBJECT_KINDS), id: id().required() }).required(),
};
export type DutyDone = DutyRef & ToldFor;
export const dutyDone = Joi.object<DutyDone>({ ...dutyFields, at: toldFor() });
export const skipDuty = Joi.object<SkipDuty>({
  ...dutyFields,
  reason: one(schedule.SKIP_REASONS),
  note: Joi.string().allow('').max(LONGEST_NOTE).required(),
});
export const snoozeDuty = Joi.object<SnoozeDuty>({ ...dutyFields, until: day().required() });
export const planDuty = Joi.object<PlanDuty>({
  ...dutyFields,
  day: day().allow(null).required(),
  expected: day().allow(null).required(),
});
const awayFields = {
  why: one(schedule.AWAY_REASONS),
  until: day().allow(null).required(),
  at: toldFor(),
  to: Joi.string()
    .pattern(/\S/, 'something to read')
    .max(120)
    .when('why', { is: 'loan', then: Joi.required() })
    .messages({ 'any.required': 'Whom is it lent to? A name is enough.', 'string.empty': 'Whom is it lent to? A name is enough.' }),
  estimate: estimate().when('why', { is: 'service', otherwise: Joi.forbidden() }),
  alone: Joi.boolean(),
};
export const sendAway = Joi.object<SendAway>({ itemId: id().required(), ...awayFields });
export const sendManyAway = Joi.object<SendManyAway>({ itemIds: manyThings.extract('itemIds').required(), ...awayFields });
export const takeBack = Joi.object<TakeBack>({ entryIds: manyThings.extract('itemIds').required() });
export const capMissing = Joi.object<CapMissing>({ itemId: id().required(), surface: surface().required() });
export const sayBack = Joi.object<SayBack>({ itemId: id().required(), at: toldFor() });
