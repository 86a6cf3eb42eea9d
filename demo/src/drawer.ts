import type { SupplyInput } from '@bright-keeper/contract';
import type { care } from '@bright-keeper/core';

type DemoSupply = SupplyInput & { demoted?: true };

const blank = { state: 'clean', stock: null, packSize: null, packPrice: null, openedOn: null, widthMm: null } as const;
const tool = (thing: care.Tool, note = '', more: Pick<DemoSupply, 'demoted'> = {}): DemoSupply => ({ ...blank, thing, note, ...more });
const pack = (thing: care.Material, stock: number, packSize: number, packPrice: number, note = ''): DemoSupply => ({
  ...blank,
  thing,
  stock,
  packSize,
  packPrice,
  note,
});

const inKit = (kit: string, things: readonly DemoSupply[]): DemoSupply[] => things.map((thing) => ({ ...thing, kit }));

/** Kits that travel: one for the belt, one for the boat. */
export const BELT_POUCH = 'Belt pouch';
export const BOAT_BOX = 'Boat box';

/** What lies in the drawer of the boathouse office, and in what travels. */
export const DRAWER: DemoSupply[] = [
  tool('bulb-blower', 'The large one, intake at the side.'),
  tool('glass-brush'),
  tool('shell-brush', 'An old toothbrush, boiled.'),
  tool('glass-cloth', 'Blue edge.'),
  tool('glass-cloth', 'Grey edge. Somebody wiped a tripod with it.', { demoted: true }),
  tool('body-cloth'),
  tool('carbon-pen'),
  tool('contact-eraser'),
  tool('oil-tip'),
  pack('lens-fluid', 640, 1200, 12),
  pack('alcohol-free-fluid', 900, 1200, 5),
  pack('isopropanol', 1800, 2000, 8),
  pack('lens-tissue', 34, 100, 6),
  pack('cotton-swab', 140, 200, 3),
  pack('sensor-fluid', 250, 300, 15),
  { ...pack('sensor-swab', 4, 12, 40), widthMm: 24 },
  pack('plastic-polish', 300, 400, 9),
  pack('single-use-pad', 40, 100, 14),
  pack('mild-soap', 400, 500, 3),
  pack('instrument-oil', 180, 200, 4),
  ...inKit(BELT_POUCH, [
    tool('bulb-blower', 'The small one.'),
    tool('glass-cloth', 'Yellow edge.'),
    pack('sealed-wipe', 3, 40, 8, 'Nearly out.'),
  ]),
  ...inKit(BOAT_BOX, [
    tool('bulb-blower', 'On a lanyard.'),
    tool('shell-brush', 'For sand.'),
    tool('body-cloth', 'Wrung out in fresh water.'),
  ]),
];
