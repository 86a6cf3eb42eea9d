import { storage, type air, type fungus } from '@bright-keeper/core';
import { expose } from 'comlink';

type Band = { lowPct: number; highPct: number };

/** Reckons scenarios off the page's own thread, so that a slider never sticks. */
const api = {
  run: (scenario: storage.Scenario, room: air.Reading[], band: Band, options: fungus.AssessOptions) =>
    storage.tryScenario(scenario, room, band, options),
};
export type WhatIfWorker = typeof api;
expose(api);
