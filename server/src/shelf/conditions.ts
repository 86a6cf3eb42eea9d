import { gear } from '@bright-keeper/core';
import { bare } from './headings.js';

/** Words people write for the state in which a thing came, besides our own. */
const OTHER_WORDS: Record<gear.Condition, string[]> = {
  new: ['neu', 'neuf', 'neuve', 'nuevo', 'nueva', 'brand new', 'unused', 'boxed'],
  'as-new': ['like new', 'mint', 'near mint', 'excellent', 'neuwertig', 'wie neu', 'comme neuf', 'como nuevo'],
  used: [
    'good',
    'very good',
    'second hand',
    'gebraucht',
    'gut',
    'sehr gut',
    'occasion',
    'bon',
    'bon état',
    'usado',
    'bueno',
    'de segunda mano',
  ],
  worn: ['fair', 'poor', 'well used', 'abgenutzt', 'stark gebraucht', 'usé', 'fatigué', 'gastado', 'desgastado'],
  'for-parts': ['parts', 'broken', 'defective', 'defekt', 'bastler', 'ersatzteile', 'pour pièces', 'hs', 'para piezas', 'roto'],
};
const CONDITION_OF = new Map(
  gear.CONDITIONS.flatMap((condition) => [condition, ...OTHER_WORDS[condition]].map((word) => [bare(word), condition])),
);

/** The condition a word tells; undefined for one we do not know. */
export const conditionOf = (word: string): gear.Condition | undefined => CONDITION_OF.get(bare(word));
