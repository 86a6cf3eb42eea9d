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

/** What follows the room of a year at a distance, on a cold wall, with walls that give and take; read to a tenth. */
const cupboard: storage.FittedPlace = {
  ...storage.usualPlace({ volumeL: 300, airChangesPerDay: 3, openingsPerWeek: 0, targetPct: 60 }, null),
  vapourExcessGm3: 0.5,
  bufferPerDay: 6,
  bufferDays: 4,
  warmerC: -2,
  lagH: 14,
};
const rounded = (value: number) => Math.round(10 * value) / 10;
const measured = air.columnsOf(
  storage
    .simulatePlace(cupboard, room)
    .readings.map((r) => ({ at: r.at, temperatureC: rounded(r.temperatureC), humidityPct: rounded(r.humidityPct) })),
);
const fit = storage.fitPlace(measured, log);
if ('cannot' in fit) throw new Error(`the bench's cupboard is not explained: ${fit.cannot}`);
console.log(
  `a place explained by a year of hours: ${timed(() => storage.fitPlace(measured, log), 7).toFixed(0)} ms in the median (aim: under 150 ms)`,
);
const from = log.ms[8760 - 120 * 24]!;
const trial: storage.Trial = { ...fit, outside: air.between(log, from, Infinity), measured: air.between(measured, from, Infinity) };
const band = { lowPct: 35, highPct: 60 };
const options = { humiditySchool: 'standard', surfaceState: 'soiled-glass' } as const;
const frame = (change: storage.PlaceChange) => timed(() => storage.tryChange(trial, change, band, options), 30).toFixed(1);
console.log(
  `a changed what-if over 120 days: warmer wall ${frame({ warmerC: 0 })} ms, gel ${frame({ desiccant: gel })} ms a frame (aim: under 16 ms)`,
);
