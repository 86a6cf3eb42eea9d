import type { Material, Tool } from '../../care/knowledge/index.js';
import type { FieldNeedId } from './needs.js';

/** What a bag may hold for care: about what it weighs, takes and costs, and which share of each need it meets (our choice). */
export type CarriedFacts = {
  name: string;
  massG: number;
  volumeL: number;
  /** About so much in euros, where one has none yet. */
  price: number;
  covers: Partial<Record<FieldNeedId, number>>;
  /** As what of the drawer it is kept there, where it is one. */
  supply?: Tool | Material;
  /** What carriers and post have rules about. */
  hazard?: 'flammable' | 'cells';
};

/** From the kit of the field (care knowledge, section 9): what it names, and the small hardware beside it. */
export const CARRIED = {
  blower: {
    name: 'hand blower',
    supply: 'bulb-blower',
    massG: 60,
    volumeL: 0.35,
    price: 10,
    covers: { 'loose-dust': 0.9, 'sand-on-it': 0.25, 'sensor-speck': 0.8 },
  },
  'sand-brush': { name: 'sand brush', supply: 'shell-brush', massG: 35, volumeL: 0.08, price: 5, covers: { 'sand-on-it': 0.45 } },
  'glass-brush': { name: 'glass brush', supply: 'glass-brush', massG: 20, volumeL: 0.05, price: 12, covers: { 'loose-dust': 0.6 } },
  cloths: {
    name: 'two marked microfibre cloths',
    supply: 'glass-cloth',
    massG: 20,
    volumeL: 0.05,
    price: 8,
    covers: { 'print-on-glass': 0.5, 'rain-on-it': 0.15, 'wet-hands': 0.2, 'salt-spray': 0.1 },
  },
  'wet-wipes': {
    name: 'sealed wet wipes',
    supply: 'sealed-wipe',
    massG: 25,
    volumeL: 0.05,
    price: 5,
    covers: { 'print-on-glass': 0.8, 'salt-spray': 0.5 },
    hazard: 'flammable',
  },
  'plain-wipes': {
    name: 'sealed wipes without alcohol',
    massG: 25,
    volumeL: 0.05,
    price: 6,
    covers: { 'print-on-glass': 0.6, 'salt-spray': 0.4 },
  },
  'carbon-pen': { name: 'carbon-tip pen', supply: 'carbon-pen', massG: 18, volumeL: 0.03, price: 12, covers: { 'print-on-glass': 0.6 } },
  swabs: {
    name: 'cotton swabs',
    supply: 'cotton-swab',
    massG: 8,
    volumeL: 0.05,
    price: 2,
    covers: { 'salt-spray': 0.15, 'sand-on-it': 0.1 },
  },
  'rubber-bands': { name: 'wide rubber bands', massG: 6, volumeL: 0.02, price: 1, covers: { 'filter-stuck': 0.8 } },
  'spare-caps': { name: 'spare caps of your sizes', massG: 25, volumeL: 0.06, price: 8, covers: { 'cap-lost': 1 } },
  'spare-filter': {
    name: 'a cheap spare filter in front',
    massG: 35,
    volumeL: 0.06,
    price: 15,
    covers: { 'front-struck': 0.7, 'salt-spray': 0.2 },
  },
  'rain-cover': {
    name: 'rain cover',
    massG: 120,
    volumeL: 0.4,
    price: 20,
    covers: { 'rain-on-it': 0.9, 'sand-on-it': 0.1, 'salt-to-rinse': 0.2 },
  },
  'large-bag': {
    name: 'a large bag that closes',
    massG: 15,
    volumeL: 0.05,
    price: 1,
    covers: { 'rain-on-it': 0.4, 'cold-to-warm': 0.8 },
  },
  'zip-bags': {
    name: 'small zip bags',
    massG: 12,
    volumeL: 0.03,
    price: 2,
    covers: { 'small-parts': 0.9, 'damp-in-the-bag': 0.3, 'cold-to-warm': 0.4, 'wet-hands': 0.2 },
  },
  sachets: { name: 'dry silica sachets', massG: 20, volumeL: 0.04, price: 3, covers: { 'damp-in-the-bag': 0.7 } },
  'seam-tape': { name: 'tape for seams', massG: 25, volumeL: 0.04, price: 4, covers: { 'sand-on-it': 0.25 } },
  'fresh-water': { name: 'half a litre of fresh water', massG: 520, volumeL: 0.55, price: 1, covers: { 'salt-to-rinse': 0.8 } },
  towel: { name: 'towel', massG: 120, volumeL: 0.5, price: 6, covers: { 'wet-hands': 0.7, 'rain-on-it': 0.3, 'salt-to-rinse': 0.2 } },
  'dew-strap': { name: 'dew strap with its cell', massG: 340, volumeL: 0.5, price: 45, covers: { dew: 0.9 }, hazard: 'cells' },
  'heat-pads': { name: 'heat pads with a band', massG: 90, volumeL: 0.12, price: 4, covers: { dew: 0.5, 'cell-cold': 0.5 } },
  'red-light': { name: 'red light', massG: 40, volumeL: 0.06, price: 12, covers: { dark: 0.9 }, hazard: 'cells' },
  torch: { name: 'small torch', massG: 45, volumeL: 0.05, price: 15, covers: { dark: 0.4 }, hazard: 'cells' },
  'spare-cell': {
    name: 'spare cells, their contacts covered',
    massG: 80,
    volumeL: 0.05,
    price: 45,
    covers: { 'cell-empty': 0.9, 'cell-cold': 0.7 },
    hazard: 'cells',
  },
  keys: { name: 'hex keys and a driver', massG: 60, volumeL: 0.05, price: 8, covers: { 'plate-loose': 0.6 } },
  'plate-screws': { name: 'spare plate screws and anchors', massG: 15, volumeL: 0.02, price: 5, covers: { 'plate-loose': 0.3 } },
  'spare-foot': { name: 'spare tripod foot', massG: 30, volumeL: 0.05, price: 8, covers: { 'plate-loose': 0.1 } },
} as const satisfies Record<string, CarriedFacts>;
export type CarriedId = keyof typeof CARRIED;
export const CARRIED_IDS = Object.keys(CARRIED) as CarriedId[];
export const carriedFacts = (id: CarriedId): CarriedFacts => CARRIED[id];
