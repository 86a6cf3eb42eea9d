import { care, schedule, supplies } from '@bright-keeper/core';
import { becauseWords } from '../care/because.js';
import { findingsWords, surfaceTitle } from '../care/findings.js';
import { dayOfYear } from '../day.js';
import { alertWords } from '../storage/alerts.js';
import { timerWords } from '../storage/timer.js';
import { count } from '../text.js';
import { dueWords } from './due.js';

/** What one reads of a duty: what it is, why, and what its one action is called. */
export type DutyWords = { title: string; why: string; action: string };

const ACTIONS: Record<schedule.DoneBy, string> = {
  look: 'Look',
  mark: 'Done',
  plan: 'See the plan',
  'go-on': 'Go on',
  timer: 'It is out',
  'warm-up': 'Begin the wait',
  gel: 'Dry it again',
  place: 'Open the place',
  'what-if': 'What would help?',
  hygrometer: 'See the hygrometer',
  'salt-test': 'Salt test',
  wash: 'Washed',
  drawer: 'Open the drawer',
  move: 'Take it out',
  back: 'It is back',
  frame: 'See the frames',
};

const WORK: Record<Extract<schedule.DutyFacts, { says: 'open-work' }>['work'], string> = {
  look: 'A look was begun and is not finished.',
  cleaning: 'A cleaning was begun and is not finished.',
  teardown: 'It was opened and is not closed.',
};
const AWAY: Record<schedule.AwayReason, string> = { service: 'at a workshop', loan: 'on loan', trip: 'on a trip', other: 'away' };
/** Where it is, and with whom: "on loan to Mara", "at a workshop (Brass & Son)". */
export const awayWords = (why: schedule.AwayReason, to: string | null = null): string =>
  to === null ? AWAY[why] : why === 'loan' ? `${AWAY[why]} to ${to}` : `${AWAY[why]} (${to})`;

/** The gravest surface with what was found there and why it matters; how many more there are. */
function needWords({ surfaces }: Extract<schedule.DutyFacts, { says: 'need' }>): string {
  const first = surfaces[0]!;
  const more = surfaces.length - 1;
  return `${surfaceTitle(first.surface)}: ${findingsWords(first.findings)}. ${becauseWords(first.because)}${more > 0 ? ` ${more} more ${more === 1 ? 'surface' : 'surfaces'}.` : ''}`;
}

function clothWords({ uses, dirty }: Extract<schedule.DutyFacts, { says: 'cloth' }>): string {
  if (dirty) return 'It is marked as dirty: nothing dirty goes near glass.';
  return `${count(uses, 'use', 'uses')} since its last wash; ten uses or a month, and it moves dirt about.`;
}

function stockWords({ thing, stock }: Extract<schedule.DutyFacts, { says: 'stock' }>): string {
  if (stock <= 0) return 'It is used up: plans do without it.';
  const amount = supplies.stockAmount(thing, stock);
  const left = amount.nature === 'fluid' ? count(amount.cleans, 'clean', 'cleans') : count(amount.pieces, amount.unit, `${amount.unit}s`);
  return `Only ${left} left.`;
}

/** Several are missing as one thing to see to. */
function capsWords({ missing }: Extract<schedule.DutyFacts, { says: 'caps' }>): { title: string; why: string; action: string } {
  const names = missing.map((surface) => care.surfaceFacts(surface).name);
  const one = names.length === 1;
  return {
    title: `Find or replace the ${names.join(' and the ')}`,
    why: `${one ? 'It is' : 'They are'} missing: bare glass and bare mounts take dust, fingers and knocks.`,
    action: one ? 'It has one again' : 'It has them again',
  };
}

const OUTING: Record<Extract<schedule.DutyFacts, { says: 'outing' }>['when'], string> = {
  before: 'look while there is still time to clean',
  tonight: 'glass by a lamp held flat, caps, what sits loose',
  'coming-in': 'shut in the bag out there, and open when as warm as the room',
};

