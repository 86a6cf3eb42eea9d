import { care, supplies } from '@bright-keeper/core';
import Joi from 'joi';
import { day, kitName, toldFor, version } from '../joi.js';

const THINGS = [...Object.keys(care.TOOLS), ...Object.keys(care.MATERIALS)];
const MOST_STOCK = 1_000_000;

/** What a person says of a thing in the drawer. */
export type SupplyInput = {
  thing: care.Tool | care.Material;
  state: 'clean' | 'dirty';
  /** Units left (drops of a fluid, pieces of the rest); null for tools, and for what nobody counted. */
  stock: number | null;
  packSize: number | null;
  packPrice: number | null;
  openedOn: string | null;
  /** How wide a sensor swab is, mm; null for everything else and where it is not known. */
  widthMm: number | null;
  note: string;
  /** In which kit it lies, by its name; null in the drawer at home. */
  kit?: string | null;
};

/** A tool has no stock; of a material it may be unknown. */
const stockFits: Joi.CustomValidator<SupplyInput> = (input, helpers) =>
  supplies.isTool(input.thing) && input.stock !== null
    ? helpers.message({ custom: 'A tool is washed, not used up: leave the stock empty.' }, { at: ['stock'] })
    : input;

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
  kit: kitName().default(null),
};

export const supplyInput = Joi.object<SupplyInput>(fields).custom(stockFits);
export type SupplyUpdate = SupplyInput & { version: number };
export const supplyUpdate = Joi.object<SupplyUpdate>({ ...fields, version: version().required() }).custom(stockFits);

/** A drawer to begin with, in one tap: what is there already stays as it is. */
export type StartDrawer = { starter: supplies.StarterId };
export const startDrawer = Joi.object<StartDrawer>({
  starter: Joi.string()
    .valid(...supplies.STARTER_IDS)
    .required(),
});

/** It was washed: now, where nothing else is said. */
export type SupplyWashed = { version: number; at: string | null };
export const supplyWashed = Joi.object<SupplyWashed>({ version: version().required(), at: toldFor() });

export type DrawerIsAll = { isAll: boolean };
export const drawerIsAll = Joi.object<DrawerIsAll>({ isAll: Joi.boolean().required() });
