import type { Tool } from '../care/knowledge/index.js';

/** What is laid out before work of a sort can begin: it is laid out once for all work of that sort in a day. */
export type SetUp = {
  name: string;
  minutes: number;
  /** Where it stands in a day. */
  order: number;
  /** Tools of the drawer that it takes, whatever the thing; a plan adds its own. */
  tools: readonly Tool[];
  /** What else lies ready, which no drawer keeps. */
  lays: readonly string[];
};

/**
 * The set-ups of a bench day in working order: loose dirt leaves before anything wet comes near, glass and the open
 * camera come when no dust flies any more, and salt jars stand apart from all of it. Minutes are our choice.
 */
export const SET_UPS = {
  air: { name: 'Round of air', minutes: 3, order: 0, tools: ['bulb-blower'], lays: ['a slanted lamp'] },
  brush: { name: 'Brush work', minutes: 3, order: 1, tools: ['shell-brush', 'bulb-blower'], lays: ['a dry, bright place'] },
  'torch-and-loupe': { name: 'Torch and loupe', minutes: 4, order: 2, tools: [], lays: ['a torch', 'a loupe', 'a dark corner'] },
  'wet-work': { name: 'Wet work', minutes: 6, order: 3, tools: [], lays: ['a clean towel', 'washed hands'] },
  'camera-open': {
    name: 'Camera open',
    minutes: 6,
    order: 4,
    tools: ['bulb-blower'],
    lays: ['a full battery', 'a plain bright sheet for the test frame'],
  },
  'salt-jars': { name: 'Salt jars', minutes: 5, order: 5, tools: [], lays: ['a tight jar', 'kitchen salt and a few drops of water'] },
  desk: { name: 'No bench needed', minutes: 0, order: 6, tools: [], lays: [] },
} as const satisfies Record<string, SetUp>;

export type SetUpId = keyof typeof SET_UPS;
export const SET_UP_IDS = Object.keys(SET_UPS) as SetUpId[];
export const setUpFacts = (id: SetUpId): SetUp => SET_UPS[id];
