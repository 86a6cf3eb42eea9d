import { care } from '@bright-keeper/core';
import { bodyDrawing } from './bodyDrawing';
import type { Drawing } from './drawing';
import { filterDrawing } from './filterDrawing';
import { lensDrawing } from './lensDrawing';

const DRAWINGS: Record<care.ItemKind, (traits: care.Traits) => Drawing> = {
  lens: lensDrawing,
  filter: filterDrawing,
  'mirrorless-body': bodyDrawing,
};

/** The section of a thing from its kind and traits. */
export const drawingOf = (kind: care.ItemKind, traits: care.Traits): Drawing => DRAWINGS[kind](care.withDefaults(kind, traits));
