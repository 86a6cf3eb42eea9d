import { sensor } from '@bright-keeper/core';
import { expose } from 'comlink';

/** Searches a part of a frame, beside the worker that searches the rest. */
const api = { search: (frame: sensor.Frame, options: sensor.DetectOptions): sensor.Detection => sensor.detectDust(frame, options) };
export type DustWorker = typeof api;
expose(api);
