import { air, storage } from '@bright-keeper/core';

/** A made-up year of a room, hour by hour. */
const room: air.Reading[] = Array.from({ length: 8760 }, (_, h) => ({
  at: new Date(Date.UTC(2026, 0, 1) + h * 3_600_000).toISOString(),
  temperatureC: 19 + 4 * Math.sin(h / 1400) + 1.5 * Math.sin(h / 3.8),
  humidityPct: 60 + 12 * Math.sin(h / 500) + 4 * Math.cos(h / 3.8),
}));

const median = (times: number[]): number => times.sort((a, b) => a - b)[Math.floor(times.length / 2)]!;
const timed = (work: () => unknown, runs: number): number =>
  median(
    Array.from({ length: runs }, () => {
      const begin = performance.now();
      work();
      return performance.now() - begin;
    }),
  );

const box: storage.Box = { volumeL: 50, airChangesPerDay: 0.5, openingsPerWeek: 2, targetPct: 50 };
const gel = { kind: 'silica-gel', massG: 200, loadingGPerG: 0.02 } as const;
const log = air.columnsOf(room);
const empty = timed(() => storage.boxAlong(box, log), 20);
const filled = timed(() => storage.boxAlong({ ...box, desiccant: gel }, log), 20);
const told = timed(() => storage.simulateBox({ ...box, desiccant: gel }, room), 20);
console.log(
  `a year of a box, hourly: empty ${empty.toFixed(1)} ms, with gel ${filled.toFixed(1)} ms in the median (aim: under 3 ms); told in readings ${told.toFixed(1)} ms`,
);

const inside = storage.simulateBox(box, room.slice(0, 21 * 24)).readings;
console.log(
  `seal fitted from three weeks of log: ${timed(() => storage.fitMoistureHalfLife(inside, room.slice(0, 21 * 24)), 5).toFixed(0)} ms`,
);
