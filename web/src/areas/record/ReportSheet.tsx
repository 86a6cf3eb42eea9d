import type { record } from '@bright-keeper/core';
import { NOTHING_TO_TELL, REPORT_PART_WORDS, REPORT_RESTS_ON, shortInstant, unseenWords } from '@bright-keeper/words';
import { Fragment, type ReactNode } from 'react';
import { LightPath } from '../../ui/lightpath/LightPath';

type Told = { thing: record.ReportedThing; day: (instant: string) => string };

const Part = ({ title, children }: { title: string; children: ReactNode }) => (
  <section className="mt-4 break-inside-avoid-page">
    <h3 className="mb-1 font-semibold">{title}</h3>
    {children}
  </section>
);

/** The thing from the side, as the last look left it, and in words. */
const Surfaces = ({ thing, surfaces, day }: Told & { surfaces: readonly record.ReportedSurface[] }) => (
  <Part title={REPORT_PART_WORDS.surfaces}>
    <LightPath
      kind={thing.kind}
      traits={thing.traits}
      states={surfaces.flatMap(({ surface, findings, verdict }) => (verdict ? [{ surface, findings, verdict }] : []))}
    />
    <dl className="mt-2 grid gap-x-4 gap-y-1 sm:grid-cols-[max-content_1fr]">
      {surfaces
        .filter(({ verdict }) => verdict)
        .map(({ surface, name, asOf, says }) => (
          <Fragment key={surface}>
            <dt className="text-soft">{name}</dt>
            <dd>
              {says} {asOf && <span className="text-sm text-soft">{day(asOf)}</span>}
            </dd>
          </Fragment>
        ))}
    </dl>
    <p className="mt-2 text-soft">{unseenWords(surfaces)}</p>
  </Part>
);

const Entries = ({
  part,
  entries,
  day,
}: {
  part: 'care' | 'opened' | 'measured';
  entries: readonly record.ReportedEntry[];
  day: Told['day'];
}) => (
  <Part title={REPORT_PART_WORDS[part]}>
    {entries.length === 0 && <p>{NOTHING_TO_TELL[part]}</p>}
    <ul>
      {entries.map(({ at, what, lines }, i) => (
        <li key={`${at}/${i}`} className="border-t border-line py-1 first:border-0">
          <span className="font-medium">{what}</span> <span className="text-sm text-soft">{day(at)}</span>
          {lines.map((line) => (
            <span key={line} className="block text-sm text-soft">
              {line}
            </span>
          ))}
        </li>
      ))}
    </ul>
  </Part>
);

const Photographs = ({ thing: { photographs = [], photographsLeftOut = 0 }, day }: Told) => (
  <Part title={REPORT_PART_WORDS.photographs}>
    {photographs.length === 0 && <p>{NOTHING_TO_TELL.photographs}</p>}
    <ul className="flex flex-wrap gap-3">
      {photographs.map(({ of, at, jpeg }, i) => (
        <li key={`${at}/${i}`} className="break-inside-avoid">
          <img src={`data:image/jpeg;base64,${jpeg}`} alt={`${of}, ${day(at)}`} className="in-light max-h-56 rounded border border-line" />
          <span className="text-sm text-soft">
            {of}, {day(at)}
          </span>
        </li>
      ))}
    </ul>
    {photographsLeftOut > 0 && <p className="text-sm text-soft">{photographsLeftOut} more left out.</p>}
  </Part>
);

const Thing = ({ thing, day }: Told) => (
  <article className="sheet mb-4 break-after-page p-4 last:break-after-auto print:mb-0 print:border-0 print:p-0 print:shadow-none">
    <h2 className="text-xl font-semibold">{thing.name}</h2>
    <dl className="mt-2 grid grid-cols-[max-content_1fr] gap-x-4 gap-y-1">
      {[...thing.facts, ['Noted since', day(thing.notedSince)] as const].map(([name, words]) => (
        <Fragment key={name}>
          <dt className="text-soft">{name}</dt>
          <dd className="whitespace-pre-wrap">{words}</dd>
        </Fragment>
      ))}
    </dl>
    {thing.surfaces && <Surfaces thing={thing} surfaces={thing.surfaces} day={day} />}
    {thing.air && (
      <Part title={REPORT_PART_WORDS.air}>
        {thing.air.map((line) => (
          <p key={line}>{line}</p>
        ))}
      </Part>
    )}
    {(['opened', 'measured', 'care'] as const).map(
      (part) => thing[part] && <Entries key={part} part={part} entries={thing[part]} day={day} />,
    )}
    {thing.photographs && <Photographs thing={thing} day={day} />}
  </article>
);

/** A report as it is printed, by the clock it was made by; nothing in it but what is signed. */
export function ReportSheet({ report }: { report: record.ConditionReport }) {
  const day = (instant: string) => shortInstant(Date.parse(instant), report.timeZone);
  return (
    <div>
      <p className="mb-3 text-soft">
        As of {day(report.madeAt)} ({report.timeZone}). {REPORT_RESTS_ON}
      </p>
      {report.things.map((thing, i) => (
        <Thing key={i} thing={thing} day={day} />
      ))}
    </div>
  );
}
