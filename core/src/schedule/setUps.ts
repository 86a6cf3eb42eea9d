/** What is laid out before work of a sort can begin: it is laid out once for all work of that sort in a day. */
export type SetUp = {
  name: string;
  minutes: number;
  /** Where it stands in a day: what is cleaner and drier comes later (see order). */ order: number;
};

/**
 * The set-ups of a bench day in working order: loose dirt leaves before anything wet comes near, glass and the open
 * camera come when no dust flies any more, and salt jars stand apart from all of it. Minutes are our choice.
 */
export const SET_UPS = {
  air: { name: 'Round of air', minutes: 3, order: 0 },
  brush: { name: 'Brush work', minutes: 3, order: 1 },
  'torch-and-loupe': { name: 'Torch and loupe', minutes: 4, order: 2 },
  'wet-work': { name: 'Wet work', minutes: 6, order: 3 },
  'camera-open': { name: 'Camera open', minutes: 6, order: 4 },
  'salt-jars': { name: 'Salt jars', minutes: 5, order: 5 },
  desk: { name: 'No bench needed', minutes: 0, order: 6 },
} as const satisfies Record<string, SetUp>;

export type SetUpId = keyof typeof SET_UPS;
export const SET_UP_IDS = Object.keys(SET_UPS) as SetUpId[];
export const setUpFacts = (id: SetUpId): SetUp => SET_UPS[id];
