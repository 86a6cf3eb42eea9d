import { checkHumidity, saturationPressureHPa } from './saturation.js';

/** 100 times the molar mass of water over the gas constant: g K/(m3 hPa). */
const VAPOUR = 216.68;
const KELVIN = 273.15;

/**
 * Water vapour in a cubic metre of air, g/m3, from the ideal gas law.
 *
 * @param saturated what it can hold at that temperature, g/m3, where that is known already.
 * @throws RangeError outside -80 to 100 degC or (0, 100] % RH.
 * @example absoluteHumidityGm3(20, 100) // 17.3
 */
export function absoluteHumidityGm3(temperatureC: number, humidityPct: number, saturated = saturatedGm3(temperatureC)): number {
  checkHumidity(humidityPct);
  return (humidityPct / 100) * saturated;
}

/** Water vapour of such a pressure in a cubic metre, g/m3. */
export const vapourGm3 = (temperatureC: number, pressureHPa: number): number => (VAPOUR * pressureHPa) / (temperatureC + KELVIN);

/** What a cubic metre can hold, g/m3. */
export const saturatedGm3 = (temperatureC: number): number => vapourGm3(temperatureC, saturationPressureHPa(temperatureC));

/** The relative humidity of air with so much vapour, % RH. Above 100 it condenses: the caller decides what that means. */
export const humidityPctFrom = (temperatureC: number, absoluteGm3: number): number => (100 * absoluteGm3) / saturatedGm3(temperatureC);
