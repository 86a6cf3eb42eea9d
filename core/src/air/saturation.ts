/** Buck 1996, saturation over liquid water: hPa, degC. */
const BUCK = { a: 6.1121, b: 18.678, c: 257.14, d: 234.5 } as const;

/** Where the formula is used: below and above it, hygrometers do not measure. */
const COLDEST_C = -80;
const HOTTEST_C = 100;

export function checkTemperature(temperatureC: number): void {
  if (!(temperatureC >= COLDEST_C && temperatureC <= HOTTEST_C))
    throw new RangeError(`temperature ${temperatureC} degC is outside ${COLDEST_C} to ${HOTTEST_C}; kelvins or degF must be converted`);
}

export function checkHumidity(humidityPct: number): void {
  if (!(humidityPct > 0 && humidityPct <= 100))
    throw new RangeError(`relative humidity ${humidityPct} is outside (0, 100] %; a fraction must be multiplied by 100`);
}

/**
 * Saturation vapour pressure over liquid water, hPa. Over liquid below 0 degC too, because that is what
 * hygrometers report against (WMO-No. 8).
 *
 * Source: Buck 1996 (revised from Buck 1981, J. Appl. Meteorol. 20). Within 0.04 % of IAPWS-IF97 from 0 to 60 degC.
 *
 * @throws RangeError outside -80 to 100 degC.
 * @example saturationPressureHPa(20) // 23.38
 */
export function saturationPressureHPa(temperatureC: number): number {
  checkTemperature(temperatureC);
  return BUCK.a * Math.exp(((BUCK.b - temperatureC / BUCK.d) * temperatureC) / (BUCK.c + temperatureC));
}

/**
 * The temperature to which air must cool to be saturated, degC: the inverse of the formula above, which is a
 * quadratic and so has a closed form. No search, no second set of coefficients that disagrees with the first.
 *
 * @throws RangeError outside -80 to 100 degC or (0, 100] % RH.
 * @example dewPointC(21, 60) // 12.9
 */
export function dewPointC(temperatureC: number, humidityPct: number): number {
  checkHumidity(humidityPct);
  const log = Math.log((saturationPressureHPa(temperatureC) * humidityPct) / 100 / BUCK.a);
  const slope = BUCK.b - log;
  const dewC = (BUCK.d / 2) * (slope - Math.sqrt(slope * slope - (4 * BUCK.c * log) / BUCK.d));
  // Rounding may carry saturated air a hair above its own temperature.
  return Math.min(dewC, temperatureC);
}
