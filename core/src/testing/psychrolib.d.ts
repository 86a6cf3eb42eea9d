/** The part of the reference library that the tests ask; it ships no types. */
declare module 'psychrolib' {
  export const SI: number;
  export function SetUnitSystem(system: number): void;
  export function GetSatVapPres(temperatureC: number): number;
  export function GetTDewPointFromRelHum(temperatureC: number, relativeHumidity: number): number;
}
