/* Reads another calendar in a thread of its own: a rule can be written that nobody can follow to its end. */
import { parentPort, workerData } from 'node:worker_threads';
import { readBusy } from '../../core/dist/schedule/icalendar/index.js';

const { text, span } = workerData;
parentPort.postMessage({ answer: readBusy(text, span, (at) => parentPort.postMessage({ at })) });
