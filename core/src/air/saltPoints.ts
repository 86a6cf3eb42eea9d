/**
 * Relative humidity over saturated salt solutions, % RH, every 5 degC from 0 to 40.
 *
 * Source: Greenspan 1977, J. Res. NBS 81A, table 2 (from memory but for the values at 20 and 25 degC, which are
 * also checked against `science.md`). The uncertainty is that at 25 degC.
 */
const TABLE = {
  LiCl: { name: 'lithium chloride', plusMinus: 0.27, pct: [11.23, 11.26, 11.29, 11.3, 11.31, 11.3, 11.28, 11.25, 11.21] },
  MgCl2: { name: 'magnesium chloride', plusMinus: 0.16, pct: [33.66, 33.6, 33.47, 33.3, 33.07, 32.78, 32.44, 32.05, 31.6] },
  'Mg(NO3)2': { name: 'magnesium nitrate', plusMinus: 0.22, pct: [60.35, 58.86, 57.36, 55.87, 54.38, 52.89, 51.4, 49.91, 48.42] },
  NaCl: { name: 'table salt', plusMinus: 0.12, pct: [75.51, 75.65, 75.67, 75.61, 75.47, 75.29, 75.09, 74.87, 74.68] },
  KCl: { name: 'potassium chloride', plusMinus: 0.26, pct: [88.61, 87.67, 86.77, 85.92, 85.11, 84.34, 83.62, 82.95, 82.32] },
  K2SO4: { name: 'potassium sulphate', plusMinus: 0.45, pct: [98.77, 98.48, 98.18, 97.89, 97.59, 97.3, 97, 96.71, 96.41] },
} as const;
const STEP_C = 5;
const LAST_C = 40;

export type Salt = keyof typeof TABLE;
export const SALTS = Object.keys(TABLE) as Salt[];
export const saltName = (salt: Salt): string => TABLE[salt].name;
/** The uncertainty of the point at 25 degC, % RH. */
export const saltUncertaintyPct = (salt: Salt): number => TABLE[salt].plusMinus;

/**
 * The humidity of the air over a saturated solution of a salt, % RH, interpolated linearly between the table's
 * 5 degC steps (the curves bend by less than 0.1 % RH between them).
 *
 * @throws RangeError outside 0 to 40 degC.
 */
export function saltPointPct(salt: Salt, temperatureC: number): number {
  if (!(temperatureC >= 0 && temperatureC <= LAST_C))
    throw new RangeError(`salt test at ${temperatureC} degC is outside 0 to ${LAST_C} degC; let it stand at room temperature`);
  const { pct } = TABLE[salt];
  const at = Math.min(Math.floor(temperatureC / STEP_C), pct.length - 2);
  const share = temperatureC / STEP_C - at;
  return pct[at]! + share * (pct[at + 1]! - pct[at]!);
}
