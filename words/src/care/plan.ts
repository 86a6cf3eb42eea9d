import { care } from '@bright-keeper/core';
import { becauseWords } from './because.js';
import { howTo } from './howTo.js';
import { lineWords } from './lines.js';

const surfacesWords = (n: number): string => (n === 1 ? 'One surface' : `${n} surfaces`);

const GOOD_ENOUGH: Record<care.Measure, string> = {
  picture: 'good enough for the picture',
  view: 'good enough to look through',
  seal: 'good enough to keep water and light out',
  movement: 'good enough to turn',
  current: 'good enough to conduct',
  hand: 'good enough for the hand',
  looks: 'good enough as it looks',
};
/** By what each surface that is left is judged; of several, it is said without one. */
const goodEnough = (measures: readonly care.Measure[]): string => (measures.length === 1 ? GOOD_ENOUGH[measures[0]!] : 'good enough');

/** The whole plan in one line. */
export function summaryWords({ says, apart, surfaces, measures }: care.Summary): string {
  const first = apart ? 'Move it away from the rest. ' : '';
  switch (says) {
    case 'clean':
      return `${first}${surfacesWords(surfaces)} to clean, gentlest first. Stop as soon as ${surfaces === 1 ? 'it is' : 'each is'} clean enough.`;
    case 'put-away':
      return 'Cap it and put it away: nothing is opened, brushed or wiped out in this.';
    case 'weigh-opening':
      return `${first}It may lie behind one ring: weigh opening that ring, a workshop, or living with it.`;
    case 'wait-for-home':
      return apart ? `${first}Cleaning it waits for home.` : 'Nothing to do here: it waits for home.';
    case 'wait-to-clear':
      return `${first}Wait: nothing is touched or opened while fog is on it. Then look again.`;
    case 'let-dry':
      return `${first}Water got in: nothing is switched on to try, and it dries for days before anything else.`;
    case 'salt-water-inside':
      return `${first}Sea water got in: nothing is switched on to try; bring it to a workshop at once.`;
    case 'free-the-filter':
      return 'Free the stuck filter first: what lies behind it waits for that.';
    case 'renew':
      return `${first}Nothing to clean: what is worn is renewed before it is used again.`;
    case 'drawer-lacks':
      return apart ? `${first}The drawer lacks what it needs.` : 'Leave it for now: the drawer lacks what it needs.';
    case 'hand-over':
      return apart
        ? `${first}Hand it over, or accept it: nothing here can be cleaned from outside.`
        : 'Nothing to clean yourself: hand it over, or accept it.';
    case 'leave':
      return `Leave it. It is ${goodEnough(measures)}, and every touch is wear.`;
    default:
      return says satisfies never;
  }
}

export type LookWords = { lamp: string; for: string };

const TURNING: LookWords = {
  lamp: 'Turn it from end to end, ten times, and feel.',
  for: 'Whether it turns easier than before. Wipe off what oil you can see before it creeps.',
};
const SENSOR_LAMP = 'A test frame: plain bright surface, defocused, smallest aperture, moved during the exposure.';

type Looked = Pick<care.Step, 'surface' | 'removes' | 'look'>;

function lookedFor({ surface, removes, look }: Looked): string {
  const onSensor = care.familyOf(surface) === 'sensor';
  switch (look?.asks) {
    case 'grains':
      return onSensor ? 'Hard specks that stayed where they were: a grain is never swabbed.' : care.SOILS.grit.tell;
    case 'crystals':
      return onSensor ? 'Spots that stayed where they were.' : care.SOILS.salt.tell;
    default:
      if (onSensor) return 'Spots that stayed where they were.';
      return removes.map((soil) => care.SOILS[soil].tell).join(' ') || 'Anything that is still there.';
  }
}

/** Which light the look after a step wants, and what for; null where nothing is looked at. */
export function lookWords(step: Looked): LookWords | null {
  if (!step.look) return null;
  if (step.look.asks === 'turning') return TURNING;
  const family = care.familyOf(step.surface);
  const slanted =
    family === 'glass' ? 'A strong light at a slant; turn the item and look at the whole face.' : 'A good lamp from the side.';
  return { lamp: family === 'sensor' ? SENSOR_LAMP : slanted, for: lookedFor(step) };
}

/** What another school would do: its name and its reason. */
export function choiceWords(school: care.SchoolId, choice: string): string {
  const { name, reason } = care.schoolFacts(school).choices[choice]!;
  return `${name}: ${reason}`;
}

/** A step that no choice of your school can do says so. */
export const departsWords = ({ school, followed }: care.SchoolNote): string =>
  `This departs from your school (${care.schoolFacts(school).choices[followed]!.name}): nothing that follows it takes this off.`;

/** Everything one reads in a plan, in one text. */
export function readPlan(plan: care.CleaningPlan): string {
  const entries: care.Because[] = [
    ...plan.worthIt,
    ...plan.refused,
    ...plan.leaveAlone,
    ...plan.deferred,
    ...plan.handOver,
    ...plan.replace,
    ...plan.openings,
    ...plan.alsoLook,
    ...plan.missing,
    ...(plan.isolate ? [plan.isolate] : []),
  ];
  const looks = plan.steps.flatMap((s) => [howTo(s), ...Object.values(lookWords(s) ?? {})]);
  const hazards = plan.cautions.map((c) => care.hazardFacts(c.hazard).caution);
  return [
    summaryWords(plan.summary),
    ...[...plan.prepare, ...plan.close].map(lineWords),
    ...entries.map(becauseWords),
    ...looks,
    ...plan.steps.flatMap((s) => s.schoolNotes.filter((n) => n.departs).map(departsWords)),
    ...hazards,
  ].join(' ');
}
