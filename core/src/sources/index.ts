export { TEMPERATURE_UNITS, type TemperatureUnit } from './fieldNames.js';
export {
  PUSH_FORMAT_IDS,
  PUSH_FORMATS,
  type PushFormat,
  type PushFormatId,
  pushFormatOf,
  type PushOptions,
  PUSHED_TYPES,
  readPushed,
} from './formats.js';
export type { PushedReadings, SetAside, SetAsideReason } from './joined.js';
export { type Precision, PRECISIONS } from './lineProtocol.js';
export { readForecast, readSenml, type SenmlRecord, toSenml } from './senml.js';
