import { storage, type air, type fungus } from '@bright-keeper/core';
import { expose } from 'comlink';

type Band = { lowPct: number; highPct: number };

/** Reckons boxes off the page's own thread, so that a slider never sticks and a page never waits. */
const api = {
  run: (scenario: storage.Scenario, room: air.Reading[], band: Band, options: fungus.AssessOptions) =>
    storage.tryScenario(scenario, room, band, options),
  /** How much of each desiccant would keep it below its target for so long. */
  size: (question: Omit<storage.SizingQuestion, 'kind'>): Record<storage.DesiccantKind, storage.Sizing> => ({
    'silica-gel': storage.desiccantForBox({ ...question, kind: 'silica-gel' }),
    rice: storage.desiccantForBox({ ...question, kind: 'rice' }),
  }),
};
export type BoxWorker = typeof api;
expose(api);
