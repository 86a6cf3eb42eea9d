import { saveLook, type LookAnswer } from '@bright-keeper/contract';
import { defineDocument } from '../db/index.js';

/** What was seen at a look, surface by surface. */
export const ANSWERS_DOCUMENT = defineDocument<LookAnswer[]>({
  name: 'look.answers',
  version: 1,
  schema: saveLook.extract('answers'),
  upgrades: {},
});
