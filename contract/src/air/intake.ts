import { sources } from '@bright-keeper/core';
import Joi from 'joi';
import { type LogFormat, logFormat } from './logFile.js';

/** Where the program takes the readings of a device in from by itself, and how they are written there. */
export type Intake =
  /** `humidityTopic` only where each quantity comes as a bare number on a topic of its own; `stateTopic` says whether it is on. */
  | { by: 'mqtt'; topic: string; humidityTopic: string | null; stateTopic: string | null; options: sources.PushOptions }
  | { by: 'poll'; address: string; options: sources.PushOptions }
  /** Files of the folder for logs whose names begin so, all written like the first one. */
  | { by: 'folder'; beginning: string; format: LogFormat };

const pointer = () =>
  Joi.string()
    .max(200)
    .pattern(/^(\/([^~/]|~[01])*)+$/)
    .messages({ 'string.pattern.base': 'Write where it lies as a JSON pointer (RFC 6901), like /sensor/temperature.' });
/** How a device writes, where that is not seen from what it sends. */
export const pushQuery = Joi.object<sources.PushOptions>({
  temperature: pointer(),
  humidity: pointer(),
  time: pointer(),
  unit: Joi.valid(...sources.TEMPERATURE_UNITS),
  precision: Joi.valid(...sources.PRECISIONS),
});

/** One topic and no pattern: what several devices say is never mixed (OASIS MQTT 3.1.1, 4.7). */
const topic = () =>
  Joi.string()
    .max(500)
    .pattern(/^[^+#\0]+$/)
    .messages({ 'string.pattern.base': 'Name one topic, without + and #.' });

/** An address of the network at home: a name and a password would lie in every backup. */
const pollAddress = () =>
  Joi.string()
    .max(500)
    .uri({ scheme: ['http', 'https'] })
    .pattern(/^\w+:\/\/[^/?#]*@/, { invert: true })
    .messages({
      'string.uriCustomScheme': 'Write the whole address, like http://192.168.1.7/status.',
      'string.pattern.invert.base': 'Leave name and password out of the address.',
    });

export const FILE_NAME_MAX = 120;
const beginning = () =>
  Joi.string()
    .max(FILE_NAME_MAX)
    .pattern(/^[^/\\\0]*[^/\\\0.\s][^/\\\0]*$/)
    .messages({ 'string.pattern.base': 'How the names of its files begin, without a folder.' });

const options = pushQuery.default({}).required();
const BY = {
  mqtt: Joi.object({
    by: Joi.valid('mqtt').required(),
    topic: topic().required(),
    humidityTopic: topic()
      .allow(null)
      .invalid(Joi.ref('topic'))
      .required()
      .messages({ 'any.invalid': 'Both come at one topic: then leave this empty.' }),
    stateTopic: topic().allow(null).required(),
    options,
  }),
  poll: Joi.object({ by: Joi.valid('poll').required(), address: pollAddress().required(), options }),
  folder: Joi.object({ by: Joi.valid('folder').required(), beginning: beginning().required(), format: logFormat.required() }),
};

/** The intake that goes with how readings come: of each way that is fed one, and of every other none. */
export const intakeFor = Joi.when('source', {
  switch: Object.entries(BY).map(([is, then]) => ({ is, then: then.required() })),
  otherwise: Joi.valid(null).default(null),
});
/** Of any way, where it stands by itself. */
export const intake = Joi.alternatives<Intake>().try(...Object.values(BY));

/** Why nothing comes in, as far as it is seen from here. */
export const INTAKE_FAULTS = [
  'no-broker',
  'not-nearby',
  'unreachable',
  'refused',
  'certificate',
  'too-large',
  'not-understood',
  'says-off',
  'old-word',
  'no-folder',
  'unreadable-file',
  'from-elsewhere',
] as const;
export type IntakeFault = (typeof INTAKE_FAULTS)[number];
/** How it stands with the intake of a device, since when; null fault where all is well. */
export type IntakeState = { fault: IntakeFault | null; since: string };

/** The broker of the household, which hands on what devices publish; kept beside the household, on this machine. */
export type Broker = {
  /** Null where none is used. */
  address: string | null;
  username: string;
  hasPassword: boolean;
  /** Whoever vouches for its certificate, as PEM; empty where that is anybody whom the machine trusts. */
  authority: string;
};
/** A password that is null stays as it is; an empty one is none. */
export type BrokerInput = Omit<Broker, 'hasPassword'> & { password: string | null };
export const brokerInput = Joi.object<BrokerInput>({
  address: Joi.string()
    .max(300)
    .uri({ scheme: ['mqtt', 'mqtts'] })
    .pattern(/^\w+:\/\/[^/?#@]+\/?$/)
    .allow(null)
    .required()
    .messages({
      'string.uriCustomScheme': 'Write the whole address, like mqtt://192.168.1.5:1883.',
      'string.pattern.base': 'Only where it is: mqtt:// or mqtts://, its name and its port.',
    }),
  username: Joi.string().allow('').max(200).required(),
  password: Joi.string().allow('', null).max(1000).required(),
  authority: Joi.string()
    .allow('')
    .max(20_000)
    .pattern(/^\s*-----BEGIN CERTIFICATE-----/)
    .required()
    .messages({ 'string.pattern.base': 'A certificate in PEM begins with -----BEGIN CERTIFICATE-----.' }),
});

/** The broker, the folder that is watched for logs (null where this household has none), and whether another program may read what is said. */
export type IntakePlaces = { broker: Broker; brokerState: IntakeState | null; logFolder: string | null; hasMetricsKey: boolean };
/** What was heard at the broker within a few seconds: from which topics readings can be taken, and how many there were. */
export type TopicsHeard = { offers: sources.TopicOffer[]; topics: number };

/** An address tried once. */
export type PollTried = {
  reading: { temperatureC: number; humidityPct: number } | null;
  vitals: sources.Vitals;
  setAside: sources.SetAside[];
};
export type PollTry = { address: string; options: sources.PushOptions };
export const pollTry = Joi.object<PollTry>({ address: pollAddress().required(), options });
