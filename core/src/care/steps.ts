import type { HeldOpen } from '../sensor/index.js';
import { thingsOf, type Outfit } from './equip.js';
import type { HazardId } from './knowledge/hazards.js';
import { isFluid, materialFacts } from './knowledge/materials.js';
import { methodFacts, type Method } from './knowledge/methods.js';
import { holds, natureOf, soilFacts, type SoilNature } from './soils/index.js';
import { familyOf, holdsCells, surfaceFacts, type Family, type Surface } from './knowledge/surfaces.js';
import { isPlasticOptic } from './rules/plastic.js';
import type { AllowedRung } from './climb.js';
import { schoolNotesFor } from './schoolNotes.js';
import { swabOnHand, takenFor } from './onHand.js';
import type { Context, Finding, Look, Motion, Orientation, SensorWork, Step } from './types.js';

const LOOSENING: readonly Method[] = ['blow', 'soft-brush', 'rim-brush', 'stiff-brush', 'dab', 'fingertip'];
const BRUSHES: readonly Method[] = ['soft-brush', 'rim-brush', 'stiff-brush'];

/** Two tries a rung, then climb; a soft old layer bears one stroke, so its wipes are tried once. */
const TRIES = 2;
const triesFor = (method: Method, surface: Surface, { traits }: Context): number =>
  traits.coating !== 'multi' &&
  !!traits.coating &&
  !isPlasticOptic(surface, { traits }) &&
  familyOf(surface) === 'glass' &&
  methodFacts(method).wipes
    ? 1
    : TRIES;
/** How long a look takes, minutes (our choice). */
export const LOOK_MINUTES = 0.5;

function motionFor(method: Method, surface: Surface, context: Context): Motion {
  const { schools } = context;
  switch (method) {
    case 'blow':
    case 'canned-air':
      return 'air';
    case 'soft-brush':
    case 'rim-brush':
      return 'flick-out';
    case 'stiff-brush':
      return 'brush-off';
    case 'dry-wipe':
    case 'damp-wipe':
    case 'wet-wipe':
    case 'solvent-wipe':
      return familyOf(surface) === 'glass' ? schools.motion : 'rub';
    case 'carbon-tip':
    case 'breath':
    case 'chamois':
      return 'spiral-out';
    case 'fresh-water':
    case 'dab':
      return 'lay-and-lift';
    case 'fingertip':
    case 'damp-pad':
    case 'grease-seal':
      return 'run-round';
    case 'pick':
      return 'lift-off';
    case 'dry-swab':
      return 'roll';
    case 'feed-leather':
      return 'rub';
    case 'plastic-polish':
      return 'spiral-out';
    case 'damp-swab':
      return 'roll';
    case 'sensor-swab':
      return (swabOnHand(context)?.lanes ?? 1) > 1 ? 'one-way' : schools['sensor-stroke'];
    case 'lubricate':
      return 'work-through';
    case 'contact-eraser':
    case 'adhesive-remover':
    case 'soap-wash':
      return 'rub';
    case 'leave':
    case 'open-group':
    case 'service':
      return 'none';
    default:
      return method satisfies never;
  }
}

/** Lies in the camera: opened, blown facing down, worked on facing up. */
const OPENED: readonly Family[] = ['sensor', 'mirror', 'matte', 'chamber', 'track', 'foam'];

function orientationFor(method: Method, surface: Surface): Orientation {
  const { nearOpening, family } = surfaceFacts(surface);
  if (OPENED.includes(family)) return method === 'blow' ? 'mount-down' : 'facing-up';
  if (nearOpening && family !== 'glass') return 'mount-down';
  if (method === 'blow') return 'facing-down';
  return family === 'glass' || family === 'display' ? 'facing-up' : 'any';
}

/** Every rung is looked at, but air that takes nothing of what lies there: it only makes the next touch safe. */
function lookAfter({ method, removes }: AllowedRung, asks: Look['asks']): Look | null {
  if (method === 'lubricate') return { asks: 'turning' };
  return method === 'blow' && removes.length === 0 && asks === 'clean' ? null : { asks };
}

/** A mirrorless sensor lies open as soon as the lens is off; one behind a shutter needs the camera's mode or a long exposure. */
function heldOpenBy({ kind, traits }: Context): HeldOpen {
  if (traits.sensorCleaningMode) return 'cleaning-mode';
  return kind === 'mirrorless-body' ? 'always-open' : 'exposure';
}

function sensorWork(context: Context): SensorWork | null {
  const strokes = swabOnHand(context);
  return (
    strokes && {
      strokes,
      heldOpen: heldOpenBy(context),
      stabilised: !!context.traits.sensorStabilised,
      rehearseFirst: !context.sensorRehearsed,
    }
  );
}

