import { care, inspection } from '@bright-keeper/core';
import Joi from 'joi';
import { manyThings } from '../gear/schema.js';
import { id, secondsAgo, toldFor, version } from '../joi.js';

const LONGEST_NOTE = 2000;

export type SoilSeen = Omit<care.Finding, 'surface'>;

/** How far across the largest one of a kind is. */
export const sizeMm = () => Joi.number().min(0.02).max(200);

/** What was seen on one surface; an empty list means looked at and nothing found. */
export type LookAnswer = {
  surface: care.Surface;
  findings: SoilSeen[];
  note: string;
  /** What happened outdoors that put this here before anybody looked. */
  noted?: care.HappeningId;
};

const soilSeen = Joi.object<SoilSeen>({
  soil: Joi.string()
    .valid(...care.SOIL_IDS)
    .required(),
  severity: Joi.number().integer().min(1).max(4).required(),
  sizeMm: sizeMm(),
});

/** What was seen on one surface, each soil once. */
export const findingsSeen = Joi.array<SoilSeen[]>().items(soilSeen).unique('soil').max(care.SOIL_IDS.length);

const lookAnswer = Joi.object<LookAnswer>({
  surface: Joi.string()
    .valid(...care.SURFACE_IDS)
    .required(),
  findings: findingsSeen.required(),
  note: Joi.string().allow('').max(LONGEST_NOTE).required(),
  noted: Joi.string().valid(...care.HAPPENING_IDS),
});

export type StartLook = { itemId: string };
export const startLook = Joi.object<StartLook>({ itemId: id().required() });

/** The whole look as it stands: sent after every tap, so that an interruption loses nothing. */
export type SaveLook = { version: number; at: care.Surface | null; answers: LookAnswer[] };
const answersSeen = () => Joi.array().items(lookAnswer).unique('surface').max(care.SURFACE_IDS.length).required();
const standingAt = () =>
  Joi.string()
    .valid(...care.SURFACE_IDS)
    .allow(null)
    .required();
export const saveLook = Joi.object<SaveLook>({ version: version().required(), at: standingAt(), answers: answersSeen() });

/** A look as a device kept it while the household could not be reached: the whole of it, to be carried over. */
export type CarriedLook = {
  itemId: string;
  startedAgoS: number;
  /** Null while it is not finished. */
  endedAgoS: number | null;
  at: care.Surface | null;
  answers: LookAnswer[];
  /** What the household had of it when the device last knew; null where it was begun there. */
  base: LookAnswer[] | null;
};
export const carriedLook = Joi.object<CarriedLook>({
  itemId: id().required(),
  startedAgoS: secondsAgo().required(),
  endedAgoS: secondsAgo().allow(null).required(),
  at: standingAt(),
  answers: answersSeen(),
  base: answersSeen().allow(null),
});

/** `at`: when it was, where that is told for an earlier moment. */
export type FinishLook = { version: number; at: string | null };
export const finishLook = Joi.object<FinishLook>({ version: version().required(), at: toldFor() });

/** Many things that were looked at by one light, and nothing was found. */
export type LookedAtMany = { itemIds: string[]; light: inspection.Light; at: string | null };
export const lookedAtMany = Joi.object<LookedAtMany>({
  itemIds: manyThings.extract('itemIds').required(),
  light: Joi.string()
    .valid(...inspection.LIGHTS)
    .required(),
  at: toldFor(),
});
/** Of what nothing is noted: it is being cleaned, or this light shows nothing of it that could be clean. */
export type NotNoted = { itemId: string; name: string; because: 'under-way' | 'nothing-shown' | 'off-the-shelf' };
/** The entries that take it back; where something had been found, which stands as it was found. */
export type Looked = { entryIds: string[]; found: { itemId: string; name: string }[]; refused: NotNoted[] };

/** What was seen after all, in place of what was said: the whole of it. */
export type CorrectLook = { version: number; answers: LookAnswer[] };
export const correctLook = Joi.object<CorrectLook>({ version: version().required(), answers: answersSeen() });

/** A photograph of what a look saw on a surface. */
export type LookPhoto = { id: string; surface: care.Surface; blob: string; keepsAll: boolean; at: string };
export type LookPhotos = { photos: LookPhoto[] };
/** `id`: by which a device that sends it twice is known to; made by it. */
export type LookPhotoQuery = { surface: care.Surface; keepAll: boolean; id?: string };
export const lookPhotoQuery = Joi.object<LookPhotoQuery>({
  surface: Joi.string()
    .valid(...care.SURFACE_IDS)
    .required(),
  keepAll: Joi.boolean().default(false),
  id: id(),
});
export type LookPhotoParam = { id: string; photoId: string };
export const lookPhotoParam = Joi.object<LookPhotoParam>({ id: id().required(), photoId: id().required() });
