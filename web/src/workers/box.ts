import { air, storage, type fungus } from '@bright-keeper/core';
import { thinned } from '../ui/thinned';

type Band = { lowPct: number; highPct: number };
/** The air of a room, told once: while one plays with a slider only the question travels. */
const rooms = new Map<string, air.AirLog>();

/** What comes back of a course: its figures, and its humidity in no more points than are drawn. */
export type Course = storage.Figures & { line: number[]; exhaustedAt: string | null };

/** Reckons boxes off the page's own thread, so that a slider never sticks and a page never waits. */
export const boxApi = {
  keepRoom: (name: string, readings: air.Reading[]): void => void rooms.set(name, air.columnsOf(readings)),
  /** @throws Error for a room that was not told before. */
  run: (scenario: storage.Scenario, room: string, climate: storage.Climate, band: Band, options: fungus.AssessOptions): Course => {
    const kept = rooms.get(room);
    if (!kept) throw new Error(`the room ${room} was not told`);
    const { air: course, ...figures } = storage.tryScenario(scenario, storage.roomInClimate(kept, climate), band, options);
    return { ...figures, line: thinned(course.humidityPct) };
  },
  /** How much of each desiccant would keep it below its target for so long. */
  size: (question: Omit<storage.SizingQuestion, 'kind'>): Record<storage.DesiccantKind, storage.Sizing> => ({
    'silica-gel': storage.desiccantForBox({ ...question, kind: 'silica-gel' }),
    rice: storage.desiccantForBox({ ...question, kind: 'rice' }),
  }),
};
export type BoxWorker = typeof boxApi;
