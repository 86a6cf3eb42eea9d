import type { gear } from '@bright-keeper/core';

/** What two bodies and their lenses join by; the screw mount and the barrel of eyepieces are standards, the others made up. */
const SKERROW_M = 'Skerrow M';
const SCREW = 'M42';
const BARREL = '1.25″';

const corvane = (serial: string, threadMm: number, more: gear.Particulars = {}): gear.Particulars => ({
  ...{ maker: 'Corvane', serial, mount: SKERROW_M, threadMm },
  ...more,
});
const tidewell = (serial: string, threadMm: number, longestMm: number, massG: number): gear.Particulars => ({
  ...{ maker: 'Tidewell', serial, mount: SKERROW_M, threadMm, longestMm, widestFNumber: 4, massG },
  ...{ tags: ['long days'] },
});
const screwed = (maker: string, serial: string, threadMm: number): gear.Particulars => ({
  ...{ maker, serial, mount: SCREW, threadMm, condition: 'used', boughtFrom: 'An estate on the island' },
  ...{ tags: ['old glass'] },
});

/** What the archive's inventory says, by the name of the thing; of the rest nobody wrote anything down. */
export const INVENTORY: Readonly<Record<string, gear.Particulars>> = {
  'Corvane 35/2': corvane('CV35-20418', 52, {
    ...{ tags: ['quay', 'always on'], widestFNumber: 2, massG: 345, lengthMm: 61 },
    ...{ condition: 'new', boughtFrom: 'Harbour Optics', paid: 690, insuredFor: 700, warrantyUntil: '2027-09-30' },
  }),
  'Corvane 50/1.8': corvane('CV50-11872', 52, { widestFNumber: 1.8, massG: 210, tags: ['always on'] }),
  'Corvane 85/1.8': corvane('CV85-07755', 67, { widestFNumber: 1.8, massG: 420 }),
  'Corvane 24/2.8': corvane('CV24-31190', 52, { widestFNumber: 2.8, massG: 290 }),
  'Corvane 28/2': corvane('CV28-40021', 52, { widestFNumber: 2, massG: 330 }),
  'Corvane 100/2.8 close-up': corvane('CV100-00913', 67, { widestFNumber: 2.8, massG: 560 }),
  'Tidewell 24-70/4': tidewell('T2470-5561', 77, 70, 640),
  'Tidewell 70-200/4': tidewell('T7200-2208', 67, 200, 890),
  'Tidewell 16-35/4': tidewell('T1635-9034', 77, 35, 570),
  'Ostrane 58/2 (1957)': screwed('Ostrane', '218 774', 49),
  'Ostrane 135/3.5 (1962)': screwed('Ostrane', '304 119', 49),
  'Ostrane 200/4 (1971)': screwed('Ostrane', '611 902', 58),
  'Fennick 50/1.4 (1968)': { maker: 'Fennick', serial: 'F 90017', mount: 'Fennick bayonet', threadMm: 55, tags: ['old glass'] },
  'Skerrow M2': {
    ...{ maker: 'Skerrow', serial: 'SM2-0061734', takesMount: SKERROW_M, massG: 655, tags: ['always on'] },
    ...{ condition: 'new', boughtFrom: 'Harbour Optics', paid: 2150, insuredFor: 1900, warrantyUntil: '2027-03-31' },
  },
  'Skerrow M1': { maker: 'Skerrow', serial: 'SM1-0020316', takesMount: SKERROW_M, massG: 590, condition: 'used' },
  'Skerrow R35 (1958)': { maker: 'Skerrow', serial: 'R 41 208', takesMount: SCREW, tags: ['old glass'] },
  'Clear 52 mm': { threadMm: 52 },
  'Clear 67 mm': { threadMm: 67 },
  'Polariser 67 mm': { threadMm: 67, tags: ['long days'] },
  'Grey 6 stops 67 mm': { threadMm: 67, tags: ['long days'] },
  'Yellow 46 mm (acrylic)': { threadMm: 46 },
  'Field telescope 80/480': { takesMount: BARREL, massG: 3100 },
  'Eyepiece 25 mm': { mount: BARREL },
  'Eyepiece 8 mm': { mount: BARREL },
};
