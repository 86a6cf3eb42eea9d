import { type Basis, commonPractice, ourChoice } from '../../care/knowledge/index.js';

/** When a ground asks for something: before one leaves, out there (on arrival and every evening), and at home again. */
export const PHASES = ['before', 'there', 'back'] as const;
export type Phase = (typeof PHASES)[number];

type AskFacts = { phase: Phase; says: string; why: string; basis: Basis };

/** What grounds and weather ask for, besides the looks and waits that the agenda asks for by itself. */
export const ASKS = {
  'cells-charged': {
    phase: 'before',
    says: 'Charge every cell, and bring a spare for each body with its contacts covered.',
    why: 'An empty cell ends the day sooner than any dirt.',
    basis: commonPractice,
  },
  'cards-empty': {
    phase: 'before',
    says: 'Empty the cards, once their pictures lie in two places.',
    why: 'A full card is found out at the worst moment.',
    basis: commonPractice,
  },
  'caps-there': {
    phase: 'before',
    says: 'A cap on both ends of every lens, and on every body without one.',
    why: 'What rubs in the bag is stopped by a cap and by nothing else.',
    basis: commonPractice,
  },
  'weather-asked': {
    phase: 'before',
    says: 'Ask for wind, rain and the temperature of the night where you go.',
    why: 'They decide what is packed and whether a lens can be changed at all.',
    basis: commonPractice,
  },
  'tide-asked': {
    phase: 'before',
    says: 'Ask for the tide and the swell, and choose a place for the bag that stays dry.',
    why: 'Salt water in a bag reaches everything in it.',
    basis: commonPractice,
  },
  'seams-taped': {
    phase: 'before',
    says: 'Tape the seams and the sockets you will not use, with a tape that leaves no glue.',
    why: 'Fine grains go in by the seams and come out by the sensor.',
    basis: commonPractice,
  },
  'fewest-changes': {
    phase: 'before',
    says: 'Put on the lenses you will use before you are there: one on each body.',
    why: 'A lens that is not changed lets nothing in.',
    basis: commonPractice,
  },
  'cover-on-top': {
    phase: 'before',
    says: 'Lay the rain cover or a large bag on top, where one hand finds it.',
    why: 'Rain does not wait until the bag is unpacked.',
    basis: commonPractice,
  },
  'zip-bags': {
    phase: 'before',
    says: 'Bring a bag that closes tightly for each body and lens, with a fresh sachet in it.',
    why: 'Gear is warmed and cooled inside a bag; damp then settles on the bag.',
    basis: commonPractice,
  },
  'water-along': {
    phase: 'before',
    says: 'Bring fresh water and two towels.',
    why: 'Salt is dissolved by fresh water; rubbed dry it scratches.',
    basis: commonPractice,
  },
  'o-rings-looked-at': {
    phase: 'before',
    says: 'Look at every o-ring by a lamp: whole, clean, seated; close the housing empty and hold it under water once.',
    why: 'One hair across a ring lets the sea in. The maker of the housing says how it is cared for.',
    basis: commonPractice,
  },
  'night-kit': {
    phase: 'before',
    says: 'Fit the dew strap and see that it warms; pack the red light.',
    why: 'What is not tried at home is tried in the dark.',
    basis: commonPractice,
  },
  'arrival-look': {
    phase: 'there',
    says: 'On arrival a look at each thing: what worked loose on the way, caps, glass.',
    why: 'What is found before the first picture is not in every one of them.',
    basis: commonPractice,
  },
  'bag-closed': {
    phase: 'there',
    says: 'Keep the bag closed and off the ground, and change lenses inside it or not at all.',
    why: 'An open bag is where most of the grains are collected.',
    basis: commonPractice,
  },
  'back-to-the-wind': {
    phase: 'there',
    says: 'Turn your back to the wind, and hold the body with its mount down.',
    why: 'Blown grains go where the wind goes.',
    basis: commonPractice,
  },
  'salt-same-evening': {
    phase: 'there',
    says: 'Where spray was met: the same evening a cloth damp with fresh water over shell and tripod, glass by its plan.',
    why: 'Dried salt is crystals, and draws water where metal meets metal.',
    basis: commonPractice,
  },
  'cells-warm': {
    phase: 'there',
    says: 'Carry spare cells under your coat, and change them early.',
    why: 'A cold cell gives up long before it is empty, and comes back when it is warm.',
    basis: commonPractice,
  },
  'no-breath': {
    phase: 'there',
    says: 'Do not breathe on the glass, nor into the finder.',
    why: 'Breath freezes on what is colder than ice.',
    basis: commonPractice,
  },
  'closed-before-warm': {
    phase: 'there',
    says: 'Close the bag before you go in, and open it when it is as warm as the room; start the warm-up timer.',
    why: 'Cold glass in warm air is wet within seconds, inside as well.',
    basis: commonPractice,
  },
  'strap-before-dew': {
    phase: 'there',
    says: 'Switch the dew strap on before the glass is as cold as the sky makes it, and cap what is not in use.',
    why: 'It keeps dew away at a few watts; taking it off again costs the hour.',
    basis: commonPractice,
  },
  'air-every-evening': {
    phase: 'there',
    says: 'Open the bag and every bag in it in the driest room there is, every evening.',
    why: 'Growth begins in days, in what stays damp.',
    basis: commonPractice,
  },
  'rinse-before-opening': {
    phase: 'there',
    says: 'Soak and rinse the housing in fresh water before it is opened, dry it, and open it with the port down.',
    why: 'The last drops run inwards when it is turned the other way.',
    basis: commonPractice,
  },
  'off-the-floor': {
    phase: 'there',
    says: 'Keep bag and lenses on a table, away from feet and flash stands.',
    why: 'In a studio most things fall, and few get dirty.',
    basis: commonPractice,
  },
  'aired-then-stored': {
    phase: 'back',
    says: 'Air and dry everything before it goes where it lives. The bag is for the way, not for keeping.',
    why: 'Shut in damp, a bag is the best home growth can have.',
    basis: commonPractice,
  },
  'grains-first': {
    phase: 'back',
    says: 'Air and a brush for every seam and ring before anything is wiped, over a cloth that shows what falls.',
    why: 'A wipe over grains is sandpaper.',
    basis: commonPractice,
  },
  'salt-off': {
    phase: 'back',
    says: 'Rinse tripod and housing in fresh water, legs drawn out; wipe shells with a damp cloth. Never rinse a lens or a body.',
    why: 'Salt goes on working in every thread it is left in.',
    basis: commonPractice,
  },
  'dried-open': {
    phase: 'back',
    says: 'Dry everything open: caps off, battery door and bag open, a day at room temperature, no heater.',
    why: 'Water that is shut in cannot leave.',
    basis: ourChoice('a day, where nobody measured how wet it was'),
  },
  'second-look': {
    phase: 'back',
    says: 'Say that it met damp: a look through each lens with a torch is asked for in a few weeks.',
    why: 'What began to grow out there is seen weeks later.',
    basis: commonPractice,
  },
  'bag-emptied': {
    phase: 'back',
    says: 'Empty the bag and brush it out, seams and pockets.',
    why: 'What stays in it lies on the next lens.',
    basis: commonPractice,
  },
  'pictures-safe': {
    phase: 'back',
    says: 'Pictures into two places, cells on the charger.',
    why: 'The next time begins with what is ready.',
    basis: commonPractice,
  },
} as const satisfies Record<string, AskFacts>;
export type AskId = keyof typeof ASKS;
export const ASK_IDS = Object.keys(ASKS) as AskId[];
export const askFacts = (id: AskId): AskFacts => ASKS[id];
