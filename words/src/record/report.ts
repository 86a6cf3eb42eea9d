import { care, type fungus, gear, record, type schedule, sensor, type storage } from '@bright-keeper/core';
import { becauseWords } from '../care/because.js';
import { surfaceTitle } from '../care/findings.js';
import { DEPTH_NAMES } from '../care/opening.js';
import { shortInstant } from '../day.js';
import { assessWords } from '../fungus/assessment.js';
import { inventoryFacts, titleWords, type Told } from '../gear/inventory.js';
import { logWords } from '../schedule/log.js';
import { awayWords } from '../schedule/duty.js';
import { glareGradeWords, percent, sensorAdvice, sensorWords } from '../sensor/sensor.js';
import { standingBecause, standingWords } from '../storage/standing.js';
import { capital, count } from '../text.js';

export const REPORT_PART_WORDS: Record<record.ReportPart, string> = {
  serial: 'Serial number',
  prices: 'Prices and where it was bought',
  surfaces: 'What is on each surface',
  photographs: 'Photographs of surfaces',
  air: 'The air it lay in',
  care: 'What was seen and done',
  opened: 'Who had it open',
  measured: 'Measured from pictures',
  notes: 'Notes',
};

/** All that is noted of a thing, as far as a report may tell of it. */
export type ThingToReport = {
  item: Told & { traits: care.Traits; createdAt: string };
  surfaces: readonly {
    surface: care.Surface;
    findings: Omit<care.Finding, 'surface'>[];
    verdict: care.Verdict;
    because: care.Because;
    knownSince: string;
  }[];
  /** Of a surface, or of the whole thing where none is named. */
  photographs: readonly { surface: care.Surface | null; at: string; jpeg: string }[];
  photographsLeftOut: number;
  exposure: { standing: storage.Standing; assessment: fungus.Assessment | null; measuredDays: number; keptDays: number } | null;
  /** The newest first, as a log is read. */
  log: readonly { at: string; data: schedule.ThingLogData }[];
  glare: { takenAt: string; glarePct: number; lowPct: number; highPct: number } | null;
  frame: { at: string; judgement: sensor.SensorJudgement } | null;
};

/** What a buyer has no business with unless it is chosen. */
const NOT_UNLESS: Partial<Record<gear.ParticularId, record.ReportPart>> = {
  serial: 'serial',
  paid: 'prices',
  insuredFor: 'prices',
  boughtFrom: 'prices',
};
/** Of whoever keeps it, not of the thing. */
const NEVER: readonly gear.ParticularId[] = ['tags'];

function factsOf(item: ThingToReport['item'], has: (part: record.ReportPart) => boolean, currency: string): [string, string][] {
  const shown = (id: gear.ParticularId): boolean => !NEVER.includes(id) && (NOT_UNLESS[id] === undefined || has(NOT_UNLESS[id]));
  const particulars = Object.fromEntries(Object.entries(item.particulars).filter(([id]) => shown(id as gear.ParticularId)));
  const gone = item.gone && (has('prices') ? item.gone : { ...item.gone, for: null });
  const told = { ...item, particulars, gone, place: null, notes: has('notes') ? item.notes : '' };
  return inventoryFacts(told, currency);
}

function surfacesOf({ item, surfaces }: ThingToReport): record.ReportedSurface[] {
  return care.surfacesOf(item.kind, item.traits).map((surface) => {
    const state = surfaces.find((s) => s.surface === surface);
    const name = surfaceTitle(surface);
    if (!state) return { surface, name, findings: [], says: 'Not looked at.' };
    const { findings, verdict, because, knownSince } = state;
    const seen = findings.map(({ soil, severity, sizeMm }) => {
      const size = sizeMm === undefined ? '' : `, up to ${sizeMm} mm across`;
      return `${care.SOILS[soil].name} (${care.SEVERITY_NAMES[severity]}${size})`;
    });
    const says = [
      seen.length === 0 ? 'Nothing found.' : `${capital(seen.join(', '))}.`,
      ...(findings.length === 0 && verdict === 'leave' ? [] : [becauseWords(because)]),
    ].join(' ');
    return { surface, name, findings, verdict, asOf: knownSince, says };
  });
}

function airOf({ exposure }: ThingToReport, day: (instant: string) => string): string[] {
  if (!exposure?.assessment) return ['No place it lay in was measured.'];
  const { standing, assessment, measuredDays, keptDays } = exposure;
  const because = standingBecause(standing);
  return [
    `${standingWords(standing, day)}.`,
    ...(because === null ? [] : [because]),
    ...assessment.reasons.map(assessWords),
    `Measured on ${Math.round(measuredDays)} of the ${Math.round(keptDays)} days it has been kept.`,
  ];
}

