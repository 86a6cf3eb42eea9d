import { commonPractice, type Basis } from './basis.js';
import type { HazardId } from './hazards.js';

/** Pages of the application that do what a practice asks for. */
export type PracticePage =
  'storage' | 'gear' | 'field' | 'warm-up' | 'outings' | 'supplies' | 'where-is-the-dirt' | 'calendar' | 'rhythms' | 'hygrometers';

/** What practitioners do that no plan of a single thing tells: before, between and after. */
export type PracticeFacts = {
  name: string;
  lines: readonly string[];
  /** What people say for it. */
  words: readonly string[];
  hazards: readonly HazardId[];
  /** Where it is done in the application; null where nothing does it. */
  page: PracticePage | null;
  basis: Basis;
};

const practice = (
  name: string,
  lines: readonly string[],
  words: readonly string[],
  more: Partial<Pick<PracticeFacts, 'hazards' | 'page'>> = {},
): PracticeFacts => ({ name, lines, words, hazards: [], page: null, basis: commonPractice, ...more });

export const PRACTICES = {
  'cupboard-after-fungus': practice(
    'A cupboard or bag that held fungus',
    [
      'Before anything returns: empty it, wipe it out with alcohol or with what its maker names for the material, and let it dry open.',
      'Then a week below 55 % with nothing in it, shown by the hygrometer, and only then the things that were looked through.',
      'Cloth linings and foam that smell musty are washed, or thrown away.',
    ],
    [
      'clean cupboard',
      'shelf',
      'musty bag',
      'musty',
      'smells',
      'disinfect',
      'case lining',
      'wardrobe',
      'drawer',
      'after mould',
      'after mold',
    ],
    { hazards: ['mould', 'flammable-fluid'], page: 'storage' },
  ),
  'before-leaving': practice(
    'Before leaving: ground, weather, gear',
    [
      'Which ground and weather wait there: sand and spray want a filter, a hood, tape over seams and a bag; cold wants cells in a warm pocket and a bag to warm up in; rain wants a cover.',
      'Look at each thing (clean, works, charged), at caps and kit; once more on arrival; once more coming home.',
    ],
    ['pack', 'packing', 'prepare', 'trip', 'travel', 'holiday', 'checklist', 'what to take', 'terrain', 'forecast', 'before a trip'],
    { page: 'outings' },
  ),
  'changing-bag': practice(
    'A rain cover or plastic bag as a changing bag',
    [
      'Where a lens must be changed in wind, drizzle or dust: both hands, body and both lenses inside the bag, mount down, the next lens uncapped last. A clean one, shaken out first.',
    ],
    [
      'change lens in rain',
      'change lens in dust',
      'lens change outdoors',
      'plastic bag',
      'rain cover',
      'swap lens',
      'switch lens',
      'windy',
    ],
    { page: 'field' },
  ),
  'hood-reversed': practice(
    'In the bag: caps on, hood reversed, nothing metal loose',
    [
      'Caps on both ends whenever it is not shooting; the hood reversed over the lens guards its rings; keys, coins and tools in a pocket of their own. What is used most lies on top.',
    ],
    ['bag', 'transport', 'carry', 'hood', 'scratches in the bag', 'packing the bag', 'backpack', 'protect in bag'],
  ),
  'sensor-shield': practice(
    'The shield over a mirrorless sensor',
    [
      'Some mirrorless bodies close a shutter or a shield over the sensor at power-off, once it is set in the menu. It is thin: it keeps dust off and bears no blower tip, no finger and no swab.',
    ],
    ['shutter closed when off', 'protect sensor', 'mirrorless sensor exposed', 'sensor cover', 'dust when changing lenses'],
  ),
  'filtered-blower': practice(
    'A blower that does not spit',
    [
      'Big enough to matter, its intake at the side or through a filter, so that it does not blow out what it drew in from the floor of the bag. A few puffs into the air first.',
    ],
    ['which blower', 'rocket', 'bulb', 'air blower', 'blower blows dust', 'buy a blower', 'dirty blower'],
    { page: 'supplies' },
  ),
  'hand-made-swab': practice(
    'A sensor swab made by hand',
    [
      'Soft plastic cut to 24 or 17 mm, a lint-free pad folded tight round it and taped: it does what a bought one does. Held at about 45 degrees, pressed until it just bends. A new pad each time.',
    ],
    ['make a swab', 'diy swab', 'homemade', 'home made', 'cheap sensor swab', 'spatula', 'no swabs left'],
    { hazards: ['sensor-power', 'methanol'] },
  ),
  'cells-out': practice(
    'Cells out before storing',
    [
      'What is put away for months is put away without its cells: they leak, and what leaks is caustic. Lithium batteries lie at about half charge, cool and dry, apart from metal.',
    ],
    ['store batteries', 'battery storage', 'remove batteries', 'leaking batteries', 'long storage', 'put away for winter'],
    { hazards: ['battery-leak'] },
  ),
  'not-in-the-car': practice(
    'Where gear does not live',
    [
      'Not in a car (heat, cold, theft), not in the travel bag (damp, no air), not on the floor or in a walkway, not by an outer wall behind curtains.',
    ],
    [
      'car',
      'trunk',
      'boot of the car',
      'hot car',
      'glovebox',
      'where to store',
      'keep in the bag',
      'keep camera in bag',
      'leave in the car',
      'basement',
      'cellar',
      'attic',
      'loft',
    ],
    { page: 'storage' },
  ),
  'filters-in-cases': practice(
    'Filters live in cases',
    [
      'Loose in a pocket they scratch and gather grit. Each in its case, the case blown out before it goes back; threads clean, turned on without force.',
    ],
    ['store filters', 'filter case', 'filter pouch', 'loose filters'],
    { page: 'gear' },
  ),
  'second-hand': practice(
    'New to you: look before it meets the others',
    [
      'It arrives dirty however new. Every surface under the lamp, a torch through it, aperture and focus worked end to end, the mount and threads felt.',
      'Fungus, haze, oil on blades, separation, play and a stiff ring are told before they are paid for; what came from a damp house lies apart for four weeks and is looked through again.',
    ],
    [
      'used lens',
      'second hand',
      'secondhand',
      'bought',
      'flea market',
      'auction',
      'inspect used',
      'check before buying',
      'inherited',
      'grandfather',
      'buying',
    ],
    { page: 'gear' },
  ),
  'cold-to-warm': practice(
    'From the cold into a warm room',
    [
      'Into a closed bag before the door, and closed until it is as warm as the room: an hour or two for a body, longer for a long lens. Card and battery out before, if you cannot wait for them.',
    ],
    ['snow', 'winter', 'skiing', 'come inside', 'condensation', 'freezing', 'ice', 'cold outside', 'frost', 'acclimatise'],
    { page: 'warm-up' },
  ),
  'warm-and-damp': practice(
    'Out of a cooled room into damp heat',
    [
      'It fogs the other way round: let it stand in the warm air, caps on, half an hour before; or keep it out of the cooled room overnight. Nothing is wiped.',
    ],
    ['air conditioning', 'aircon', 'tropics', 'hotel room', 'jungle', 'rainforest', 'humid outside', 'fogs outside'],
    { page: 'warm-up' },
  ),
  'snow-out': practice(
    'Snow and ice outdoors',
    [
      'Dry snow is blown or brushed off, not breathed on and not wiped: warmed, it wets and freezes. Ice in a ring is not forced. A cover, spare cells warm at the body.',
    ],
    ['snow', 'snowing', 'snowflakes', 'ice', 'frozen', 'blizzard', 'sleet', 'snowstorm'],
    { page: 'field' },
  ),
  flying: practice(
    'Flying with cleaning things',
    [
      'Alcohol, methanol fluids and spare lithium cells fall under dangerous-goods rules: the airline’s and the authority’s word decides. Plan to do without: sealed wipes, alcohol-free fluid, a blower.',
    ],
    ['airplane', 'plane', 'flight', 'airport', 'luggage', 'carry-on', 'hand luggage', 'security', 'take alcohol on a plane'],
    { hazards: ['flammable-fluid', 'methanol'], page: 'outings' },
  ),
  'how-often': practice(
    'How often is it cleaned?',
    [
      'On evidence: look after each outing, clean what shows or eats, leave the rest. Each touch is a little wear; a trace of dust does nothing to the picture.',
    ],
    ['how often', 'clean regularly', 'every week', 'every time', 'too much cleaning', 'when should i clean', 'routine'],
    { page: 'rhythms' },
  ),
  'right-humidity': practice(
    'Which humidity is right?',
    [
      'Between 40 and 55 %: above 60 % for weeks growth becomes possible, below 30 % rubber, leather and old grease suffer. Even is better than low.',
    ],
    ['humidity', 'percent', 'relative humidity', 'too dry', 'too damp', 'ideal humidity', 'rh', 'moisture', 'best humidity for lenses'],
    { page: 'storage' },
  ),
  'two-hygrometers': practice(
    'Two hygrometers that disagree',
    [
      'More than 5 % apart for the same air within an hour is a finding of its own: is one in the sun, which was tested last? A salt test for both. Until then the careful one counts: the wetter for growth, the drier for dryness.',
    ],
    [
      'hygrometers differ',
      'different readings',
      'wrong hygrometer',
      'which one is right',
      'disagree',
      'show different values',
      'inaccurate',
      'calibrate',
    ],
    { page: 'hygrometers' },
  ),
  'rice-is-no-cure': practice(
    'Rice, and what got wet',
    [
      'Rice dries nothing that moving room air does not dry sooner, and its dust gets in. Cells out, opened, nothing switched on, days in moving air; sea water to a workshop at once.',
    ],
    ['rice', 'dry camera', 'wet camera', 'drying', 'hair dryer', 'hairdryer', 'oven', 'dropped in water'],
    { hazards: ['wet-electronics'] },
  ),
  'sunlight-and-fungus': practice(
    'Sunlight and lamps against fungus',
    [
      'Light through the lens may slow growth on the glass it reaches; it takes nothing off and does not reach what sits in the rim. Apart first, then cleaned or handed over. Sun through a lens burns: never unattended.',
    ],
    ['uv', 'ultraviolet', 'sun kill fungus', 'sunlight', 'uv lamp', 'kill fungus', 'kill mould', 'does fungus spread'],
    { hazards: ['mould'] },
  ),
  'send-to-service': practice(
    'Sending it to a workshop',
    [
      'Caps on, no filter, no strap, cells out; padded all round, the box twice the size. Write what you saw, where and since when, and what it is worth. Looked over all round when it is back, before it joins the others.',
    ],
    ['repair', 'send in', 'workshop', 'service', 'ship', 'parcel', 'warranty', 'hand over', 'technician'],
    { page: 'gear' },
  ),
  'studio-floor': practice(
    'In a studio',
    [
      'Bags off the floor and away from feet; powder, smoke and glitter settle for hours: caps on between frames, air after, and the intake of the fan looked at.',
    ],
    ['studio', 'powder', 'holi', 'glitter', 'smoke machine', 'fog machine', 'flour', 'paint powder'],
  ),
  'dust-while-changing': practice(
    'Less dust on the sensor',
    [
      'Switch off, mount down, quick, the next lens ready; body and rear caps clean; the bag cleaned out; a frame now and then. A dirty rear cap is where most of it comes from.',
    ],
    ['prevent dust', 'keep sensor clean', 'avoid dust', 'dust keeps coming back', 'sensor dust again'],
    { page: 'field' },
  ),
  'night-sky': practice(
    'Dew at night',
    [
      'A hood, a heater strap or a warm pad keeps glass above the dew point; a cap between exposures. Nothing is wiped while dew falls; eyepieces stay in a closed case until used.',
    ],
    ['dew', 'stars', 'astro', 'milky way', 'telescope night', 'dew heater', 'damp night', 'astrophotography'],
    { page: 'outings' },
  ),
  'hand-cream': practice(
    'Hands before glass',
    [
      'Sunscreen, hand gel and insect spray dissolve coatings, lettering and rubber: hands washed and dry before anything is touched. On glass they are skin oil: air, damp, finisher. On rubber and shells barely damp, soon.',
    ],
    [
      'sunscreen',
      'sun cream',
      'sanitiser',
      'sanitizer',
      'hand gel',
      'insect repellent',
      'bug spray',
      'deet',
      'mosquito',
      'hand cream',
      'lotion',
      'perfume',
    ],
  ),
  'first-shelf': practice(
    'A first shelf is no emergency',
    [
      'What comes in together is looked at over the bench days one has: old, mechanical and from damp places first. The rest may wait its weeks.',
    ],
    ['new here', 'begin', 'where to start', 'start', 'many lenses', 'whole collection', 'everything overdue', 'first time'],
    { page: 'calendar' },
  ),
} as const satisfies Record<string, PracticeFacts>;

export type PracticeId = keyof typeof PRACTICES;
export const PRACTICE_IDS = Object.keys(PRACTICES) as PracticeId[];
export const practiceFacts = (id: PracticeId): PracticeFacts => PRACTICES[id];
