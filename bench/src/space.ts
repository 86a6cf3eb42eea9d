import { care } from '@bright-keeper/core';

function timed(request: care.PlanRequest): number {
  const started = performance.now();
  care.planCleaning(request);
  return performance.now() - started;
}

/**
 * Every kind, surface, soil, severity and place; aim: no single plan over 5 ms. Each is planned three times and the
 * best counts, so that a pause of the engine to collect garbage is not counted as the plan's.
 */
let plans = 0;
let worst = { ms: 0, what: '' };
const begin = performance.now();
for (const kind of care.ITEM_KINDS)
  for (const surface of care.surfacesOf(kind, {}))
    for (const soil of care.SOIL_IDS)
      for (const severity of [1, 2, 3, 4] as const)
        for (const place of ['home', 'field'] as const) {
          const request: care.PlanRequest = { item: { kind, traits: {} }, place, findings: [{ surface, soil, severity }] };
          const ms = Math.min(timed(request), timed(request), timed(request));
          plans += 1;
          // The first thousand warm the engine up.
          if (plans > 1000 && ms > worst.ms) worst = { ms, what: `${kind}, ${surface}, ${soil} ${severity}, ${place}` };
        }
const seconds = (performance.now() - begin) / 1000;
console.log(`the whole space: 3 × ${plans} plans in ${seconds.toFixed(2)} s, ${Math.round((3 * plans) / seconds)} a second`);
console.log(`worst single plan: ${worst.ms.toFixed(2)} ms, ${worst.what} (aim: under 5 ms)`);

/** Everything wrong with one body at once. */
const findings = care
  .surfacesOf('slr-body', {})
  .flatMap((surface) => care.SOIL_IDS.map((soil) => ({ surface, soil, severity: 3 as const })));
const times = Array.from({ length: 50 }, () => {
  const started = performance.now();
  care.planCleaning({ item: { kind: 'slr-body', traits: {} }, place: 'home', findings });
  return performance.now() - started;
}).sort((a, b) => a - b);
console.log(`a body with all ${findings.length} findings at once: median ${times[25]!.toFixed(2)} ms`);
