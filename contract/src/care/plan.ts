import { care, sensor } from '@bright-keeper/core';
import Joi from 'joi';

const oneOf = (ids: readonly string[]) => Joi.string().valid(...ids);
const surface = () => oneOf(care.SURFACE_IDS);
const soil = () => oneOf(care.SOIL_IDS);
const thing = () => oneOf([...care.TOOL_IDS, ...care.MATERIAL_IDS]);
const number = () => Joi.number().required();

const lack = Joi.object({
  thing: thing().required(),
  reason: oneOf(['not-in-drawer', 'not-clean', 'kept-for', 'swab-too-wide']).required(),
  role: oneOf(care.TOOL_ROLES),
  surface: surface(),
});
const reach = Joi.object({
  by: oneOf(['open-thread', 'owner', 'workshop']).required(),
  rings: Joi.array().items(oneOf(care.DEPTHS)),
  bar: oneOf(care.BARS),
});

/** The facts a code may carry; which of them it does, the types say. */
const because = {
  reason: oneOf(care.BECAUSE_CODES).required(),
  surface: surface(),
  soil: soil(),
  grave: Joi.boolean(),
  showsFrom: Joi.number(),
  sizeMm: Joi.number(),
  focalMm: Joi.number(),
  fNumber: Joi.number(),
  reach,
  bar: oneOf(care.BARS),
  rule: oneOf(care.RULES.map((r) => r.id)),
  thing: thing(),
  role: oneOf(care.TOOL_ROLES),
  lack,
};

/** Why something is left, cleaned, handed over …, as it is kept. */
export const BECAUSE = Joi.object(because);

const entry = (more: Joi.PartialSchemaMap = {}) => Joi.object({ ...because, surface: surface().required(), ...more });
const entries = (more?: Joi.PartialSchemaMap) => Joi.array().items(entry(more)).required();

const amount = Joi.object({ quantity: number(), unit: oneOf(care.UNITS).required() });
const use = Joi.object({ material: oneOf(care.MATERIAL_IDS).required(), amount: amount.required() });
const taken = Joi.object({ id: thing().required(), thingId: Joi.string(), label: Joi.string() });
const schoolNote = Joi.object({
  school: oneOf(care.SCHOOL_IDS).required(),
  followed: Joi.string().required(),
  others: Joi.array()
    .items(Joi.object({ choice: Joi.string().required() }))
    .required(),
  departs: Joi.boolean(),
});
const sensorWork = Joi.object({
  strokes: Joi.object().unknown().required(),
  heldOpen: oneOf(sensor.HELD_OPEN).required(),
  stabilised: Joi.boolean().required(),
  rehearseFirst: Joi.boolean().required(),
});

const step = Joi.object({
  id: Joi.string().required(),
  surface: surface().required(),
  method: oneOf(care.METHOD_IDS).required(),
  level: number(),
  pass: number(),
  removes: Joi.array().items(soil()).required(),
  tool: oneOf(care.TOOL_IDS).allow(null).required(),
  material: oneOf(care.MATERIAL_IDS).allow(null).required(),
  amount: amount.allow(null).required(),
  uses: Joi.array().items(use).required(),
  takes: Joi.array().items(taken).required(),
  fluidGoes: oneOf(['on-wipe', 'far-mist']).allow(null).required(),
  motion: Joi.string().required(),
  orientation: Joi.string().required(),
  minutes: number(),
  contact: Joi.boolean().required(),
  sensor: sensorWork.allow(null).required(),
  tries: number(),
  look: Joi.object({ asks: oneOf(['clean', 'grains', 'crystals', 'turning']).required() })
    .allow(null)
    .required(),
  completes: Joi.string().allow(null).required(),
  onNoChange: oneOf(['climb', 'stop']).required(),
  cautions: Joi.array()
    .items(oneOf(Object.keys(care.HAZARDS)))
    .required(),
  schoolNotes: Joi.array().items(schoolNote).required(),
});

const line = Joi.object({
  line: Joi.string().required(),
  widthMm: Joi.number(),
  axis: Joi.string(),
  lanes: Joi.number(),
  caps: Joi.boolean(),
});

/** A cleaning plan as it is kept with its cleaning. */
export const planDocument = Joi.object({
  steps: Joi.array().items(step).required(),
  rounds: Joi.array().items(Joi.array().items(Joi.string())).required(),
  prepare: Joi.array().items(line).required(),
  close: Joi.array().items(line).required(),
  refused: entries({ method: oneOf(care.METHOD_IDS), tool: oneOf(care.TOOL_IDS), material: Joi.string() }),
  worthIt: entries(),
  leaveAlone: entries(),
  deferred: entries({ until: oneOf(care.WAITS_UNTIL).required() }),
  handOver: entries({ costHint: Joi.number() }),
  replace: entries(),
  openings: entries({
    severity: number(),
    method: oneOf(['open-group', 'lubricate']).required(),
    rings: Joi.array().items(oneOf(care.DEPTHS)).required(),
    filterFirst: Joi.boolean().required(),
  }),
  alsoLook: entries(),
  isolate: entry().allow(null).required(),
  missing: Joi.array()
    .items(
      lack.append({
        tool: oneOf(care.TOOL_IDS),
        material: oneOf(care.MATERIAL_IDS),
        for: Joi.array().items(surface()).required(),
        substitute: thing(),
      }),
    )
    .required(),
  cautions: Joi.array()
    .items(Joi.object({ hazard: oneOf(Object.keys(care.HAZARDS)).required(), before: Joi.string().required() }))
    .required(),
  totals: Joi.object({ minutes: number(), contacts: number(), materials: Joi.array().items(use).required(), cost: number() }).required(),
  summary: Joi.object({
    says: Joi.string().required(),
    apart: Joi.boolean().required(),
    surfaces: number(),
    measures: Joi.array().items(oneOf(care.MEASURES)).required(),
  }).required(),
});
