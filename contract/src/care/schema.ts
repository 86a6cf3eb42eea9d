import { care, sensor } from '@bright-keeper/core';
import Joi from 'joi';
import { id, instant, kitName, secondsAgo, toldFor, version } from '../joi.js';
import { traitsSchema } from '../gear/schema.js';
import { sizeMm } from '../inspection/schema.js';

export const schoolsSchema = Joi.object<Partial<care.Schools>>(
  Object.fromEntries(care.SCHOOL_IDS.map((s) => [s, Joi.string().valid(...care.schoolChoices(s))])),
);

const place = () => Joi.string().valid('home', 'field');

export const conditionsSchema = Joi.object<care.Conditions>({
  wind: Joi.boolean(),
  blowingSand: Joi.boolean(),
  rain: Joi.boolean(),
  temperatureC: Joi.number().min(-60).max(70),
  humidityPct: Joi.number().min(0).max(100),
  freshWater: Joi.boolean(),
});

const finding = Joi.object<care.Finding>({
  surface: Joi.string()
    .valid(...care.SURFACE_IDS)
    .required(),
  soil: Joi.string()
    .valid(...care.SOIL_IDS)
    .required(),
  severity: Joi.number().integer().min(0).max(4).required(),
  sizeMm: sizeMm(),
});

const onHand = Joi.object<care.OnHand>({
  id: Joi.string()
    .valid(...Object.keys(care.TOOLS), ...Object.keys(care.MATERIALS))
    .required(),
  role: Joi.string().valid('glass', 'shell', 'sensor', 'any'),
  state: Joi.string().valid('clean', 'dirty'),
  unitPrice: Joi.number().min(0).max(100_000),
  widthMm: Joi.number().min(4).max(80),
  thingId: id(),
  label: Joi.string().max(200),
});

const item = Joi.object({
  kind: Joi.string()
    .valid(...care.ITEM_KINDS)
    .required(),
  traits: Joi.when('kind', {
    switch: care.ITEM_KINDS.map((kind) => ({ is: kind, then: traitsSchema(kind).required() })),
    otherwise: Joi.object().unknown().required(),
  }),
}).required();

/** Refuses a finding on a surface the described thing does not have, naming the finding. */
const onItsOwnSurfaces: Joi.CustomValidator<care.PlanRequest> = (request, helpers) => {
  const own = care.surfacesOf(request.item.kind, request.item.traits);
  const stray = request.findings.findIndex((f) => !own.includes(f.surface));
  if (stray < 0) return request;
  const message = `A ${care.kindFacts(request.item.kind).name} with these traits has no ${request.findings[stray]!.surface}.`;
  return helpers.message({ custom: message }, { at: ['findings', stray, 'surface'] });
};

const MOST_FINDINGS = 400;

export const planRequest = Joi.object<care.PlanRequest>({
  item,
  findings: Joi.array().items(finding).max(MOST_FINDINGS).required(),
  place: place().required(),
  conditions: conditionsSchema,
  schools: schoolsSchema,
  onHand: Joi.array().items(onHand).max(200),
  moreOnHand: Joi.boolean(),
  sensorRehearsed: Joi.boolean(),
  kit: kitName().disallow(null),
}).custom(onItsOwnSurfaces);

/** @param kit the one that is along outdoors, by its name; null where none is named. */
export type StartCleaning = {
  itemId: string;
  place: care.Place;
  conditions?: care.Conditions;
  schools?: Partial<care.Schools>;
  kit?: string | null;
};
export const startCleaning = Joi.object<StartCleaning>({
  itemId: id().required(),
  place: place().required(),
  conditions: conditionsSchema,
  schools: schoolsSchema,
  kit: kitName().default(null),
});

