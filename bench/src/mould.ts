import { fungus, type air } from '@bright-keeper/core';

const THINGS = 200;
const YEARS = 5;
const STEP_MS = 10 * 60_000;
const count = Math.round((YEARS * 365.25 * 86_400_000) / STEP_MS);

/** One place's log; each thing walks it from another start, as things that came at another time do. */
const log: air.Reading[] = Array.from({ length: count }, (_, i) => ({
  at: new Date(Date.UTC(2021, 0, 1) + i * STEP_MS).toISOString(),
  temperatureC: 17 + 6 * Math.sin(i / 8366),
  humidityPct: 72 + 16 * Math.sin(i / 3000),
}));

const begin = performance.now();
let visible = 0;
for (let thing = 0; thing < THINGS; thing += 1) {
  const series = fungus.mouldIndex(thing === 0 ? log : log.slice(thing * 20), {
    sensitivity: thing % 2 ? 'sensitive' : 'medium-resistant',
  });
  if (series.at(-1)!.index >= 3) visible += 1;
}
const seconds = (performance.now() - begin) / 1000;
console.log(
  `mould index of ${THINGS} things over ${YEARS} years of ten-minute readings: ${seconds.toFixed(1)} s, ` +
    `${((THINGS * count) / seconds / 1e6).toFixed(1)} million steps a second (${visible} visible at the end)`,
);
