import { care, record } from '@bright-keeper/core';
import Joi from 'joi';
import { traitsDocument } from '../gear/schema.js';
import { findingsSeen } from '../inspection/schema.js';
import { id, instant, timeZone, version } from '../joi.js';

/** A report holds so much at most: more things are refused, more photographs are counted as left out. */
export const REPORT_LIMITS = { things: 2000, photographsOfOne: 12, photographs: 120, entries: 500 } as const;

/** Parts as an address lists them, with commas. */
const parts = () =>
  Joi.string()
    .max(200)
    .empty('')
    .default([])
    .custom((text: string, helpers) => {
      const asked = text.split(',');
      const unknown = asked.find((part) => !(record.REPORT_PARTS as readonly string[]).includes(part));
      return unknown === undefined
        ? record.REPORT_PARTS.filter((part) => asked.includes(part))
        : helpers.message({ custom: `“${unknown}” is no part of a report; choose of: ${record.REPORT_PARTS.join(', ')}.` });
    });
const sum = () => Joi.number().min(0).max(1_000_000).required();
const ofAHundred = () => Joi.number().min(0).max(100);
const oneOf = (ways: object) =>
  Joi.string()
    .valid(...Object.keys(ways))
    .required();
const OWN_ODDS = Joi.object<record.OwnOdds>({ clean: ofAHundred(), mark: ofAHundred(), harm: ofAHundred() });

/** What is offered, as it is kept: what one sees of it, what it costs, and a word of one's own. */
export type OfferInput = record.OfferSeen & { name: string; note: string };
const offerFields = {
  trouble: oneOf(record.OFFER_TROUBLES),
  where: oneOf(record.SEEN_WHERE),
  how: Joi.when('trouble', {
    switch: (Object.keys(record.OFFER_TROUBLES) as record.OfferTrouble[]).map((trouble) => ({
      is: trouble,
      then: oneOf(record.waysOf(trouble)),
    })),
    otherwise: Joi.string().required(),
  }),
  hands: oneOf(record.WHOSE_HANDS),
  sums: Joi.object<record.OfferSums>({ clean: sum(), asked: sum(), wipe: sum(), ring: sum(), deep: sum() }).required(),
  own: OWN_ODDS.required(),
};
export const offerSeen = Joi.object<record.OfferSeen>(offerFields);
const offerName = () =>
  Joi.string().pattern(/\S/, 'something to read').max(120).messages({ 'string.pattern.name': 'This must not be empty.' }).required();
const offerNote = () => Joi.string().allow('').max(2000).required();
const ownWords = { name: offerName(), note: offerNote() };
export const offerInput = Joi.object<OfferInput>({ ...offerFields, ...ownWords });
export type OfferUpdate = OfferInput & { version: number };
export const offerUpdate = Joi.object<OfferUpdate>({ ...offerFields, ...ownWords, version: version().required() });

export const OFFER_STATES = ['open', 'bought', 'declined'] as const;
export type OfferState = (typeof OFFER_STATES)[number];
/** An offer that is kept; what it became on the shelf where it was bought. */
export type KeptOffer = OfferInput & {
  id: string;
  version: number;
  state: OfferState;
  itemId: string | null;
  createdAt: string;
  updatedAt: string;
};
/** A run of the practice, as it ended. `id`: by which a run that is sent twice is known; made by whoever sends it. */
export type PracticeRunInput = { id: string; caseId: string; asked: number; right: number };
const MOST_QUESTIONS = 50;
export const practiceRunInput = Joi.object<PracticeRunInput>({
  id: id().required(),
  caseId: Joi.string()
    .pattern(/^[a-z0-9-]+$/, 'a case')
    .max(120)
    .required(),
  asked: Joi.number().integer().min(1).max(MOST_QUESTIONS).required(),
  right: Joi.number().integer().min(0).max(Joi.ref('asked')).required(),
});
export type PracticeRun = PracticeRunInput & { at: string };
/** Oldest first. */
export type PracticeRuns = { runs: PracticeRun[] };

/**
 * What goes before which dirt, the surest first, with the name of the place or the thing that is meant; `high` is null where
 * there is no end to it. `looks`: how many looks could tell.
 */
export type CauseTold = Omit<record.Goes, 'high'> & { high: number | null; name: string | null };
export type CausesTold = { told: CauseTold[]; weighed: number; tooFew: number; looks: number };

/** The newest first. */
export type KeptOffers = { offers: KeptOffer[] };

export type ReportKeyTold = { publicKey: string; fingerprint: string };

/** Of one thing, or of the whole shelf where none is named. */
export type ReportQuery = { thing?: string; parts: record.ReportPart[] };
export const reportQuery = Joi.object<ReportQuery>({ thing: id(), parts: parts() });

/** A correction tells all that was said before in one line. */
const LONGEST_LINE = 200_000;
const words = () => Joi.string().allow('').max(LONGEST_LINE).required();
const lines = () => Joi.array().items(words().optional()).max(600);
const entries = () =>
  Joi.array()
    .items(Joi.object<record.ReportedEntry>({ at: instant().required(), what: words(), lines: lines().required() }))
    .max(REPORT_LIMITS.entries);
/** Of a picture made small: so many bytes at most, in base64. */
const LARGEST_PICTURE = 1_000_000;

const reportedSurface = Joi.object<record.ReportedSurface>({
  surface: Joi.string()
    .valid(...care.SURFACE_IDS)
    .required(),
  name: words(),
  findings: findingsSeen.required(),
  verdict: Joi.string().valid(...care.VERDICTS),
  asOf: instant(),
  says: words(),
});

const reportedThing = Joi.object<record.ReportedThing>({
  name: words(),
  kind: Joi.string()
    .valid(...care.ITEM_KINDS)
    .required(),
  traits: traitsDocument.required(),
  notedSince: instant().required(),
  facts: Joi.array().items(Joi.array().ordered(words(), words()).length(2)).max(60).required(),
  surfaces: Joi.array().items(reportedSurface).max(care.SURFACE_IDS.length),
  photographs: Joi.array()
    .items(Joi.object({ of: words(), at: instant().required(), jpeg: Joi.string().base64().max(LARGEST_PICTURE).required() }))
    .max(REPORT_LIMITS.photographsOfOne),
  photographsLeftOut: Joi.number().integer().min(0),
  air: lines(),
  care: entries(),
  opened: entries(),
  measured: entries(),
});

const base64url = (length: number) =>
  Joi.string()
    .pattern(/^[A-Za-z0-9_-]+$/)
    .length(length)
    .messages({ 'string.pattern.base': 'This must be base64url.' })
    .required();

/** A report as a file brings it: checked like everything that comes from elsewhere, before anything of it is shown. */
export const signedReport = Joi.object<record.SignedReport>({
  report: Joi.object<record.ConditionReport>({
    format: Joi.string().valid('condition-report').required(),
    edition: Joi.number().valid(1).required(),
    madeAt: instant().required(),
    timeZone: timeZone().required(),
    parts: Joi.array()
      .items(Joi.string().valid(...record.REPORT_PARTS))
      .unique()
      .required(),
    things: Joi.array().items(reportedThing).max(REPORT_LIMITS.things).required(),
  }).required(),
  signature: Joi.object({ algorithm: Joi.string().valid('Ed25519').required(), publicKey: base64url(43), value: base64url(86) }).required(),
});
