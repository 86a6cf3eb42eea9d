import { record } from '@bright-keeper/core';
import { fingerprintWords, NOTHING_TO_TELL, REPORT_PART_WORDS, REPORT_RESTS_ON, shortInstant, unseenWords } from '@bright-keeper/words';
import { type Column, Paper } from '../paper/index.js';

const SURFACES: readonly Column[] = [
  { head: 'Surface', share: 1.2 },
  { head: 'As of', share: 1.1 },
  { head: '', share: 4 },
];
const ENTRIES: readonly Column[] = [
  { head: 'When', share: 1 },
  { head: '', share: 4 },
];

/** A signed report as a PDF: what the page prints. The file to be checked is the JSON; the paper names its key. */
export async function reportPdf({ report, signature }: record.SignedReport, fingerprint: string): Promise<Buffer> {
  const day = (instant: string) => shortInstant(Date.parse(instant), report.timeZone);
  const [only] = report.things;
  const paper = await Paper.begin(report.things.length === 1 ? `Condition of ${only!.name}` : 'Condition report', new Date(report.madeAt));
  paper.text(`As of ${day(report.madeAt)} (${report.timeZone}).`);
  paper.note(REPORT_RESTS_ON);
  for (const [i, thing] of report.things.entries()) {
    if (i > 0) paper.page();
    await writeThing(paper, thing, day);
  }
  paper.heading('Signature');
  paper.facts([
    ['Key', fingerprintWords(fingerprint)],
    [signature.algorithm, signature.value],
  ]);
  paper.note('The signature is of the same report as JSON, which can be checked; a paper cannot.');
  return paper.end();
}

async function writeThing(paper: Paper, thing: record.ReportedThing, day: (instant: string) => string): Promise<void> {
  paper.heading(thing.name);
  paper.facts([...thing.facts, ['Noted since', day(thing.notedSince)]]);
  if (thing.surfaces) {
    paper.heading(REPORT_PART_WORDS.surfaces);
    await paper.table(
      SURFACES,
      thing.surfaces.filter(({ verdict }) => verdict).map(({ name, asOf, says }) => ({ cells: [name, asOf ? day(asOf) : '', says] })),
    );
    const unseen = unseenWords(thing.surfaces);
    if (unseen !== null) paper.text(unseen);
  }
  if (thing.air) {
    paper.heading(REPORT_PART_WORDS.air);
    for (const line of thing.air) paper.text(line);
  }
  for (const part of ['opened', 'measured', 'care'] as const) {
    const entries = thing[part];
    if (!entries) continue;
    paper.heading(REPORT_PART_WORDS[part]);
    if (entries.length === 0) paper.text(NOTHING_TO_TELL[part]);
    else
      await paper.table(
        ENTRIES,
        entries.map(({ at, what, lines }) => ({ cells: [day(at), [what, ...lines].join('\n')] })),
      );
  }
  if (thing.photographs) {
    paper.heading(REPORT_PART_WORDS.photographs);
    if (thing.photographs.length === 0) paper.text(NOTHING_TO_TELL.photographs);
    await paper.pictures(thing.photographs.map(({ of, at, jpeg }) => ({ jpeg: Buffer.from(jpeg, 'base64'), words: `${of}, ${day(at)}` })));
    if (thing.photographsLeftOut) paper.note(`${thing.photographsLeftOut} more left out.`);
  }
}