const stepId = () => Joi.string().max(120);
const event = Joi.alternatives().try(
  Joi.object({ type: Joi.string().valid('ready', 'stop').required() }),
  Joi.object({ type: Joi.string().valid('rehearsed').required(), step: stepId().required() }),
  Joi.object({ type: Joi.string().valid('done').required(), step: stepId().required(), at: instant() }),
  Joi.object({ type: Joi.string().valid('late').required(), step: stepId().required(), inside: Joi.boolean().required() }),
  Joi.object({
    type: Joi.string().valid('take').required(),
    step: stepId().required(),
    id: Joi.string()
      .valid(...Object.keys(care.TOOLS), ...Object.keys(care.MATERIALS))
      .required(),
    thingId: id().required(),
  }),
  Joi.object({
    type: Joi.string().valid('reading').required(),
    surface: Joi.string()
      .valid(...care.SURFACE_IDS)
      .required(),
    reading: Joi.string()
      .valid(...care.READINGS)
      .required(),
  }),
  Joi.object({
    type: Joi.string().valid('power-checked').required(),
    step: stepId().required(),
    heldOpen: Joi.string()
      .valid(...sensor.HELD_OPEN)
      .required(),
  }),
  Joi.object({
    type: Joi.string().valid('exposure').required(),
    step: stepId().required(),
    at: instant().required(),
    seconds: Joi.number().min(sensor.SHORTEST_EXPOSURE_S).max(sensor.LONGEST_EXPOSURE_S).required(),
  }),
  Joi.object({
    type: Joi.string().valid('turning').required(),
    step: stepId().required(),
    effort: Joi.string()
      .valid(...care.EFFORTS)
      .required(),
  }),
  Joi.object({
    type: Joi.string().valid('answer').required(),
    step: stepId().required(),
    answer: Joi.string()
      .valid(...care.ANSWERS)
      .required(),
  }),
  Joi.object({ type: Joi.string().valid('rest-clean').required(), step: stepId().required() }),
  Joi.object({
    type: Joi.string().valid('leave-surface').required(),
    surface: Joi.string()
      .valid(...care.SURFACE_IDS)
      .required(),
  }),
);

const MOST_EVENTS = 2000;

const eventsDone = () => Joi.array().items(event).max(MOST_EVENTS).required();

/** The whole memory of the cleaning: sent after every tap; undo sends one fewer. */
export type SaveEvents = { version: number; events: care.BenchEvent[] };
export const saveEvents = Joi.object<SaveEvents>({
  version: version().required(),
  events: eventsDone(),
});

/** A cleaning as a device kept it while the household could not be reached: the whole of it, to be carried over. */
export type CarriedCleaning = {
  itemId: string;
  startedAgoS: number;
  /** Null while it is not finished. */
  endedAgoS: number | null;
  /** What the device planned from: the same plan follows from it. */
  request: care.PlanRequest;
  schools: Partial<care.Schools>;
  events: care.BenchEvent[];
  /** What the household had of it when the device last knew; null where it was begun there. */
  base: care.BenchEvent[] | null;
};
export const carriedCleaning = Joi.object<CarriedCleaning>({
  itemId: id().required(),
  startedAgoS: secondsAgo().required(),
  endedAgoS: secondsAgo().allow(null).required(),
  request: planRequest.required(),
  schools: schoolsSchema.required(),
  events: eventsDone(),
  base: eventsDone().allow(null),
});

/**
 * `acceptShort`: the drawer held less than was used; count it as empty instead of asking again. `at`: when it was, where that
 * is told for an earlier moment.
 */
export type FinishCleaning = {
  version: number;
  acceptShort?: boolean;
  at: string | null;
};
export const finishCleaning = Joi.object<FinishCleaning>({
  version: version().required(),
  acceptShort: Joi.boolean(),
  at: toldFor(),
});

export type CleaningsQuery = { open?: boolean; limit: number };
export const cleaningsQuery = Joi.object<CleaningsQuery>({
  open: Joi.boolean(),
  limit: Joi.number().integer().min(1).max(200).default(40),
});
