import { frameData, type SensorFrameInput } from '@bright-keeper/contract';
import { defineDocument } from '../db/index.js';

export type FrameData = Omit<SensorFrameInput, 'itemId' | 'takenAt'>;

/** What a frame showed, and what it was taken with. */
export const FRAME_DOCUMENT = defineDocument<FrameData>({ name: 'sensor_frame.data', version: 1, schema: frameData, upgrades: {} });
