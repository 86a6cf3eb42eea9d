import { storage } from '@bright-keeper/core';
import { assessWords } from '../fungus/assessment.js';
import { count } from '../text.js';
import { leavingTitle, leavingWords } from './season.js';

/** What one reads of an alert: what it is, why, and what its one action is called. */
export type AlertWords = { title: string; why: string; action: string };

const THREATS: Record<storage.FungusThreat, string> = {
  expected: 'Fungus is to be expected',
  rising: 'Fungus risk is rising',
  'long-damp': 'It has been damp for long',
  'thin-log': 'Its log is too thin to call it safe',
};

const gelTitle = (daysLeft: number): string =>
  daysLeft <= 0 ? 'The desiccant is spent' : `The desiccant is spent in ${count(daysLeft, 'day', 'days')}`;

/** What each says, where to look first, and what counts until it is known. */
function apartWhy(pair: Extract<storage.AlertFacts, { cause: 'apart' }>): string {
  const { wetter, drier } = pair;
  const told = [wetter, drier]
    .map(({ name, humidityPct, testedAt }) => `${name} ${Math.round(humidityPct)} %${testedAt === null ? ' (never tested)' : ''}`)
    .join(', ');
  const warmerK = storage.warmerBy(pair) ?? 0;
  const [warm, cool] = warmerK > 0 ? [drier, wetter] : [wetter, drier];
  const byK = `${Math.round(Math.abs(warmerK))} K warmer`;
  const counts = 'the wetter counts against growth and the drier against dryness.';
  const look = 'see whether it lies in the sun, or on something warm';
  if (storage.isOnlyWarmth(pair))
    return `${told}. Both find the same water in the air, and ${warm.name} is ${byK}: ${look}, before either is tested. Until then ${counts}`;
  const sun = warmerK === 0 ? '' : ` ${warm.name} also reads ${byK} than ${cool.name}: ${look}.`;
  return `${told}.${sun} Until a salt test of both tells which is right, ${counts}`;
}

export function alertWords(alert: storage.AlertFacts): AlertWords {
  switch (alert.cause) {
    case 'fungus':
      return {
        title: THREATS[alert.threat],
        why: alert.because ? assessWords(alert.because) : '',
        action: alert.threat === 'thin-log' ? 'Read it more often' : 'What would help?',
      };
    case 'damp':
      return { title: `Damper than ${alert.highPct} %`, why: 'The mean of the day has been above its band.', action: 'What would help?' };
    case 'too-dry':
      return {
        title: `Drier than ${storage.TOO_DRY_PCT} % for long`,
        why: 'Lubricants thicken, leather and cement dry out.',
        action: 'Open the place',
      };
    case 'gel-spent':
      return {
        title: gelTitle(alert.daysLeft),
        why: `${alert.massG} g of ${storage.DESICCANTS[alert.kind].name}, ${Math.round(alert.left * 100)} % of its strength left (${alert.knownFrom}).`,
        action: 'Dry it again',
      };
    case 'too-closed':
      return {
        title: 'It wants air',
        why: `Shut in for longer than ${storage.CLOSED_FOR_LONG_DAYS} days is too long: trapped damp feeds fungus, and rubbery finishes turn sticky.`,
        action: 'Take it out',
      };
    case 'leaves-band':
      return { title: leavingTitle(alert), why: leavingWords(alert), action: 'What would help?' };
    case 'apart':
      return { title: 'Its hygrometers disagree', why: apartWhy(alert), action: 'See the hygrometers' };
    case 'silent':
      return {
        title: 'It is silent',
        why: 'It has not been heard for longer than it should: look at its battery and its network.',
        action: 'See the hygrometer',
      };
    default:
      return alert satisfies never;
  }
}
