/** Where good practitioners disagree, the user picks. Each choice carries its reason. */
export type SchoolFacts<Choice extends string = string> = {
  name: string;
  question: string;
  default: Choice;
  choices: Record<Choice, { name: string; reason: string }>;
  /** What people say for it when they search. */
  words: readonly string[];
};

/** What people say for some of them, by name. */
const CALLED: Record<string, readonly string[]> = {
  Wipe: ['microfiber or tissue', 'which cloth', 'cloth or tissue', 'microfibre cloth'],
  'Brush on glass': ['brush on glass', 'may I brush'],
  'Protecting filter': ['protective filter', 'uv filter', 'yes or no', 'filter or not', 'skylight'],
  'Fluid on an eyepiece': ['drops directly on the lens', 'spray on the lens', 'fluid directly'],
  Fluid: ['which cleaning fluid', 'alcohol or lens cleaner', 'best lens cleaner'],
  Breath: ['breathing on the lens'],
  Storage: ['cabinet or box', 'where to store'],
};

const school = <Choice extends string>(
  name: string,
  question: string,
  fallback: NoInfer<Choice>,
  choices: SchoolFacts<Choice>['choices'],
): SchoolFacts<Choice> => ({
  name,
  question,
  default: fallback,
  choices,
  words: CALLED[name] ?? [],
});

