/* Explains a place by its logs in a thread of its own: a year of hours is walked some hundred times. */
import { parentPort, workerData } from 'node:worker_threads';
import { fitPlace } from '../../core/dist/storage/index.js';

const { inside, outside, options } = workerData;
parentPort.postMessage({ answer: fitPlace(inside, outside, options) });
