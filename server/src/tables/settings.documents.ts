import { schoolsSchema } from '@bright-keeper/contract';
import type { care } from '@bright-keeper/core';
import { defineDocument } from '../db/index.js';

/** The schools the keeper follows; one added since takes its default. */
export const SCHOOLS_DOCUMENT = defineDocument<Partial<care.Schools>>({
  name: 'settings.schools',
  version: 1,
  schema: schoolsSchema,
  upgrades: {},
});
