import { commonPractice, published, type Basis } from './basis.js';

/** What can hurt someone or something, and the usual caution at the step that needs it. */
export type HazardFacts = {
  name: string;
  caution: string;
  wear: readonly ('gloves' | 'mask' | 'eye-protection')[];
  basis: Basis;
  /** What people say for it when they search. */
  words: readonly string[];
};

/** What people say for some of them, by name. */
const CALLED: Record<string, readonly string[]> = {
  'Possibly radioactive glass': ['thorium', 'thoriated', 'radioactive lens', 'yellowed glass', 'geiger'],
  'Flash capacitor': ['open a flash', 'open the camera', 'take apart flash', 'repair flash', 'electric shock', 'voltage'],
  'Leaked battery': ['swollen battery', 'bulging battery', 'hot battery', 'leaking battery', 'battery acid', 'lithium'],
  'Never mix cleaners': ['mix vinegar and peroxide', 'together', 'combine cleaners', 'bleach', 'mixing'],
  'Sensor fluid can be poisonous': ['methanol', 'toxic', 'poison'],
  'Battery out first': ['take the battery out', 'remove battery'],
};

const hazard = (name: string, caution: string, wear: HazardFacts['wear'] = [], basis: Basis = commonPractice): HazardFacts => ({
  name,
  caution,
  wear,
  basis,
  words: CALLED[name] ?? [],
});

export const HAZARDS = {
  'flammable-fluid': hazard(
    'Flammable fluid',
    'A few drops only, window open, no flame, spark or hot lamp near. Keep the bottle closed and away from children. When flying, the airline’s and the authority’s dangerous-goods rules decide.',
    [],
    published('UN GHS: isopropanol H225 highly flammable liquid and vapour, H319 serious eye irritation, H336 drowsiness (from memory)'),
  ),
  'solvent-vapour': hazard(
    'Solvent vapour',
    'Keep it off skin and out of eyes, and air the room. Follow the label; stop if you feel light-headed.',
    ['gloves'],
  ),
  'takes-lettering': hazard(
    'Takes lettering and paint with it',
    'Try it first where it does not show. Lettering, paint, rubber and leather dressing may come off with the dirt.',
  ),
  'never-mix': hazard(
    'Never mix cleaners',
    'Use one and rinse it away before any other. Vinegar with peroxide, and bleach with anything, give off or form what hurts you.',
    ['gloves', 'eye-protection'],
  ),
  'skin-and-eyes': hazard('Irritates skin and eyes', 'Gloves on, keep it away from your eyes, and rinse splashes with plenty of water.', [
    'gloves',
    'eye-protection',
  ]),
  methanol: hazard(
    'Sensor fluid can be poisonous',
    'Many sensor fluids are methanol: poisonous through skin and breath, flammable, and forbidden in an aircraft cabin. Gloves, an open window, bottle shut at once, nothing near the eyes. Its label decides.',
    ['gloves'],
    published('UN GHS: methanol H225, H301+H311+H331 toxic if swallowed, in contact with skin or inhaled, H370 (from memory)'),
  ),
  'maker-instructions': hazard(
    'The maker’s own instructions decide',
    'The maker of this coating names a cleaner: use that as its label says, and nothing else.',
  ),
  mould: hazard(
    'Mould',
    'Work away from your other gear, gloves on, a mask if there is more than a trace. Seal the used wipes in a bag and throw them out. If mould makes you ill, leave it to a workshop.',
    ['gloves', 'mask'],
  ),
  'sensor-power': hazard(
    'A shutter that closes on a swab wrecks both',
    'Full battery or mains, and be out before the shutter closes: in the cleaning mode you switch off yourself, an exposure ends by itself. The maker’s manual decides.',
  ),
  'battery-out': hazard('Battery out first', 'Switch off and take the battery out before anything touches bay or contacts.'),
  'battery-leak': hazard(
    'Leaked battery',
    'Switch off and take the battery out. Green or white bloom is caustic: gloves and eye protection; do not breathe or touch the crust. A swollen, hot or leaking lithium battery is not yours to handle: leave it outdoors on stone and follow local disposal rules.',
    ['gloves', 'eye-protection'],
  ),
  'radioactive-glass': hazard(
    'Possibly radioactive glass',
    'Some old fast lenses hold thoriated glass. Cleaning the outside is fine; never open, grind or polish it, and keep broken pieces sealed. Local radiation-protection advice decides.',
    [],
    published('US NRC NUREG-1717, chapter on optical lenses containing thorium (from memory)'),
  ),
  'old-silver': hazard(
    'Old silver may come off',
    'Mirrors from before the 1960s, and those whose year nobody knows, can lose their silver to any fluid. Test one corner and stop if anything comes off on the tissue.',
  ),
  'flash-capacitor': hazard(
    'Flash capacitor',
    'Never open a body or anything with a flash: the capacitor holds a dangerous charge long after the battery is out.',
  ),
  splinters: hazard(
    'Glass splinters',
    'Eye protection and gloves. Nothing is blown, brushed or shaken near your face: splinters are lifted off with something damp, wrapped, marked and thrown away.',
    ['gloves', 'eye-protection'],
  ),
  'wet-electronics': hazard(
    'Wet electronics',
    'Nothing is switched on to try. Switch off, take batteries and cells out, no heat. A lithium battery that got wet, is hot or swells is not yours to handle: outdoors on stone, and local disposal rules.',
  ),
  'oil-migrates': hazard('Oil creeps', 'A drop too many ends on blades and glass. Wipe off all you can see.'),
  'sharp-tip': hazard('Sharp tip', 'Point the tip away from glass and from the hand that holds the lens.'),
} as const satisfies Record<string, HazardFacts>;

export type HazardId = keyof typeof HAZARDS;
export const hazardFacts = (id: HazardId): HazardFacts => HAZARDS[id];