/** What the last test frame says of it. */
function sensorDutyWords({ advice, shows }: Extract<schedule.DutyFacts, { says: 'sensor' }>): string {
  const now = `${count(shows, 'speck shows', 'specks show')} at the apertures in use`;
  switch (advice) {
    case 'blow':
      return `${now}, and air has not been tried.`;
    case 'swab':
      return `${now}, and air did not move them.`;
    case 'hand-over':
      return `${now}, and what there is at the bench does not help: a workshop.`;
    case 'look-again':
      return 'The last frame could not tell whether there is dust: another one is needed before anything touches the sensor.';
    case 'leave':
      return `${now}; as they have been coming, about now enough will for a clean to be worth it. Take a frame first.`;
    default:
      return advice satisfies never;
  }
}

/** What is half done is said to be: how much of what is asked for was seen. */
function sightWords({ sight }: Extract<schedule.DutyFacts, { says: 'rhythm' }>): string {
  if (!sight || sight.seen.length === 0) return '';
  const open = sight.asked.filter((s) => !sight.seen.includes(s)).map((s) => care.surfaceFacts(s).name);
  return `${sight.seen.length} of ${sight.asked.length} seen; still to see: ${open.slice(0, 3).join(', ')}${open.length > 3 ? ` and ${open.length - 3} more` : ''}.`;
}

/** Only what has a word of its own beside the name of its kind of duty. */
function factsWords(facts: schedule.DutyFacts): Partial<DutyWords> & { why: string } {
  switch (facts.says) {
    case 'rhythm':
      return { why: [dueWords(facts.because), sightWords(facts)].filter(Boolean).join(' ') };
    case 'need':
      return { why: needWords(facts) };
    case 'open-work':
      return { why: WORK[facts.work] };
    case 'warming':
      return { title: timerWords(facts), why: 'Leave it shut: what is cold draws water out of the room’s air.' };
    case 'air':
      return alertWords(facts);
    case 'salt-test':
      return {
        why: facts.lastAt ? 'Counted from its last salt test; sensors drift.' : 'It was never tested: nobody knows how far off it is.',
      };
    case 'battery':
      return {
        why: `It says that its battery is low${facts.pct === null ? '' : ` (${Math.round(facts.pct)} %)`}: once it is empty there is a gap in its log.`,
      };
    case 'cloth':
      return { why: clothWords(facts) };
    case 'stock':
      return { why: stockWords(facts) };
    case 'caps':
      return capsWords(facts);
    case 'away':
      return {
        why: facts.agreed
          ? `It is ${awayWords(facts.why, facts.to)}, and ${dayOfYear(facts.until)} was agreed.`
          : `It is ${awayWords(facts.why, facts.to)}, and no day was agreed: it is asked for after three months.`,
      };
    case 'sensor':
      return facts.cleanedOn
        ? {
            title: 'Frame after the clean',
            why: 'It was cleaned since the last frame: a new one tells whether that helped, and what it left.',
          }
        : { why: sensorDutyWords(facts) };
    case 'dew':
      return {
        why: `Under a clear sky a bare front takes dew from about ${facts.fromHour}:00 on, by the forecast of “${facts.by}”; where you are it may be sooner.`,
      };
    case 'outing':
      return { why: `${someNames(facts.things)}: ${OUTING[facts.when]}.` };
    default:
      return facts satisfies never;
  }
}

/** Not more names than one reads. */
const MOST_NAMES = 6;
function someNames(things: readonly { name: string }[]): string {
  const shown = things.slice(0, MOST_NAMES).map(({ name }) => name);
  const more = things.length - shown.length;
  return more > 0 ? `${shown.join(', ')} and ${more} more` : shown.join(', ');
}

export function dutyWords(duty: Pick<schedule.Duty, 'facts' | 'code'>): DutyWords {
  const { name, doneBy } = schedule.dutyFacts(duty.code);
  return { title: name, action: ACTIONS[doneBy], ...factsWords(duty.facts) };
}

const GRAVITY: Record<schedule.Gravity, string> = {
  spreads: 'It spreads',
  harms: 'It does harm',
  worsens: 'It grows worse',
  spoils: 'It spoils pictures',
  routine: 'Routine',
};
/** What it costs to wait, in two words. */
export const gravityWords = (gravity: schedule.Gravity): string => GRAVITY[gravity];

const SUBJECTS: Record<schedule.SubjectKind, string> = {
  thing: 'Things',
  place: 'Places',
  hygrometer: 'Hygrometers',
  supply: 'Drawer',
  outing: 'Outings',
  household: 'Household',
};
export const subjectWords = (kind: schedule.SubjectKind): string => SUBJECTS[kind];
