import { care, schedule } from '@bright-keeper/core';
import Joi from 'joi';

/** Why something falls due, as it is kept. */
export const DUE_BECAUSE = Joi.array().items(
  Joi.object({
    because: Joi.string()
      .valid(...schedule.DUE_CODES)
      .required(),
    happening: Joi.string().valid(...care.HAPPENING_IDS),
    surfaces: Joi.array().items(Joi.string().valid(...care.SURFACE_IDS)),
    name: Joi.string().allow(null),
  }),
);
