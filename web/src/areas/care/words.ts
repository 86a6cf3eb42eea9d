import { care } from '@bright-keeper/core';

export const LEVEL_WORDS = ['Leave it', 'Air', 'Brush', 'Dry touch', 'Damp', 'Solvent or swab', 'Tools', 'Workshop'] as const;

export const ORIENTATION_WORDS: Record<care.Orientation, string> = {
  'facing-down': 'Surface facing down',
  'facing-up': 'Surface facing up, held steady',
  'mount-down': 'Mount opening facing down',
  any: 'Held as it lies well in the hand',
};

export const MOTION_WORDS: Record<care.Motion, string> = {
  none: '',
  air: 'Short puffs across it, nozzle clear of it',
  'flick-out': 'Flick from the centre outward, no pressure',
  'brush-off': 'Brush away from glass and mount',
  'spiral-out': 'Circles from the centre outward',
  'straight-then-out': 'Back and forth first, then centre to edge',
  'lay-and-lift': 'Lay it on, let it soak, lift it off',
  'one-way': 'One stroke edge to edge, same direction again with the other face',
  'there-and-back': 'Out with one face, back with the other',
  'run-round': 'Once round the ring, no pressure',
  'lift-off': 'Lift it off in pieces, crumbs falling away',
  roll: 'Roll the swab, do not scrub',
  rub: 'Light strokes along it',
  'work-through': 'Work it through from end to end',
};

export const FLUID_WORDS: Record<NonNullable<care.Step['fluidGoes']>, string> = {
  'on-wipe': 'The fluid goes on what wipes, never on the surface.',
  'far-mist': 'One fine mist from about 30 cm, then wipe before it can creep into the rim.',
};

/** What the three answers are called after a look that asks this. */
export const ANSWER_WORDS: Record<Exclude<care.Look['asks'], 'turning'>, Record<care.Answer, { name: string; then: string }>> = {
  clean: {
    'clean-enough': { name: 'Clean enough', then: 'stop touching it' },
    better: { name: 'Better', then: 'once more, fresh patch' },
    'no-change': { name: 'Still there', then: 'the next way' },
  },
  crystals: {
    'clean-enough': { name: 'No salt left', then: 'the way is free' },
    better: { name: 'Less', then: 'fresh water once more' },
    'no-change': { name: 'Still crystals', then: 'nothing goes over it' },
  },
  grains: {
    'clean-enough': { name: 'No grains left', then: 'the way is free' },
    better: { name: 'Fewer', then: 'once more' },
    'no-change': { name: 'Still grains', then: 'do not wipe' },
  },
};

export const EFFORT_WORDS: Record<care.Effort, string> = { free: 'Free', light: 'Light', firm: 'Firm', hard: 'Hard', stuck: 'Stuck' };

const UNIT_WORDS: Record<care.Amount['unit'], [string, string]> = {
  drop: ['drop', 'drops'],
  spray: ['fine mist', 'fine mists'],
  mL: ['mL', 'mL'],
  sheet: ['sheet', 'sheets'],
  swab: ['swab', 'swabs'],
  wipe: ['wipe', 'wipes'],
  pad: ['pad', 'pads'],
};

/** "2 drops of lens fluid", "1 sealed wet wipe", or "fresh water"; `called` is what the very pack is called. */
export function amountWords({ material, amount: { quantity, unit } }: care.Use, called?: string): string {
  if (material === 'water') return care.inStockUnits({ quantity, unit }) > 20 ? 'fresh water' : 'a little fresh water';
  const name = called ?? care.MATERIALS[material].name;
  const [one, many] = UNIT_WORDS[unit];
  if (care.MATERIALS[material].name.includes(one)) return quantity === 1 ? `1 ${name}` : `${quantity} × ${name}`;
  return `${quantity} ${quantity === 1 ? one : many} of ${name}`;
}

/** What to take in hand for a step: this very cloth, and so much of what is used up. */
export const inHand = (step: care.Step): string => {
  const called = (id: care.Tool | care.Material) => step.takes.find((t) => t.id === id)?.label;
  return [
    ...(step.tool ? [called(step.tool) ?? care.TOOLS[step.tool].name] : []),
    ...step.uses.map((use) => amountWords(use, called(use.material))),
  ].join(' · ');
};

/** What the marks that outlast every rung are told apart by. */
export const READING_WORDS: Record<care.Reading, { name: string; tell: string }> = {
  film: { name: 'A film', tell: 'It moves or smears under the wipe: another fluid may take it.' },
  deeper: { name: 'It lies deeper', tell: 'It stays put against the rim while this face turns, or while the filter turns before it.' },
  damage: { name: 'Damage', tell: 'It catches the light the same after every way tried, from the same angle.' },
  unsure: { name: 'I cannot tell', tell: 'Then stop: rubbing on finds out the hard way.' },
};

export const basisWords = (basis: care.Basis): string => {
  switch (basis.kind) {
    case 'common-practice':
      return 'Common practice.';
    case 'published':
      return basis.source;
    case 'our-choice':
      return `Our choice: ${basis.reason}`;
    default:
      return basis satisfies never;
  }
};

export const minutesWords = (minutes: number): string => (minutes < 1 ? 'under a minute' : `about ${Math.ceil(minutes)} min`);
