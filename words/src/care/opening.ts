import { care } from '@bright-keeper/core';
import { barWords } from './bars.js';

export const DEPTH_NAMES: Record<care.Depth, string> = {
  'front-group': 'behind the front group',
  'rear-group': 'behind the rear group',
  deeper: 'deeper than one ring',
};

/** Says a sum of money, with its currency. */
export type SayMoney = (amount: number) => string;

const ASKED = { depth: 'where it lies', experience: 'what you have opened before' } as const;

/** What speaks for or against opening. */
export function openingWords(reason: care.OpeningReason, money: SayMoney): string {
  switch (reason.says) {
    case 'barred':
      return barWords(reason.bar);
    case 'deeper':
      return 'Deeper than one ring is a workshop’s: one ring is where the owner stops.';
    case 'filter-first':
      return 'A filter is stuck on: the front ring cannot be undone behind it. Free the filter first, gently, and look again.';
    case 'answer-first':
      return `First say ${reason.open.map((o) => ASKED[o]).join(' and ')}: nothing is advised on a guess.`;
    case 'practise-first':
      return `The first ring is undone on a practice lens, one worth ${money(reason.practice)} or less; this one is worth ${reason.value === null ? 'an unknown sum' : money(reason.value)}.`;
    case 'damage':
      return care.SOILS[reason.soil].why;
    case 'hardly-shows':
      return `This little ${care.SOILS[reason.soil].name} hardly shows: note it, and look again in three months.`;
    case 'ask-a-price':
      return 'Ask a workshop for a price and weigh it against what the thing is worth to you.';
    case 'service-is-less':
      return `A service for ${money(reason.servicePrice)} is less than the ${money(reason.value)} it is worth.`;
    case 'service-is-more':
      return `A service for ${money(reason.servicePrice)} costs more than the ${money(reason.value)} it is worth.${reason.keepApart ? ' Keep it apart from the rest for good.' : ''}`;
    case 'odds':
      return `About ${Math.round(reason.odds * 10)} in 10 first rings go well for somebody who has done as much as you (an estimate).`;
    case 'write-down-worth':
      return 'Write down what it is worth and what a service costs to weigh them.';
    case 'loss': {
      const loss = `On average a spoilt one costs ${money(Math.round(reason.loss))}`;
      if (reason.servicePrice === null) return `${loss}.`;
      return reason.isMore
        ? `${loss}; the service asks ${money(reason.servicePrice)}.`
        : `${loss} against ${money(reason.servicePrice)} for the service.`;
    }
    default:
      return reason satisfies never;
  }
}

const RING_FIRST: Record<care.Depth, string> = {
  'front-group': 'Front ring only. Set focus to infinity first and mark where the ring sat before you turn it.',
  'rear-group': 'Rear ring only. Mark with a pencil where the ring sat against the barrel before you turn it.',
  deeper: 'One ring is where you stop: what lies deeper is a workshop’s.',
};

/** Before the first ring is touched, at every depth. */
export function beforeOpening(depth: care.Depth): string[] {
  return [
    'A tray with a rim, a lamp, a phone for photographs, a spanner wrench or rubber cup that fits; for a ring without slots, a cup of the right size with putty at its rim. No wrench that slips.',
    'Hardened small screwdrivers, and eyes and fingers out of the way of the tip.',
    'A photograph before each stage. Keep parts in the order they came off, each the way up it sat.',
    'Grub screws are loosened, not taken out. Stop at the first doubt: closing again costs nothing.',
    RING_FIRST[depth],
  ];
}

const turnsWords = (turns: number | null): string =>
  turns === null || turns === 0 ? '' : ` ${turns} ${turns === 1 ? 'turn' : 'turns'} in.`;

/** How a stage goes back: its parts, how they sat, how far they turn. */
export function closingWords({ what, parts, screws, mark, turns }: care.TeardownStage): string {
  const lay = [parts, screws].filter(Boolean).join('; ');
  return `Put back: ${what}.${lay ? ` ${lay}.` : ''}${mark ? ` ${mark}` : ''}${turnsWords(turns)}`;
}
