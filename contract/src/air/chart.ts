import type { fungus, storage } from '@bright-keeper/core';
import Joi from 'joi';
import { instant } from '../joi.js';

export type ChartQuery = { from: string; to: string; points: number };
export const chartQuery = Joi.object<ChartQuery>({
  from: instant().required(),
  to: instant().required(),
  points: Joi.number().integer().min(10).max(2000).default(600),
});

/** A stretch of a place's air with what the models made of it by then. */
export type ChartPoint = storage.Bucket & { dewPointC: number; index: number; dose: number; daysPast: number };
export type Chart = {
  from: string;
  to: string;
  points: ChartPoint[];
  events: ClimateEvent[];
  gaps: fungus.Gap[];
};

/** Something that happened in a place, or to the clock of a device. */
export type ClimateEventData =
  | { kind: 'opened' }
  | storage.GelAct
  | { kind: 'note'; text: string }
  /** By how much a device’s own clock went back; null where a log shows only that it did. */
  | { kind: 'clock-jump'; backMin: number | null }
  | { kind: 'item-in' | 'item-out'; name: string };
export type ClimateEvent = { id: string; at: string; data: ClimateEventData };
