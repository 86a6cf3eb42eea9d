import { care, supplies } from '@bright-keeper/core';
import Joi from 'joi';
import { day, version } from '../joi.js';

const THINGS = [...Object.keys(care.TOOLS), ...Object.keys(care.MATERIALS)];
const MOST_STOCK = 1_000_000;

/** What a person says of a thing in the drawer. */
export type SupplyInput = {
  thing: care.Tool | care.Material;
  state: 'clean' | 'dirty';
  /** Units left; null for tools. */
  stock: number | null;
  packSize: number | null;
  packPrice: number | null;
  openedOn: string | null;
  /** How wide a sensor swab is, mm; null for everything else and where it is not known. */
  widthMm: number | null;
  note: string;
};

/** A tool has no stock; a material has one. */
const stockFits: Joi.CustomValidator<SupplyInput> = (input, helpers) => {
  const isTool = supplies.isTool(input.thing);
  if (isTool === (input.stock === null)) return input;
  const custom = isTool ? 'A tool is washed, not used up: leave the stock empty.' : 'Say how many are left; 0 when it is used up.';
  return helpers.message({ custom }, { at: ['stock'] });
};

const fields = {
  thing: Joi.string()
    .valid(...THINGS)
    .required(),
  state: Joi.string().valid('clean', 'dirty').required(),
  stock: Joi.number().integer().min(0).max(MOST_STOCK).allow(null).required(),
  packSize: Joi.number().integer().min(1).max(MOST_STOCK).allow(null).required(),
  packPrice: Joi.number().min(0).max(100_000).allow(null).required(),
  widthMm: Joi.number().min(4).max(80).allow(null).default(null),
  openedOn: day().allow(null).required(),
  note: Joi.string().allow('').max(500).required(),
};

export const supplyInput = Joi.object<SupplyInput>(fields).custom(stockFits);
export type SupplyUpdate = SupplyInput & { version: number };
export const supplyUpdate = Joi.object<SupplyUpdate>({ ...fields, version: version().required() }).custom(stockFits);
