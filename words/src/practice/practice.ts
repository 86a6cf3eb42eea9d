import { care, type practice } from '@bright-keeper/core';
import { becauseWords } from '../care/because.js';
import { findingsWords } from '../care/findings.js';
import { choiceWords } from '../care/plan.js';
import { capital, count, inWords } from '../text.js';

export const PRACTICE_WORDS: Record<practice.Practice, { name: string; what: string }> = {
  all: { name: 'Everything', what: 'Whatever the book of situations holds.' },
  sensor: { name: 'Sensor without a sensor', what: 'Dust, wet cleans and what is not touched, before a real one lies open.' },
  fungus: { name: 'Fungus day', what: 'Growth outside and inside: what is set apart, what is wiped, what goes to a workshop.' },
  sand: { name: 'Sand in the wind', what: 'Outdoors with grains about: what is done there and what waits.' },
  dark: { name: 'In the dark', what: 'Nothing is shown: all of it is told, to be heard or read.' },
};

const name = (surface: care.Surface): string => care.SURFACES[surface].name;
const isAre = (surface: care.Surface): string => (care.surfaceFacts(surface).plural ? 'are' : 'is');
const methodName = (method: care.Method): string => care.METHODS[method].name;
const low = (method: care.Method): string => methodName(method).toLowerCase();

/** What lies there, as one would say it: the thing, where one is, and what the lamp shows. */
export function caseWords({
  request: { item, findings, place, conditions = {}, onHand },
}: Pick<practice.PracticeCase, 'request'>): string[] {
  const weather = [
    ...(conditions.blowingSand ? ['sand blowing'] : []),
    ...(conditions.wind ? ['windy'] : []),
    ...(conditions.rain ? ['raining'] : []),
    ...(conditions.temperatureC === undefined ? [] : [`${conditions.temperatureC} °C`]),
    ...(conditions.freshWater ? ['fresh water along'] : []),
  ];
  const where = place === 'home' ? 'At the bench at home.' : `Outdoors${weather.length > 0 ? `: ${weather.join(', ')}` : ''}.`;
  const surfaces = [...new Set(findings.map(({ surface }) => surface))];
  const seen = surfaces.map((surface) => `${name(surface)}: ${findingsWords(findings.filter((f) => f.surface === surface))}`);
  const made = [
    ...(item.traits.yearMade == null ? [] : [`made ${item.traits.yearMade}`]),
    ...(item.traits.coating === 'none' ? ['uncoated'] : item.traits.coating === 'single' ? ['one soft layer of coating'] : []),
  ];
  const hand =
    onHand?.length === 0
      ? ['Nothing at all is at hand.']
      : onHand
        ? [`At hand, and nothing else: ${inWords(onHand.map((o) => o.label ?? care.thingFacts(o.id).name))}.`]
        : [];
  return [
    `${capital(care.kindFacts(item.kind).name)}${made.length > 0 ? `, ${made.join(', ')}` : ''}. ${where}`,
    `${capital(seen.join('; '))}.`,
    ...hand,
  ];
}

const TIMES = ['', 'once', 'twice'];
const timesWords = (n: number): string => TIMES[n] ?? `${n} times`;
const it = (surface: care.Surface): string => (care.surfaceFacts(surface).plural ? 'them' : 'it');

export function askWords(ask: practice.Ask): string {
  const on = (surface: care.Surface) => capital(name(surface));
  switch (ask.asks) {
    case 'verdict':
      return `${on(ask.surface)}: what becomes of ${it(ask.surface)} here?`;
    case 'where-first':
      return 'Where do you begin?';
    case 'rung-first':
      return `${on(ask.surface)}: ${ask.afterAir ? 'air was tried, and it is still there. What is tried next?' : 'what is tried first?'}`;
    case 'never':
      return `${on(ask.surface)}: which of these never here?`;
    case 'amount':
      return `${on(ask.step.surface)}: how much fluid?`;
    case 'still-there':
      return `${on(ask.step.surface)}: ${low(ask.step.method)} was tried ${timesWords(ask.step.tries)}, and it is still there. What now?`;
    default:
      return ask satisfies never;
  }
}

const VERDICTS: Record<care.Verdict, string> = {
  leave: 'It is left alone',
  clean: 'It is cleaned, gentlest first',
  isolate: 'The thing is set apart first',
  wait: 'It waits',
  replace: 'A new one goes in',
  weigh: 'Opening it is weighed',
  'hand-over': 'A workshop, or it is lived with',
};

export function practiceChoiceWords(choice: practice.Choice): string {
  switch (choice.is) {
    case 'verdict':
      return VERDICTS[choice.verdict];
    case 'surface':
      return capital(name(choice.surface));
    case 'method':
      return methodName(choice.method);
    case 'amount': {
      const { material, amount } = choice.use;
      return `${count(amount.quantity, 'drop', 'drops')} of ${care.MATERIALS[material].name}`;
    }
    case 'then':
      switch (choice.then) {
        case 'climb':
          return `Go on to: ${low(choice.method!)}`;
        case 'again':
          return 'The same once more';
        case 'harder':
          return 'The same, pressing harder';
        case 'stop':
          return 'Stop here';
        default:
          return choice.then satisfies never;
      }
    default:
      return choice satisfies never;
  }
}

/** Why a choice is right, or what it would have done. */
export function practiceWhyWords(why: practice.Why): string {
  switch (why.says) {
    case 'because':
      // What becomes of it is said beside it.
      return becauseWords(why.because);
    case 'in-this-order':
      return `The ${name(why.first)} ${isAre(why.first)} done before the ${name(why.then)}: what comes loose there would fall on what is clean already.`;
    case 'gentlest-first':
      return `${methodName(why.first)} comes first: it is the gentlest that may do it, and what it takes need not be rubbed off.`;
    case 'rule':
      return becauseWords(why.refusal);
    case 'is-fine-here':
      return 'That is part of the work here, in its turn.';
    case 'so-much':
      return 'As much as it takes up: damp, and nothing runs.';
    case 'too-much':
      return care.familyOf(why.surface) === 'glass'
        ? 'That runs to the rim and behind the glass, where no wipe follows.'
        : 'That runs into seams and whatever lies behind them.';
    case 'two-tries':
      return 'What it did not take by now it will not take: another try is only wear.';
    case 'force-wears':
      return 'Force takes coating before it takes dirt.';
    case 'a-rung-is-left':
      return 'The next rung is made for what this one leaves; it is tried before anything is given up.';
    case 'nothing-is-left':
      return 'There is no gentler way left that may do it: look what it is, then a workshop, or live with it.';
    default:
      return why satisfies never;
  }
}

/** What others would do, a line for each school. */
export const othersWords = (notes: readonly care.SchoolNote[]): string[] =>
  notes.map(
    ({ school, others }) =>
      `${care.schoolFacts(school).name}: others hold with ${others.map(({ choice }) => choiceWords(school, choice)).join(' Or with ')}`,
  );
