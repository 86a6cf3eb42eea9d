import { intake, instant, type Intake } from '@bright-keeper/contract';
import { sources } from '@bright-keeper/core';
import Joi from 'joi';
import { defineDocument } from '../db/index.js';

/** Where the readings of a device are taken in from. */
export const INTAKE_DOCUMENT = defineDocument<Intake>({ name: 'device.intake', version: 1, schema: intake, upgrades: {} });

const number = () => Joi.number().required().allow(null);
/** What a device said last beside its readings. */
export const LAST_WORD_DOCUMENT = defineDocument<sources.LastWord>({
  name: 'device.last_word',
  version: 1,
  schema: Joi.object<sources.LastWord>({
    at: instant().required(),
    batteryPct: number().min(0).max(100),
    isBatteryLow: Joi.boolean().required().allow(null),
    lowSince: instant().required().allow(null),
    signalDbm: number().min(-150).max(-1),
    clockOffS: Joi.number().integer().unsafe().required(),
    setAside: Joi.valid(...sources.SET_ASIDE_REASONS)
      .required()
      .allow(null),
  }),
  upgrades: {},
});
