import { sensor } from '@bright-keeper/core';
import Joi from 'joi';
import { id, instant, version } from '../joi.js';

/** A speck as it is kept: what the frame shows, and whether a hand put it there. Its place is as the sensor recorded it;
 * its size follows from that and the sensor, and is not kept. */
export type FrameSpot = Omit<sensor.Spot, 'sizeMm'> & { by: 'found' | 'hand' };

export type SensorFrameInput = {
  itemId: string;
  takenAt: string;
  fNumber: number;
  /** The smallest aperture used at work. */
  workingAt: number;
  iso: number | null;
  exposureS: number | null;
  focalMm: number | null;
  /** As the file says it. */
  body: string | null;
  lens: string | null;
  fileName: string;
  width: number;
  height: number;
  spots: FrameSpot[];
  /** Noise of a pixel, as a share of the light. */
  noise: number;
  unfit: sensor.Unfit[];
  /** What was done to the sensor since the frame before. */
  tries: sensor.SensorTry[];
  note: string;
};
export type SensorFrameUpdate = Pick<SensorFrameInput, 'workingAt' | 'spots' | 'tries' | 'note'> & { version: number };
export type SensorFrame = SensorFrameInput & {
  id: string;
  version: number;
  /** Its picture, made small, and the file as it came where that was asked for: what they are called. */
  preview: string | null;
  original: string | null;
  /** Outings with this body since the frame before. */
  exposures: number;
  /** Lens changes on these outings; null where nobody counted them. */
  lensChanges: number | null;
};
/** What the story of a sensor needs of one of its frames. */
export const frameFacts = (
  { fNumber, workingAt, width, height, spots, tries, lens, unfit }: Omit<SensorFrameInput, 'itemId' | 'takenAt'>,
  { id, at, exposures, lensChanges }: Pick<sensor.FrameFacts, 'id' | 'at' | 'exposures' | 'lensChanges'>,
): sensor.FrameFacts => ({ id, at, exposures, lensChanges, fNumber, workingAt, width, height, spots, tries, lens, unfit });

/** A place of a body that is no dust. */
export type Dismissed = { id: string; x: number; y: number; at: string };
/** Oldest first. */
export type SensorFrames = { frames: SensorFrame[]; dismissed: Dismissed[] };

const share = () => Joi.number().min(0).max(1).required();
const fNumber = () => Joi.number().min(0.7).max(128).required();
const text = (most: number) => Joi.string().allow('').max(most);
const spot = Joi.object<FrameSpot>({
  x: share(),
  y: share(),
  depth: share(),
  fwhmPx: Joi.number().min(0).max(20_000).required(),
  diameterPx: Joi.number().min(0).max(40_000).required(),
  kind: Joi.string()
    .valid(...sensor.SPOT_KINDS)
    .required(),
  confidence: share(),
  by: Joi.string().valid('found', 'hand').required(),
});
const MOST_SPOTS = 3000;
const editable = {
  workingAt: fNumber(),
  spots: Joi.array().items(spot).max(MOST_SPOTS).required(),
  tries: Joi.array()
    .items(Joi.string().valid(...sensor.SENSOR_TRIES))
    .max(4)
    .required(),
  note: text(2000).required(),
};
const side = () => Joi.number().integer().min(64).max(40_000).required();
const told = {
  fNumber: fNumber(),
  iso: Joi.number().min(1).max(10_000_000).allow(null).required(),
  exposureS: Joi.number().min(0).max(100_000).allow(null).required(),
  focalMm: Joi.number().min(0.5).max(10_000).allow(null).required(),
  body: text(200).allow(null).required(),
  lens: text(200).allow(null).required(),
};
const data = {
  ...editable,
  ...told,
  fileName: text(300).required(),
  width: side(),
  height: side(),
  noise: share(),
  unfit: Joi.array()
    .items(Joi.string().valid(...sensor.UNFIT))
    .unique()
    .required(),
};
/** What is kept of a frame beside whose it is and when it was taken. */
export const frameData = Joi.object<Omit<SensorFrameInput, 'itemId' | 'takenAt'>>(data);
export const frameInput = Joi.object<SensorFrameInput>({ itemId: id().required(), takenAt: instant().required(), ...data });
export const frameUpdate = Joi.object<SensorFrameUpdate>({ ...editable, version: version().required() });

export type SensorQuery = { itemId: string };
export const sensorQuery = Joi.object<SensorQuery>({ itemId: id().required() });

/** The pictures of a frame. */
export const FRAME_PARTS = ['preview', 'original'] as const;
export type FramePart = (typeof FRAME_PARTS)[number];
export type FramePartParam = { id: string; part: FramePart };
export const framePart = Joi.object<FramePartParam>({
  id: id().required(),
  part: Joi.string()
    .valid(...FRAME_PARTS)
    .required(),
});

export type DismissInput = { itemId: string; x: number; y: number };
export const dismissInput = Joi.object<DismissInput>({ itemId: id().required(), x: share(), y: share() });

/** A test of veiling glare, as it was read from a frame of the card. */
export type GlareInput = {
  itemId: string;
  takenAt: string;
  glarePct: number;
  lowPct: number;
  highPct: number;
  /** What the same screen gave switched off, or with a lens known to be good, per cent; taken off already. */
  blackPct: number;
  fNumber: number | null;
  iso: number | null;
  exposureS: number | null;
  body: string | null;
  style: string | null;
  note: string;
};
export type GlareTest = GlareInput & { id: string };
/** Oldest first; and when the lens was cleaned, as its log tells. */
export type GlareTests = { tests: GlareTest[]; cleanedAt: string[] };
const percent = () => Joi.number().min(0).max(1000).required();
export const glareInput = Joi.object<GlareInput>({
  itemId: id().required(),
  takenAt: instant().required(),
  glarePct: percent(),
  lowPct: percent(),
  highPct: percent(),
  blackPct: percent(),
  fNumber: fNumber().allow(null),
  iso: told.iso,
  exposureS: told.exposureS,
  body: told.body,
  style: text(200).allow(null).required(),
  note: text(2000).required(),
});
