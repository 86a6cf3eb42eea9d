export { TEMPERATURE_UNITS, type TemperatureUnit } from './fieldNames.js';
export {
  PUSH_FORMAT_IDS,
  PUSH_FORMATS,
  type PushFormat,
  type PushFormatId,
  pushFormatOf,
  type PushOptions,
  parsedText,
  PUSHED_TYPES,
  readPushed,
} from './formats.js';
export { bareHalf, type Half, joinHalf } from './halves.js';
export { type PushedReadings, SET_ASIDE_REASONS, type SetAside, type SetAsideReason } from './joined.js';
export { type LastWord, lastWordAfter } from './lastWord.js';
export { type Precision, PRECISIONS } from './lineProtocol.js';
export { readForecast, readSenml, type SenmlRecord, toSenml } from './senml.js';
export { type Message, offersIn, type TopicOffer, unitOfTopic } from './topics.js';
export { isBatteryLow, type Vitals } from './vitals.js';
export { WAY_IDS, type WayId, WAYS } from './ways.js';
