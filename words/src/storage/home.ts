import { storage } from '@bright-keeper/core';

/** Why a place suits a thing. */
export function homeWords(reason: storage.HomeReason): string {
  switch (reason.says) {
    case 'air':
      return `${reason.meanPct.toFixed(0)} % on average, below ${reason.below90Pct.toFixed(0)} % nine days in ten.`;
    case 'never-measured':
      return 'Too little was measured there to say: put a hygrometer in it.';
    case 'wants-air-and-has-it':
      return 'Its rubbery finish wants air, and gets it there.';
    case 'wants-air-open-often':
      return 'Its rubbery finish wants air: open the place often.';
    case 'alone-there':
      return 'Nothing else lies there: it stays apart until it has been clean for twelve weeks.';
    case 'makes-room':
      return 'It does as well here, and makes room for what needs it more.';
    case 'room':
      return `With everything at home about ${reason.freeL} L stay free.`;
    case 'trade-off':
      return storage.placeFacts(reason.kind).tradeOff;
    default:
      return reason satisfies never;
  }
}
