import type { Reading } from '../air/reading.js';
import { assess, type AssessOptions, type RiskLevel } from '../fungus/assess.js';
import { simulateBox, type Box } from './box.js';

/** A box as it might be. `setPointPct` is a dry cabinet's; `powerCut` is when it has no current. */
export type Scenario = {
  box: Box;
  /** Its desiccant has only just been put in. */
  freshDesiccant?: boolean;
  setPointPct?: number | null;
  powerCut?: { from: string; to: string } | null;
};
export type ScenarioResult = {
  readings: Reading[];
  loadingGPerG: number[];
  exhaustedAt: string | null;
  meanPct: number;
  /** Share of the time below, in and above the band. */
  below: number;
  within: number;
  above: number;
  level: RiskLevel;
  peakDose: number;
  peakIndex: number;
};

type Band = { lowPct: number; highPct: number };

/** With current, a dry cabinet holds its set-point where the room is damper; without, it is a box with a fair seal. */
function run({ box, freshDesiccant = false, setPointPct, powerCut }: Scenario, room: readonly Reading[]) {
  if (setPointPct == null) return simulateBox(box, room, { freshDesiccant });
  const held = (r: Reading): Reading => ({ ...r, humidityPct: Math.min(setPointPct, r.humidityPct) });
  if (!powerCut) return { readings: room.map(held), loadingGPerG: room.map(() => 0), exhaustedAt: null };
  const before = room.filter((r) => r.at < powerCut.from).map(held);
  const during = room.filter((r) => r.at >= powerCut.from && r.at < powerCut.to);
  const after = room.filter((r) => r.at >= powerCut.to).map(held);
  const cut = simulateBox(box, during, { startHumidityPct: Math.max(1, before.at(-1)?.humidityPct ?? setPointPct) });
  const readings = [...before, ...cut.readings, ...after];
  return { readings, loadingGPerG: readings.map(() => 0), exhaustedAt: null };
}

/** What would become of the air in it, of the band and of the risk. */
export function tryScenario(
  scenario: Scenario,
  room: readonly Reading[],
  { lowPct, highPct }: Band,
  options: AssessOptions,
): ScenarioResult {
  const result = run(scenario, room);
  const share = (test: (pct: number) => boolean) =>
    result.readings.filter((r) => test(r.humidityPct)).length / Math.max(1, result.readings.length);
  const { level, peak } = assess(result.readings, options);
  return {
    ...result,
    meanPct: result.readings.reduce((sum, r) => sum + r.humidityPct, 0) / Math.max(1, result.readings.length),
    below: share((pct) => pct < lowPct),
    within: share((pct) => pct >= lowPct && pct <= highPct),
    above: share((pct) => pct > highPct),
    level,
    peakDose: peak.dose,
    peakIndex: peak.index,
  };
}

/** One thing that could be changed by itself. */
export type SingleChange = { id: 'more-gel' | 'better-seal' | 'fewer-openings' | 'rice-instead'; name: string; scenario: Scenario };

/** The single changes worth comparing for a box (our choice: twice the gel, half the leak, half the openings). */
export function singleChanges(scenario: Scenario): SingleChange[] {
  const { box } = scenario;
  const dried = { kind: 'silica-gel', massG: Math.max(100, 2 * (box.desiccant?.massG ?? 0)), loadingGPerG: 0.02 } as const;
  const changes: SingleChange[] = [
    {
      id: 'more-gel',
      name: `${dried.massG.toFixed(0)} g of dry gel`,
      scenario: { ...scenario, freshDesiccant: true, box: { ...box, desiccant: dried } },
    },
    {
      id: 'better-seal',
      name: 'a seal twice as tight',
      scenario: { ...scenario, box: { ...box, airChangesPerDay: box.airChangesPerDay / 2 } },
    },
  ];
  if (box.openingsPerWeek > 0)
    changes.push({
      id: 'fewer-openings',
      name: 'half the openings',
      scenario: { ...scenario, box: { ...box, openingsPerWeek: box.openingsPerWeek / 2 } },
    });
  return changes;
}

/** How good a result is: the less of the time above the band the better, then the lower dose. Lower is better. */
export const badness = ({ above, peakDose, below }: ScenarioResult): number => above + 0.5 * below + Math.min(peakDose, 5) / 10;

/** The one change that helps most, by itself; null when none makes it better by as much as a hundredth of the time. */
export function bestSingleChange(
  scenario: Scenario,
  room: readonly Reading[],
  band: Band,
  options: AssessOptions,
): { change: SingleChange; result: ScenarioResult } | null {
  const now = badness(tryScenario(scenario, room, band, options));
  const tried = singleChanges(scenario).map((change) => ({ change, result: tryScenario(change.scenario, room, band, options) }));
  const best = tried.sort((a, b) => badness(a.result) - badness(b.result))[0];
  return best && now - badness(best.result) > 0.01 ? best : null;
}
