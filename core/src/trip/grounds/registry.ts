import { ASKS, type AskId, PHASES } from './asks.js';
import { boat } from './boat.js';
import { desert } from './desert.js';
import { elsewhere } from './elsewhere.js';
import { forest } from './forest.js';
import type { GroundFacts } from './ground.js';
import { mountain } from './mountain.js';
import { nightSky } from './nightSky.js';
import { rainForest } from './rainForest.js';
import { shore } from './shore.js';
import { snow } from './snow.js';
import { studio } from './studio.js';
import { town } from './town.js';
import { underWater } from './underWater.js';
import type { Soil } from '../../care/soils/index.js';

/** Kinds of ground an outing goes to, each one record in a file of its own. */
export const GROUNDS = {
  ...{ town, shore, boat, 'under-water': underWater, desert, forest, 'rain-forest': rainForest, mountain, snow, 'night-sky': nightSky },
  ...{ studio, other: elsewhere },
} as const satisfies Record<string, GroundFacts>;
export type GroundId = keyof typeof GROUNDS;
export const GROUND_IDS = Object.keys(GROUNDS) as GroundId[];
export const groundFacts = (id: GroundId): GroundFacts => GROUNDS[id];

/** What must be asked for at home wherever this comes along: left out, it would be forgotten there. */
const ASKED_OF_DIRT: Partial<Record<Soil, AskId>> = {
  grit: 'grains-first',
  salt: 'salt-off',
  fog: 'dried-open',
  fungus: 'second-look',
};

/** What a ground's record still lacks that types cannot see, for whoever adds one. Empty when it is whole. */
export function checkGround(id: string, { name, words, dirt, risks, asks }: GroundFacts): string[] {
  const isChance = (aDay: number) => aDay > 0 && aDay <= 1;
  const always = asks.filter((a) => a.in === undefined).map(({ ask }) => ask);
  const forgotten = [...new Set(dirt.map(({ soil }) => soil))].flatMap((soil) => {
    const ask = ASKED_OF_DIRT[soil];
    return ask && !always.includes(ask) ? [`${soil} comes home from it, and nothing asks for ${ask}`] : [];
  });
  return [
    ...(name === '' ? ['it wants a name'] : []),
    ...(words.length === 0 ? ['it wants words by which it is searched'] : []),
    ...(risks.length === 0 ? ['it says nothing of what may be needed there'] : []),
    ...(dirt.length === 0 ? ['it says nothing of what dirties there'] : []),
    ...risks.filter(({ aDay }) => !isChance(aDay)).map(({ need }) => `${need}: how likely on one day, above 0 and up to 1`),
    ...dirt.filter(({ aDay }) => !isChance(aDay)).map(({ soil }) => `${soil}: how likely on one day, above 0 and up to 1`),
    ...PHASES.filter((phase) => !always.some((ask) => ASKS[ask].phase === phase)).map(
      (phase) => `it asks for nothing ${PHASE_WORDS[phase]}`,
    ),
    ...forgotten,
  ].map((fault) => `ground ${id}: ${fault}`);
}
const PHASE_WORDS = { before: 'before one leaves', there: 'out there', back: 'at home again' } as const;
