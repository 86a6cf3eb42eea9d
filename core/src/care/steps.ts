import type { HeldOpen } from '../sensor/index.js';
import { thingsOf, type Outfit } from './equip.js';
import type { HazardId } from './knowledge/hazards.js';
import { isFluid, materialFacts } from './knowledge/materials.js';
import { methodFacts, type Method } from './knowledge/methods.js';
import type { Soil } from './knowledge/soils.js';
import { familyOf, surfaceFacts, type Surface } from './knowledge/surfaces.js';
import type { AllowedRung } from './planSurface.js';
import { schoolNotesFor } from './schoolNotes.js';
import { swabOnHand, takenFor } from './onHand.js';
import type { Context, Finding, Look, Motion, Orientation, SensorWork, Step } from './types.js';

const LOOSENING: readonly Method[] = ['blow', 'soft-brush', 'rim-brush', 'stiff-brush'];
const BRUSHES: readonly Method[] = ['soft-brush', 'rim-brush', 'stiff-brush'];

/** Two tries a rung, then climb; a soft old layer bears one stroke, so its wipes are tried once. */
const TRIES = 2;
const triesFor = (method: Method, surface: Surface, { traits }: Context): number =>
  traits.coating === 'single' && familyOf(surface) === 'glass' && methodFacts(method).wipes ? 1 : TRIES;
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

function orientationFor(method: Method, surface: Surface): Orientation {
  const { nearOpening, family } = surfaceFacts(surface);
  if (family === 'sensor' || family === 'mirror' || family === 'matte' || family === 'chamber')
    return method === 'blow' ? 'mount-down' : 'facing-up';
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
  const lies = (soil: Soil) => findings.some((f) => f.soil === soil && f.severity > 0);
  if (lies('fungus-outside')) hazards.add('mould');
  if (surface === 'battery-bay' || surface === 'battery-contacts') hazards.add(lies('corrosion') ? 'battery-leak' : 'battery-out');
  if (familyOf(surface) === 'sensor' && methodFacts(method).contact) hazards.add('sensor-power');
  // From the 1960s on the silver is protected; a year nobody knows may be an earlier one.
  const oldOrUnknown = traits.yearMade == null || traits.yearMade < 1960;
  if (method === 'dab' && oldOrUnknown) hazards.add('old-silver');
  if (method === 'lubricate') hazards.add('oil-migrates').add('sharp-tip');
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
    schoolNotes: schoolNotesFor(method, surface, context),
    ...more,
  };
}

/**
 * The rungs of one surface as steps. A brush is followed by air, because it loosens what sat in the rim, and
 * that air begins the next pass; so do the finishers, all in one. While grit lies there, every loosening step asks
 * about grains, and the last of them stops instead of climbing; while salt lies there, so does the water.
 */
export function stepsFor(surface: Surface, rungs: readonly AllowedRung[], findings: readonly Finding[], context: Context): Step[] {
  const lies = (soil: Soil) => findings.some((f) => f.soil === soil && f.severity > 0);
  const gritLies = lies('grit');
  const air = rungs.find((r) => r.method === 'blow');
  const water = lies('salt') ? rungs.find((r) => r.outfit.uses.some((u) => u.material === 'water')) : undefined;
  const steps: Step[] = [];
  let pass = 1;
  let finishing = false;
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
    if (rung.finisher && !finishing && air) {
      finishing = true;
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

/** The last loosening step is the gate: past it only with no grain left. */
function stopWhileGritLies(steps: Step[]): Step[] {
  const gate = steps.findLast((s) => s.look?.asks === 'grains');
  return steps.map((s) => (s === gate ? { ...s, onNoChange: 'stop' as const } : s));
}
