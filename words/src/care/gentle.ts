import { care } from '@bright-keeper/core';

/** A gentle word about a surface that is touched without evidence or more than its peers. */
export function gentleWords(said: care.GentleWord, surface: care.Surface): string {
  switch (said.word) {
    case 'for-no-more-than-a-trace': {
      const times = said.times === 1 ? 'Once' : said.times === 2 ? 'Twice' : `${said.times} times`;
      return `${times} in 12 months the ${care.SURFACES[surface].name} was touched for no more than a trace. Next time it may stay: leaving it is the gentler deed.`;
    }
    case 'more-than-its-peers':
      return `${said.touches} touches in 12 months; your other things of this kind had ${Number.isInteger(said.usual) ? said.usual : said.usual.toFixed(1)}. Is there a reason it gets dirty so often, or may it stay?`;
    default:
      return said satisfies never;
  }
}
