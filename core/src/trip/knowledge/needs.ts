/**
 * What may be needed out there. `lossMin` is what it costs to go without, in minutes: of light that is lost, or of work at home
 * afterwards. All of them are our choice, in order of magnitude; what is hurt for good is counted as a day or more.
 */
export const FIELD_NEEDS = {
  'loose-dust': { name: 'loose dust on the front', lossMin: 15 },
  'sand-on-it': { name: 'sand on rings and seams', lossMin: 90 },
  'print-on-glass': { name: 'a print or smear on the glass', lossMin: 20 },
  'salt-spray': { name: 'dried spray on the glass', lossMin: 120 },
  'rain-on-it': { name: 'rain on body and lens', lossMin: 240 },
  'salt-to-rinse': { name: 'salt water on housings and hands', lossMin: 120 },
  'wet-hands': { name: 'wet hands and a wet bag', lossMin: 30 },
  'cold-to-warm': { name: 'cold gear carried into warm damp air', lossMin: 90 },
  'damp-in-the-bag': { name: 'damp that stays in the bag', lossMin: 90 },
  dew: { name: 'dew on the front glass', lossMin: 180 },
  'cap-lost': { name: 'a cap that is lost', lossMin: 25 },
  'front-struck': { name: 'a blow or grit against the front', lossMin: 600 },
  'plate-loose': { name: 'a plate or a foot that works loose', lossMin: 60 },
  'filter-stuck': { name: 'a filter that sticks', lossMin: 20 },
  'cell-empty': { name: 'an empty cell', lossMin: 240 },
  'cell-cold': { name: 'a cell that gives up in the cold', lossMin: 240 },
  dark: { name: 'seeing in the dark without losing one’s eyes for it', lossMin: 60 },
  'sensor-speck': { name: 'a speck on the sensor', lossMin: 45 },
  'small-parts': { name: 'small parts that roll away', lossMin: 15 },
} as const satisfies Record<string, { name: string; lossMin: number }>;
export type FieldNeedId = keyof typeof FIELD_NEEDS;
export const FIELD_NEED_IDS = Object.keys(FIELD_NEEDS) as FieldNeedId[];
