import { care } from '@bright-keeper/core';
import Joi from 'joi';
import { id, version } from '../joi.js';

const LONGEST_LINE = 300;
const MOST_STAGES = 60;

/** The record of a thing that was opened: its stages with what came off and how it sat, until it is closed again. */
export type Teardown = {
  id: string;
  itemId: string;
  itemName: string;
  version: number;
  depth: care.Depth;
  phase: care.TeardownPhase;
  stages: care.TeardownStage[];
  startedAt: string;
  finishedAt: string | null;
};
export type Teardowns = { teardowns: Teardown[] };

const depth = () => Joi.string().valid(...care.DEPTHS);
export type StartTeardown = { itemId: string; depth: care.Depth };
export const startTeardown = Joi.object<StartTeardown>({ itemId: id().required(), depth: depth().required() });

const line = () => Joi.string().allow('').max(LONGEST_LINE).required();
const stage = Joi.object<care.TeardownStage>({
  id: id().required(),
  what: line(),
  parts: line(),
  screws: line(),
  turns: Joi.number().min(0).max(500).allow(null).required(),
  mark: line(),
  hasPhoto: Joi.boolean().required(),
  closed: Joi.boolean().required(),
});

export const stages = Joi.array().items(stage).unique('id').max(MOST_STAGES);

/** The whole record as it stands: sent after every change, so that an interruption loses nothing. */
export type SaveTeardown = { version: number; phase: care.TeardownPhase; stages: care.TeardownStage[] };
export const saveTeardown = Joi.object<SaveTeardown>({
  version: version().required(),
  phase: Joi.string().valid('opening', 'closing').required(),
  stages: stages.required(),
});

export type TeardownsQuery = { itemId: string };
export const teardownsQuery = Joi.object<TeardownsQuery>({ itemId: id().required() });
export type StageParam = { id: string; stageId: string };
export const stageParam = Joi.object<StageParam>({ id: id().required(), stageId: id().required() });
