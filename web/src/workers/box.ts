import { air, storage } from '@bright-keeper/core';
import { thinned } from '../ui/thinned';

/** The air around, told once: while one plays with a slider only the question travels. */
const rooms = new Map<string, air.AirLog>();
/** The place that is played with, told once, in the air around it. */
let trial: storage.Trial | null = null;

/** The place as it travels: its logs in readings. */
export type TrialPlace = Omit<storage.Trial, 'outside' | 'measured'> & { outside: air.Reading[]; measured: air.Reading[] | null };

/** What comes back of a course: its figures, its humidity in no more points than are drawn, and how far either side is open. */
export type Course = storage.Figures & { line: number[]; half: number[]; exhaustedAt: string | null; standing: storage.Standing };

const AS_IT_IS: storage.Climate = { warmerC: 0, damperPct: 0 };
const isSame = (a: storage.Climate, b: storage.Climate): boolean => a.warmerC === b.warmerC && a.damperPct === b.damperPct;

/** Reckons places off the page's own thread, so that a slider never sticks and a page never waits. */
export const boxApi = {
  keepRoom: (name: string, readings: air.Reading[]): void => void rooms.set(name, air.columnsOf(readings)),
  keepPlace: ({ measured, outside, ...place }: TrialPlace): void => {
    trial = { ...place, outside: air.columnsOf(outside), measured: measured && air.columnsOf(measured) };
  },
  /** @param room the air it would stand in; null where that stays. @throws Error for a place or a room that was not told before. */
  run: (
    change: storage.PlaceChange,
    room: string | null,
    climate: storage.Climate,
    band: storage.Band,
    options: storage.TrialOptions,
  ): Course => {
    const elsewhere = room === null ? trial?.outside : rooms.get(room);
    if (!trial || !elsewhere) throw new Error(`the place, or the room ${room}, was not told`);
    const around = isSame(climate, AS_IT_IS) ? elsewhere : storage.roomInClimate(elsewhere, climate);
    const { air: course, halfPct, ...figures } = storage.tryChange(trial, change, band, options, around);
    return { ...figures, line: thinned(course.humidityPct), half: thinned(halfPct) };
  },
  /** How much of each desiccant would keep it below its target for so long. */
  size: (question: Omit<storage.SizingQuestion, 'kind'>): Record<storage.DesiccantKind, storage.Sizing> => ({
    'silica-gel': storage.desiccantForBox({ ...question, kind: 'silica-gel' }),
    rice: storage.desiccantForBox({ ...question, kind: 'rice' }),
  }),
};
export type BoxWorker = typeof boxApi;