export const SCHOOLS = {
  solvent: school('Fluid', 'What goes on the wipe for glass?', 'lens-fluid', {
    'lens-fluid': { name: 'lens fluid', reason: 'Purpose-made fluid lubricates as it cleans; alcohol has no place on a lens.' },
    alcohol: { name: 'alcohol', reason: 'It strips oil, dries without a trace and does not harm hard coatings.' },
    'alcohol-free': { name: 'alcohol-free', reason: 'Eyeglass cleaner is made for coatings, cheap, and safe on plastic.' },
  }),
  wipe: school('Wipe', 'What touches the glass?', 'by-task', {
    'by-task': {
      name: 'microfibre dry, tissue damp',
      reason: 'Each where it is best: cloth for the light pass, a fresh tissue for the damp one.',
    },
    tissue: { name: 'lens tissue', reason: 'Microfibre leaves fibres and gets dirty; a fresh tissue each time does not.' },
    microfibre: { name: 'microfibre', reason: 'Any paper can scratch; only clean microfibre.' },
    'cotton-then-cloth': { name: 'cotton, then cloth', reason: 'Wet cotton floats the dirt off, dry cotton picks it up, cloth finishes.' },
    'single-use-pad': { name: 'single-use pad', reason: 'Nothing is carried from one clean to the next.' },
  }),
  motion: school('Motion', 'How does the wipe travel?', 'spiral-out', {
    'spiral-out': { name: 'circles from the centre out', reason: 'Circles from the centre leave no streaks.' },
    'straight-then-out': {
      name: 'straight first, then centre to edge',
      reason: 'Back and forth lifts the film, centre to edge carries it off.',
    },
  }),
  breath: school('Breath', 'May you breathe on glass?', 'allowed', {
    allowed: { name: 'allowed at home', reason: 'A trace of pure moisture lifts water spots and wakes the carbon tip.' },
    never: { name: 'never', reason: 'Breath is wet and not clean.' },
  }),
  'glass-brush': school('Brush on glass', 'May bristles touch glass?', 'soft-brush', {
    'soft-brush': { name: 'a soft brush', reason: 'A soft brush kept for glass is harmless.' },
    'rim-only': { name: 'the rim only', reason: 'The rim holds the dust; bristles on the glass itself are a risk.' },
    never: { name: 'never', reason: 'Any bristle can carry a grain.' },
  }),
  habit: school('Habit', 'When do you clean?', 'on-evidence', {
    'on-evidence': { name: 'on evidence', reason: 'Each clean is wear: clean what shows.' },
    'after-every-outing': { name: 'after every outing', reason: 'Regular care keeps spores and grit from working in.' },
  }),
  filter: school('Protecting filter', 'When does a filter sit in front?', 'harsh-places', {
    always: { name: 'always', reason: 'A cheap checked filter takes the wear.' },
    'harsh-places': { name: 'in harsh places', reason: 'Against sand and spray it earns its place; otherwise it is one more surface.' },
    never: { name: 'never', reason: 'Another layer of glass costs quality.' },
  }),
  'field-fluid': school('Fluid in the field', 'What damp cleaning do you carry?', 'sealed-wipes', {
    'sealed-wipes': { name: 'sealed wipes', reason: 'Nothing to spill, nothing to declare.' },
    'small-bottle': { name: 'a small bottle', reason: 'A few strips and a small bottle clean anything anywhere.' },
  }),
  spray: school('Fluid on an eyepiece', 'How does fluid reach an eyepiece?', 'on-cloth', {
    'on-cloth': {
      name: 'on the cloth',
      reason: 'Fluid creeps into the rim and leaves drying spots: it goes on the wipe, never on the glass.',
    },
    'far-mist': { name: 'one fine mist from afar', reason: 'A single fine mist from about 30 cm wets evenly and is too little to creep.' },
  }),
  mirror: school('Reflex mirror', 'What may touch a reflex mirror?', 'air-and-brush', {
    'air-and-brush': {
      name: 'air and a soft brush',
      reason: 'A mirror never shows in the picture, so loose dirt is all one takes off; a film from “light” on is dabbed, less is left.',
    },
    dab: {
      name: 'a damp dab for all of it',
      reason: 'A damp tissue laid on and lifted takes what the brush leaves: a film dims the finder.',
    },
  }),
  sensor: school('Sensor', 'Who cleans the sensor?', 'self', {
    self: { name: 'you do', reason: 'A swab costs a fraction of a service visit.' },
    service: { name: 'a workshop', reason: 'A scratched sensor is final.' },
  }),
  'sensor-stroke': school('Sensor stroke', 'How is the swab drawn?', 'one-way', {
    'one-way': { name: 'one way', reason: 'Same direction twice, the second stroke with the other face.' },
    'there-and-back': { name: 'there and back', reason: 'Out with one face, back with the other.' },
  }),
  'fungus-fluid': school('Fluid for fungus', 'What takes fungus off a face you can reach?', 'alcohol', {
    alcohol: { name: 'alcohol', reason: 'It wets and dries at once and is on the bench already.' },
    peroxide: { name: 'peroxide', reason: 'It bleaches and breaks up the threads. Choose one fluid and never mix.' },
    vinegar: { name: 'vinegar', reason: 'Mild and everywhere. Choose one fluid and never mix.' },
  }),
  sticky: school('Sticky coating', 'What becomes of a rubbery finish that has turned tacky?', 'air', {
    air: {
      name: 'air it first',
      reason:
        'Two to twelve months open on a shelf, no work, lettering stays; it may stay a little tacky, the old look does not return, and shut away it turns again.',
    },
    remove: {
      name: 'remove it',
      reason: 'About 20 minutes a pass, several passes; the lettering goes with it and the bare shell stays for good.',
    },
  }),
  humidity: school('Humidity', 'When does a damp place alarm you?', 'standard', {
    relaxed: { name: 'relaxed', reason: 'Decades at 80 to 90 % in a cool climate without harm: only the published mould index alarms.' },
    standard: { name: 'standard', reason: 'The mould index alarms; the early warning for growth on glass warns.' },
    cautious: { name: 'cautious', reason: 'Warm humid places need control: warn at half a dose, alarm at a whole one.' },
  }),
  store: school('Storage', 'Where do things live?', 'by-climate', {
    'by-climate': { name: 'as the climate asks', reason: 'Air where it is dry enough, a closed box where it is not.' },
    'aired-shelf': { name: 'aired shelf', reason: 'Coatings turn sticky and moisture stays trapped without air.' },
    'sealed-box': { name: 'sealed box', reason: 'Dust and damp stay out.' },
    'dry-cabinet': { name: 'dry cabinet', reason: 'Controlled, and open often enough to be aired.' },
  }),
  desiccant: school('Desiccant', 'What dries a box?', 'silica-gel', {
    'silica-gel': { name: 'indicator gel', reason: 'It can be read, and dried again for years.' },
    rice: { name: 'rice', reason: 'A jar of it is cheap and everywhere; it is a buffer rather than a dryer.' },
    none: { name: 'none', reason: 'A place that needs drying is the wrong place.' },
  }),
} as const satisfies Record<string, SchoolFacts>;

/** The schools that shape a cleaning plan; the others are about storage. */
const STORAGE_SCHOOLS: readonly string[] = ['humidity', 'store', 'desiccant'];

export type SchoolId = keyof typeof SCHOOLS;
export const SCHOOL_IDS = Object.keys(SCHOOLS) as SchoolId[];
export const CARE_SCHOOL_IDS: readonly SchoolId[] = SCHOOL_IDS.filter((id) => !STORAGE_SCHOOLS.includes(id));
export type Schools = { [S in SchoolId]: keyof (typeof SCHOOLS)[S]['choices'] & string };

export const DEFAULT_SCHOOLS = Object.fromEntries(SCHOOL_IDS.map((id) => [id, SCHOOLS[id].default])) as Schools;
export const schoolFacts = (id: SchoolId): SchoolFacts => SCHOOLS[id];
export const schoolChoices = (id: SchoolId): string[] => Object.keys(SCHOOLS[id].choices);
