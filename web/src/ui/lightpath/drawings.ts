import { care } from '@bright-keeper/core';
import { bodyDrawing } from './bodyDrawing';
import type { Drawing } from './drawing';
import { filterDrawing } from './filterDrawing';
import { lensDrawing } from './lensDrawing';
import {
  accessoryDrawing,
  binocularDrawing,
  compactDrawing,
  eyepieceDrawing,
  loupeDrawing,
  phoneDrawing,
  portDrawing,
  reflectorDrawing,
  refractorDrawing,
  teleconverterDrawing,
} from './smallDrawings';
import { slrDrawing } from './slrDrawing';

const DRAWINGS: Record<care.ItemKind, (traits: care.Traits) => Drawing> = {
  lens: lensDrawing,
  filter: filterDrawing,
  'mirrorless-body': bodyDrawing,
  'slr-body': slrDrawing,
  compact: compactDrawing,
  phone: phoneDrawing,
  teleconverter: teleconverterDrawing,
  eyepiece: eyepieceDrawing,
  binocular: binocularDrawing,
  refractor: refractorDrawing,
  reflector: reflectorDrawing,
  port: portDrawing,
  'viewfinder-loupe': loupeDrawing,
  accessory: accessoryDrawing,
};

/** The section of a thing from its kind and traits. */
export const drawingOf = (kind: care.ItemKind, traits: care.Traits): Drawing => DRAWINGS[kind](care.withDefaults(kind, traits));