function openedOf(log: ThingToReport['log'], day: (instant: string) => string): record.ReportedEntry[] {
  return record.openingsOf([...log].reverse()).map((opening): record.ReportedEntry => {
    if (opening.by === 'keeper')
      return {
        at: opening.at,
        what: `Opened by its keeper, ${DEPTH_NAMES[opening.data.depth]}, and closed again`,
        lines: opening.data.stages === 0 ? [] : [count(opening.data.stages, 'stage', 'stages')],
      };
    const { at, to, backAt } = opening;
    return {
      at,
      what: capital(awayWords('service', to)),
      lines: [backAt === null ? 'It has not been noted as back.' : `Back on ${day(backAt)}. What was done there is not told by this.`],
    };
  });
}

function measuredOf({ glare, frame }: ThingToReport): record.ReportedEntry[] {
  const all: record.ReportedEntry[] = [];
  if (glare)
    all.push({
      at: glare.takenAt,
      what: `Veiling glare ${percent(glare.glarePct)} (${percent(glare.lowPct)} to ${percent(glare.highPct)})`,
      lines: [
        `By a card on a screen: to be compared with tests of the same body and style alone. ${glareGradeWords(sensor.glareGrade(glare.glarePct))}`,
      ],
    });
  if (frame)
    all.push({
      at: frame.at,
      what: `Test frame of the sensor: ${sensorAdvice(frame.judgement.advice).toLowerCase()}`,
      lines: [sensorWords(frame.judgement.because)],
    });
  return all;
}

/** What was typed at a look is a note like any other. */
function withoutNotes(data: schedule.ThingLogData): schedule.ThingLogData {
  if (data.kind !== 'look') return data;
  return { ...data, notes: [], ...(data.before && { before: { ...data.before, notes: [] } }) };
}

/** A thing as a report tells of it, by the parts that were chosen. */
export function reportedThing(
  thing: ThingToReport,
  parts: readonly record.ReportPart[],
  { timeZone, currency }: { timeZone: string; currency: string },
): record.ReportedThing {
  const has = (part: record.ReportPart) => parts.includes(part);
  const day = (instant: string) => shortInstant(Date.parse(instant), timeZone);
  const { item, log } = thing;
  return {
    name: titleWords(item),
    kind: item.kind,
    traits: item.traits,
    notedSince: item.createdAt,
    facts: factsOf(item, has, currency),
    ...(has('surfaces') && { surfaces: surfacesOf(thing) }),
    ...(has('photographs') && {
      photographs: thing.photographs.map(({ surface, at, jpeg }) => ({
        of: surface ? surfaceTitle(surface) : 'The whole thing',
        at,
        jpeg,
      })),
      photographsLeftOut: thing.photographsLeftOut,
    }),
    ...(has('air') && { air: airOf(thing, day) }),
    ...(has('care') && {
      care: log
        .filter(({ data }) => record.isCare(data))
        .map(({ at, data }) => {
          const { title, lines } = logWords(has('notes') ? data : withoutNotes(data), timeZone);
          return { at, what: title, lines };
        }),
    }),
    ...(has('opened') && { opened: openedOf(log, day) }),
    ...(has('measured') && { measured: measuredOf(thing) }),
  };
}

/** What a part says where it has nothing to tell. */
export const NOTHING_TO_TELL = {
  photographs: 'No photograph is kept.',
  care: 'Nothing is noted.',
  opened: 'No opening is noted.',
  measured: 'Nothing was measured.',
} as const;

/** What nobody looked at, in one line; null where all was. */
export function unseenWords(surfaces: readonly record.ReportedSurface[]): string | null {
  const unseen = surfaces.filter(({ verdict }) => verdict === undefined).map(({ name }) => name.toLowerCase());
  return unseen.length === 0 ? null : `Not looked at: ${unseen.join(', ')}.`;
}

/** What such a report rests on, and what it does not. */
export const REPORT_RESTS_ON =
  'It tells what one household noted, and rests on that: what nobody looked at is said to be so, and what was before a thing came is not known. It is no appraisal.';

/** A key's fingerprint in groups that can be read aloud. @param hex SHA-256 of the key. */
export const fingerprintWords = (hex: string): string => hex.slice(0, 32).match(/.{4}/g)!.join(' ');
