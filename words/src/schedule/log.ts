import { care, gear, type inspection, schedule } from '@bright-keeper/core';
import { findingsWords, surfaceTitle } from '../care/findings.js';
import { DEPTH_NAMES } from '../care/opening.js';
import { longDate, shortInstant } from '../day.js';
import { FILE_ROLE_WORDS, GONE_WORDS } from '../gear/files.js';
import { particularWords } from '../gear/particulars.js';
import { SKIPPED } from './due.js';
import { awayWords } from './duty.js';

type LogData = schedule.ThingLogData;
const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

export const OUTCOME_WORDS: Record<care.Outcome, string> = {
  'clean-enough': 'clean enough',
  'stopped-by-grit': 'stopped: grains were left',
  'stopped-by-salt': 'stopped: salt was left',
  'film-left': 'a film is left',
  'lies-deeper': 'lies deeper',
  'is-damage': 'damage, not dirt',
  'did-not-come-off': 'did not come off',
  'shutter-closed-on-it': 'the shutter closed on it',
  left: 'left on purpose',
  'not-reached': 'not reached',
};

const FIELD_WORDS: Record<string, string> = {
  ...{ name: 'name', kind: 'kind', traits: 'traits', notes: 'notes', acquiredOn: 'day it came', belongsTo: 'what it belongs to' },
  ...Object.fromEntries(gear.PARTICULAR_IDS.map((id) => [id, gear.particularFacts(id).name.toLowerCase()])),
};

/** By what light one looked, as it stands after what was done. */
const LIGHT_WORDS: Record<inspection.Light, string> = {
  daylight: 'by daylight',
  lamp: 'with a lamp from the side',
  torch: 'with a torch through it',
};

/** What an entry says: a title, and what more there is to it. */
export type LogWords = { title: string; lines: string[] };

function lookWords(data: Extract<LogData, { kind: 'look' }>): LogWords {
  const { before } = data;
  return {
    title: `Looked at ${count(data.looked, 'surface', 'surfaces')}${data.light ? `, ${LIGHT_WORDS[data.light]}` : ''}`,
    lines: [...saidWords(data), ...(before ? [`Corrected. Before, it was said: ${saidWords(before).join('; ').replace(/\.$/, '')}.`] : [])],
  };
}

/** What a look found and noted. */
function saidWords({ verdicts, notes }: schedule.LookSaid): string[] {
  const seen = verdicts.map(({ surface, findings }) => `${surfaceTitle(surface)}: ${findingsWords(findings)}`);
  return [...(seen.length > 0 ? seen : ['Nothing found.']), ...notes.map(({ surface, note }) => `${surfaceTitle(surface)}: “${note}”`)];
}

function cleanWords(data: Extract<LogData, { kind: 'clean' }>): LogWords {
  const touches = Object.values(data.contacts).reduce((sum, n) => sum + n, 0);
  const outcomes = Object.entries(data.outcomes).map(
    ([surface, outcome]) => `${surfaceTitle(surface as care.Surface)}: ${OUTCOME_WORDS[outcome]}`,
  );
  const methods = data.methods.map((m) => care.METHODS[m].name.toLowerCase()).join(', ');
  return {
    title: `Cleaned ${data.place === 'home' ? 'at the bench' : 'in the field'}`,
    lines: [...outcomes, `${methods || 'nothing done'}; ${count(touches, 'touch', 'touches')}, ${data.minutes} min`],
  };
}

/** What was changed, and what stood there before. */
function editedWords({ changed, was = {}, before: fields = {} }: Extract<LogData, { kind: 'edited' }>): LogWords {
  const before = gear.PARTICULAR_IDS.flatMap((id) =>
    was[id] === undefined ? [] : [`Before, ${FIELD_WORDS[id]}: ${particularWords(id, was[id], '')}.`],
  );
  if (fields.name !== undefined) before.unshift(`Before, it was called ${fields.name}.`);
  return { title: 'Edited', lines: [...(changed.length > 0 ? [changed.map((f) => FIELD_WORDS[f] ?? f).join(', ')] : []), ...before] };
}

/** What a log entry says, in plain words, by the clock of a zone. */
export function logWords(data: LogData, timeZone: string): LogWords {
  switch (data.kind) {
    case 'added':
      return { title: 'Came on the shelf', lines: [] };
    case 'imported':
      return { title: 'Came on the shelf from a list', lines: [] };
    case 'archived':
      return { title: data.gone ? `Gone: ${GONE_WORDS[data.gone.why]} on ${longDate(data.gone.on)}` : 'Taken off the shelf', lines: [] };
    case 'split':
      return data.of === 'off'
        ? { title: `${data.count} of them became ${data.count === 1 ? 'a line of its own' : 'a line of their own'}`, lines: [] }
        : { title: `Split off from ${data.name}`, lines: ['What was seen and done before stands in the log of that one.'] };
    case 'file-removed':
      return { title: `Removed: ${FILE_ROLE_WORDS[data.role].toLowerCase()} “${data.name}”`, lines: [] };
    case 'restored':
      return { title: 'Put back on the shelf', lines: [] };
    case 'quarantined':
      return { title: 'Moved to quarantine', lines: [] };
    case 'released':
      return { title: 'Back from quarantine', lines: [] };
    case 'edited':
      return editedWords(data);
    case 'look':
      return lookWords(data);
    case 'clean':
      return cleanWords(data);
    case 'care': {
      const { name, done } = schedule.dutyFacts(data.task);
      return { title: done ?? name, lines: [] };
    }
    case 'skipped':
      return {
        title: `Passed over: ${schedule.dutyFacts(data.task).name.toLowerCase()}`,
        lines: [`Because ${SKIPPED[data.reason]}.`, ...(data.note ? [`“${data.note}”`] : [])],
      };
    case 'left-for-home':
      return { title: 'Left for home', lines: [data.surfaces.map((s) => care.SURFACES[s].name).join(', ')] };
    case 'neighbour-isolated':
      return { title: `${data.name ?? 'Something'} beside it went into quarantine`, lines: [] };
    case 'away':
      return {
        title: `Away: ${awayWords(data.why, data.to)}`,
        lines: [
          ...(data.until ? [`Due back on ${longDate(data.until)}.`] : []),
          ...(data.estimate === undefined ? [] : [`It was to cost ${data.estimate}.`]),
        ],
      };
    case 'cap-missing':
      return { title: `Its ${care.surfaceFacts(data.surface).name} is missing`, lines: [] };
    case 'back':
      return { title: 'It is back', lines: [] };
    case 'frame':
      return { title: `Test frame at f/${data.fNumber}`, lines: [count(data.specks, 'speck', 'specks')] };
    case 'stay-told': {
      const on = (instant: string) => shortInstant(Date.parse(instant), timeZone);
      return {
        title: data.placeName ? `Lies in ${data.placeName} since ${on(data.since)}` : `In no place since ${on(data.since)}`,
        lines: [`Before, it was said: in ${data.before.placeName} since ${on(data.before.since)}.`],
      };
    }
    case 'moved':
      return { title: data.placeName ? `Moved to: ${data.placeName}` : 'Taken out of its place', lines: [] };
    case 'outdoors':
      return { title: `Outdoors: ${care.HAPPENINGS[data.happening].name.toLowerCase()}`, lines: [] };
    case 'opened':
      return { title: `Opened ${DEPTH_NAMES[data.depth]} and closed again`, lines: [count(data.stages, 'stage', 'stages')] };
    default:
      return data satisfies never;
  }
}
