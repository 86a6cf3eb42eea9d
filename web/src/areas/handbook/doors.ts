/** A page that does something one may ask the handbook for. */
export type DoorFacts = { title: string; what: string; to: string; words: readonly string[] };

/** Where things are done, in the words of whoever looks for it. */
export const DOORS: Record<string, DoorFacts> = {
  'where-is-the-dirt': {
    title: 'Where is the dirt?',
    what: 'A few questions tell sensor from lens, filter, mirror and finder: in every frame, only with one lens, in the finder and not in the picture.',
    to: '/diagnose',
    words: [
      'spots in every picture',
      'dark spot',
      'where is the spot',
      'dust in pictures',
      'mark in my photos',
      'blob',
      'sensor or lens',
      'dust on the sensor or on the lens',
      'specks in the viewfinder but not in pictures',
      'seen in the finder',
      'same place in every frame',
      'black dots',
    ],
  },
  field: {
    title: 'Out in the field',
    what: 'What happened out here, what to do now, and what waits for home.',
    to: '/field',
    words: ['outdoors now', 'just happened', 'on location', 'help outside'],
  },
  'warm-up': {
    title: 'How long until it is warm?',
    what: 'The wait in the closed bag, by temperature, humidity, size and wrapping; a timer stands on Today.',
    to: '/warm-up',
    words: ['how long', 'wait', 'timer', 'minutes', 'warm up time', 'when can i open the bag', 'condensation time'],
  },
  dew: {
    title: 'Dew tonight',
    what: 'Whether a front glass takes dew under the open sky, from when, and what warmth keeps it clear.',
    to: '/dew',
    words: ['dew heater', 'dew strap', 'dew shield', 'will it dew', 'astro night', 'frost on the lens'],
  },
  storage: {
    title: 'Storage places and their air',
    what: 'Each place as a ribbon of days, its fungus risk, its gel, and what would help.',
    to: '/storage',
    words: ['humidity log', 'damp cupboard', 'is my cabinet dry', 'silica', 'gel', 'dehumidifier', 'dry cabinet', 'monitor'],
  },
  hygrometers: {
    title: 'Hygrometers: readings, salt test, logs',
    what: 'Add one, type a reading, take a log in, test it with salt.',
    to: '/hygrometers',
    words: ['salt test', 'calibrate', 'import log', 'sensor reading', 'logger', 'csv'],
  },
  'shut-in': {
    title: 'Shut in: a port under water, a bag in the sun',
    what: 'Whether a port fogs from within and what keeps it clear; how warm a bag or a car gets and what gives way.',
    to: '/outings/shut-in',
    words: [
      'housing fogs up',
      'port fogs',
      'sachet for a housing',
      'hot car',
      'left in the car',
      'bag in the sun',
      'heat damage',
      'too hot',
    ],
  },
  kits: {
    title: 'Kits that travel',
    what: 'What lies in the drawer at home and what in which kit; a plan outdoors has what its kit holds.',
    to: '/supplies',
    words: ['belt pouch', 'travel kit', 'field bag contents', 'what is in my kit', 'which kit'],
  },
  pack: {
    title: 'What to pack for it',
    what: 'What is worth its weight in the bag, by where you go, the weather, the days and how you travel.',
    to: '/outings/pack',
    words: ['what to take along', 'packing list', 'field kit', 'camera bag for a trip', 'cleaning kit for travel', 'what may fly'],
  },
  offer: {
    title: 'Worth buying?',
    what: 'A lens with fungus is offered: what may come of it, what it is worth, and up to which price that is bearable.',
    to: '/offer',
    words: ['buy a used lens', 'second hand lens with fungus', 'what is it worth', 'flea market', 'auction', 'should i buy it'],
  },
  outings: {
    title: 'Outings: what comes along and what it met',
    what: 'Write down an outing with its things and what it met; what it asks for afterwards stands on Today.',
    to: '/outings',
    words: ['trip', 'travel', 'holiday', 'pack list', 'journey', 'went out'],
  },
  supplies: {
    title: 'The drawer: tools, fluids, what is left',
    what: 'What may touch what, what wants a wash, what is nearly used up.',
    to: '/supplies',
    words: ['shopping', 'buy', 'stock', 'what do i need', 'wash cloth', 'cleaning kit', 'running out', 'starter kit'],
  },
  calendar: {
    title: 'Calendar and bench days',
    what: 'What comes due, on the fewest days that do; as a file or an address for other calendars.',
    to: '/calendar',
    words: ['what is due', 'schedule', 'plan a day', 'ical', 'phone calendar', 'reminder', 'remind'],
  },
  rhythms: {
    title: 'Rhythms: how often what recurs',
    what: 'How often each look and care recurs, for all, a kind, or one thing.',
    to: '/calendar/rhythms',
    words: ['too often', 'change interval', 'every three months', 'less often', 'frequency', 'switch off reminder'],
  },
  gear: {
    title: 'Gear: add a thing, look at it, see its plan',
    what: 'Every thing with what is known of each surface; a look begins there, and its plan follows from it.',
    to: '/gear',
    words: ['add lens', 'inventory', 'list of gear', 'new camera', 'import list'],
  },
  data: {
    title: 'Your data: backup, export, restore',
    what: 'Backups each day, everything in one file, and the way back.',
    to: '/settings/data',
    words: ['backup', 'export', 'move to another computer', 'restore', 'lost data', 'save everything'],
  },
};
