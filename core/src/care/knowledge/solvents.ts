/**
 * A solvent as its vapour counts: molar mass, g/mol; density at 25 °C, g/mL (CRC Handbook, from memory); and what may be in
 * the air, ppm by volume (NIOSH Pocket Guide): over a working day, over a quarter of an hour (null where none is named), and
 * from where on it is dangerous at once.
 */
export type SolventFacts = {
  name: string;
  molarMassG: number;
  densityGMl: number;
  dayPpm: number;
  quarterPpm: number | null;
  dangerPpm: number;
};

export const SOLVENTS = {
  isopropanol: { name: 'isopropyl alcohol', molarMassG: 60.1, densityGMl: 0.781, dayPpm: 400, quarterPpm: 500, dangerPpm: 2000 },
  methanol: { name: 'methanol', molarMassG: 32.04, densityGMl: 0.787, dayPpm: 200, quarterPpm: 250, dangerPpm: 6000 },
  ethanol: { name: 'ethyl alcohol', molarMassG: 46.07, densityGMl: 0.785, dayPpm: 1000, quarterPpm: null, dangerPpm: 3300 },
  acetone: { name: 'acetone', molarMassG: 58.08, densityGMl: 0.784, dayPpm: 250, quarterPpm: null, dangerPpm: 2500 },
} as const satisfies Record<string, SolventFacts>;
export type Solvent = keyof typeof SOLVENTS;
export const SOLVENT_IDS = Object.keys(SOLVENTS) as Solvent[];
export const solventFacts = (id: Solvent): SolventFacts => SOLVENTS[id];