/** The cautions of the fluid, of the surface and of what lies there. */
function cautionsFor(method: Method, surface: Surface, outfit: Outfit, findings: readonly Finding[], { traits }: Context): HazardId[] {
  const hazards = new Set<HazardId>(outfit.uses.flatMap((u) => materialFacts(u.material).hazards));
  const found = findings.filter((f) => f.severity > 0);
  for (const { soil } of found) for (const hazard of soilFacts(soil).hazards) hazards.add(hazard);
  // A maker's word is shown only where that thing's maker has one.
  if (!traits.makerForbidsFluids) hazards.delete('maker-instructions');
  if (holdsCells(surface)) hazards.add(found.some((f) => natureOf(f.soil) === 'corrosion') ? 'battery-leak' : 'battery-out');
  if (familyOf(surface) === 'sensor' && methodFacts(method).contact) hazards.add('sensor-power');
  // From the 1960s on the silver is protected; a year nobody knows may be an earlier one.
  const oldOrUnknown = traits.yearMade == null || traits.yearMade < 1960;
  if (method === 'dab' && oldOrUnknown) hazards.add('old-silver');
  if (method === 'lubricate') hazards.add('oil-migrates').add('sharp-tip');
  if (method === 'pick') hazards.add('sharp-tip');
  const letteringAtRisk = (method === 'solvent-wipe' || method === 'adhesive-remover') && familyOf(surface) === 'shell';
  if (letteringAtRisk && (traits.paintedLettering || traits.rubberisedCoating)) hazards.add('takes-lettering');
  if (traits.radioactiveGlass && familyOf(surface) === 'glass' && methodFacts(method).contact) hazards.add('radioactive-glass');
  return [...hazards];
}

/** Fluid never goes straight on an item, but for one school and its single mist on an eyepiece. */
function fluidGoes(outfit: Outfit, { schools }: Context): Step['fluidGoes'] {
  if (!outfit.uses.some((u) => isFluid(u.material))) return null;
  return outfit.uses.some((u) => u.amount.unit === 'spray') && schools.spray === 'far-mist' ? 'far-mist' : 'on-wipe';
}

function buildStep(
  surface: Surface,
  rung: AllowedRung,
  pass: number,
  completes: string | null,
  more: Pick<Step, 'look' | 'onNoChange'>,
  findings: readonly Finding[],
  context: Context,
): Step {
  const { method, outfit, removes } = rung;
  const facts = methodFacts(method);
  const first = outfit.uses[0];
  return {
    id: `${surface}/${pass}/${method}`,
    surface,
    method,
    pass,
    completes,
    level: facts.level,
    removes,
    tool: outfit.tool,
    material: first?.material ?? null,
    amount: first?.amount ?? null,
    uses: outfit.uses,
    takes: thingsOf(outfit).map((id) => takenFor(id, surface, context)),
    fluidGoes: fluidGoes(outfit, context),
    motion: motionFor(method, surface, context),
    orientation: orientationFor(method, surface),
    minutes: facts.minutes,
    contact: facts.contact,
    sensor: method === 'sensor-swab' ? sensorWork(context) : null,
    tries: triesFor(method, surface, context),
    cautions: cautionsFor(method, surface, outfit, findings, context),
    basis: facts.basis,
    schoolNotes: schoolNotesFor(method, surface, outfit, context),
    ...more,
  };
}

/**
 * The rungs of one surface as steps. A brush is followed by air, because it loosens what sat in the rim, and
 * that air begins the next pass; so do the finishers, all in one. While grit lies there, every loosening step asks
 * about grains, and the last of them stops instead of climbing; while salt lies there, so does the water.
 */
export function stepsFor(surface: Surface, rungs: readonly AllowedRung[], findings: readonly Finding[], context: Context): Step[] {
  const lies = (...natures: SoilNature[]) => findings.some((f) => f.severity > 0 && natures.includes(natureOf(f.soil)));
  const gritLies = findings.some((f) => f.severity > 0 && natureOf(f.soil) === 'loose' && holds(f.soil, 'grains'));
  const air = rungs.find((r) => r.method === 'blow');
  const water = lies('soluble') ? rungs.find((r) => r.outfit.uses.some((u) => u.material === 'water')) : undefined;
  const steps: Step[] = [];
  let pass = 1;
  let stage = 'climbing' as Stage;
  const asksOf = (rung: AllowedRung): Look['asks'] => {
    if (gritLies && LOOSENING.includes(rung.method)) return 'grains';
    return rung === water ? 'crystals' : 'clean';
  };
  const add = (rung: AllowedRung, completes: string | null) => {
    const asks = asksOf(rung);
    const onNoChange = asks === 'crystals' ? 'stop' : 'climb';
    const look = lookAfter(rung, asks);
    steps.push(buildStep(surface, rung, pass, completes, { look, onNoChange }, findings, context));
  };
  for (const rung of rungs) {
    const own: Stage = rung.finisher ? 'finishing' : rung.last && stage !== 'climbing' ? 'last' : stage;
    if (own !== stage && air) {
      stage = own;
      pass += 1;
      // Nothing is judged between this air and the finisher it prepares.
      steps.push(buildStep(surface, { ...air, removes: [] }, pass, null, { look: null, onNoChange: 'climb' }, findings, context));
    }
    add(rung, null);
    if (BRUSHES.includes(rung.method) && air) {
      const brush = steps.at(-1)!.id;
      pass += 1;
      add({ ...air, removes: rung.removes }, brush);
    }
  }
  return gritLies ? stopWhileGritLies(steps) : steps;
}

/** Where on the ladder one stands: each later stage is a pass of its own that begins with air. */
type Stage = 'climbing' | 'finishing' | 'last';

/** The last loosening step is the gate: past it only with no grain left. */
function stopWhileGritLies(steps: Step[]): Step[] {
  const gate = steps.findLast((s) => s.look?.asks === 'grains');
  return steps.map((s) => (s === gate ? { ...s, onNoChange: 'stop' as const } : s));
}
