import type { Material, Tool } from '../care/knowledge/index.js';

/** What a person has who works like this: a drawer to begin with, counted later (common practice). */
export type Starter = { name: string; what: string; things: readonly (Tool | Material)[] };

export const STARTERS = {
  'home-bench': {
    name: 'Home bench',
    what: 'Modern lenses and bodies at a table.',
    things: [
      'bulb-blower',
      'glass-brush',
      'shell-brush',
      'glass-cloth',
      'body-cloth',
      'carbon-pen',
      'contact-eraser',
      'lens-fluid',
      'alcohol-free-fluid',
      'isopropanol',
      'lens-tissue',
      'cotton-swab',
      'mild-soap',
      'paper-towel',
    ],
  },
  'travel-pouch': {
    name: 'Travel pouch',
    what: 'What goes along: nothing that spills.',
    things: ['bulb-blower', 'glass-brush', 'shell-brush', 'glass-cloth', 'body-cloth', 'carbon-pen', 'sealed-wipe', 'cotton-swab'],
  },
  'old-lens-bench': {
    name: 'Bench for old lenses',
    what: 'Mechanical lenses: fungus, stiff threads, tired finishes.',
    things: [
      'bulb-blower',
      'glass-brush',
      'shell-brush',
      'glass-cloth',
      'body-cloth',
      'oil-tip',
      'lens-fluid',
      'isopropanol',
      'instrument-oil',
      'adhesive-remover',
      'lens-tissue',
      'cotton-pad',
      'cotton-swab',
      'mild-soap',
      'paper-towel',
    ],
  },
  telescope: {
    name: 'Telescope and eyepieces',
    what: 'Eyepieces, binoculars, a glass front in the dew.',
    things: [
      'bulb-blower',
      'glass-brush',
      'glass-cloth',
      'body-cloth',
      'carbon-pen',
      'alcohol-free-fluid',
      'lens-tissue',
      'single-use-pad',
      'cotton-swab',
      'mild-soap',
    ],
  },
} as const satisfies Record<string, Starter>;

export type StarterId = keyof typeof STARTERS;
export const STARTER_IDS = Object.keys(STARTERS) as StarterId[];
export const starterFacts = (id: StarterId): Starter => STARTERS[id];
