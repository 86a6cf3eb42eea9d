import { care } from '@bright-keeper/core';
import Joi from 'joi';
import { id, version } from '../joi.js';

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
export const saveLook = Joi.object<SaveLook>({
  version: version().required(),
  at: Joi.string()
    .valid(...care.SURFACE_IDS)
    .allow(null)
    .required(),
  answers: Joi.array().items(lookAnswer).unique('surface').max(care.SURFACE_IDS.length).required(),
});

/** A photograph of what a look saw on a surface. */
export type LookPhoto = { id: string; surface: care.Surface; blob: string; keepsAll: boolean; at: string };
export type LookPhotos = { photos: LookPhoto[] };
export type LookPhotoQuery = { surface: care.Surface; keepAll: boolean };
export const lookPhotoQuery = Joi.object<LookPhotoQuery>({
  surface: Joi.string()
    .valid(...care.SURFACE_IDS)
    .required(),
  keepAll: Joi.boolean().default(false),
});
export type LookPhotoParam = { id: string; photoId: string };
export const lookPhotoParam = Joi.object<LookPhotoParam>({ id: id().required(), photoId: id().required() });
