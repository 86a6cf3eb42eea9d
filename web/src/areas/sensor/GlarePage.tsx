import type { GlareInput, GlareTest, GlareTests } from '@bright-keeper/contract';
import { sensor } from '@bright-keeper/core';
import { count, fStop, glareChangeWords, glareGradeWords, percent } from '@bright-keeper/words';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { outside } from '../../outside';
import { FileDrop } from '../../ui/FilePicker';
import { Button, ButtonLink, Empty, Failure, Loading, Page, Section } from '../../ui/parts';
import { At } from '../../ui/when';
import type { GlareReading } from '../../workers/frame.worker';
import { useItem } from '../gear';
import { useAddGlare, useGlareTests, useRemoveGlare } from './queries';
import { cardOf } from './glareCard';
import { PICTURES, ReadingState } from './ReadFrame';
import { saveCanvas } from './takeAway';
import { useReading } from './useReading';

/** A test as it was read from a frame of the card. */
function inputOf(itemId: string, { taken, glare }: GlareReading, blackPct: number, now: Date): GlareInput {
  const { glarePct, lowPct, highPct } = glare;
  const { fNumber, iso, exposureS, body, style } = taken;
  const takenAt = taken.takenAt ?? now.toISOString();
  return { itemId, takenAt, glarePct, lowPct, highPct, blackPct, fNumber, iso, exposureS, body, style, note: '' };
}

/** A test in words, held against others of the same lens. */
function Told({ test, beside }: { test: Omit<GlareTest, 'id'>; beside: readonly sensor.GlareComparison[] }) {
  return (
    <div className="space-y-1">
      <p>
        <b className="text-xl">{percent(test.glarePct)}</b>{' '}
        <span className="text-soft">
          ({percent(test.lowPct)} to {percent(test.highPct)})
        </span>
      </p>
      <p className="text-sm">{glareGradeWords(sensor.glareGrade(test.glarePct))}</p>
      {beside.map((c) => (
        <p key={c.against} className={`text-sm ${c.change === null ? 'text-soft' : 'font-medium'}`}>
          {glareChangeWords(c)}
        </p>
      ))}
    </div>
  );
}

/** The tests as dots over time on one scale, with how far each may be off. */
function Course({ tests }: { tests: readonly GlareTest[] }) {
  const most = Math.max(10, ...tests.map((t) => t.highPct)) * 1.1;
  const [w, h] = [600, 140];
  const [first, last] = [Date.parse(tests[0]!.takenAt), Date.parse(tests.at(-1)!.takenAt)];
  const x = (at: string) => 70 + (last > first ? ((Date.parse(at) - first) / (last - first)) * (w - 110) : (w - 110) / 2);
  const y = (pct: number) => h - 20 - (pct / most) * (h - 30);
  return (
    <svg
      viewBox={`0 0 ${w} ${h}`}
      className="w-full"
      role="img"
      aria-label={`Glare over time: ${tests.map((t) => percent(t.glarePct)).join(', ')}`}
    >
      {[3, 8].map((limit) => (
        <g key={limit}>
          <line x1={36} x2={w} y1={y(limit)} y2={y(limit)} className="stroke-line" strokeDasharray="4 4" />
          <text x={0} y={y(limit) + 4} fontSize={12} className="fill-soft">
            {limit} %
          </text>
        </g>
      ))}
      <polyline points={tests.map((t) => `${x(t.takenAt)},${y(t.glarePct)}`).join(' ')} fill="none" className="stroke-soft" />
      {tests.map((t) => (
        <g key={t.id}>
          <line x1={x(t.takenAt)} x2={x(t.takenAt)} y1={y(t.lowPct)} y2={y(t.highPct)} className="stroke-lamp" strokeWidth={2} />
          <circle cx={x(t.takenAt)} cy={y(t.glarePct)} r={5} className="fill-lamp" />
          <text x={x(t.takenAt)} y={y(t.highPct) - 8} fontSize={13} textAnchor="middle" className="fill-ink">
            {percent(t.glarePct)}
          </text>
        </g>
      ))}
    </svg>
  );
}

const How = ({ itemId }: { itemId: string }) => (
  <Section title="How it is done">
    <div className="sheet space-y-2 p-4">
      <ol className="list-decimal space-y-1 pl-5">
        <li>Show the card on a screen in a dark room, the screen bright. Nothing else may shine on the lens.</li>
        <li>Fill the frame with it, sharp, at f/8 or so. Expose so that white stays below the brightest value.</li>
        <li>Each time the same body, picture style, aperture and exposure: then the numbers can be compared.</li>
      </ol>
      <p className="text-sm text-soft">
        After the idea of ISO 9358: how much light there is where there should be none. A camera’s picture style bends the number, and a
        screen’s black is not black: what counts is the change from test to test.
      </p>
      <div className="flex flex-wrap items-center gap-2">
        <ButtonLink to={`/gear/${itemId}/glare/card`}>Show the card on this screen</ButtonLink>
        <Button onClick={() => void window.open(`/gear/${itemId}/glare/card`, 'glare-card', 'popup')}>
          In a window for the other screen
        </Button>
        <Button onClick={() => saveCanvas('glare-card.png', cardOf())}>Take it along as a picture</Button>
      </div>
    </div>
  </Section>
);

function Tests({ itemId, data: { tests, cleanedAt } }: { itemId: string; data: GlareTests }) {
  const [blackPct, setBlackPct] = useState(0);
  const black = Number.isNaN(blackPct) ? 0 : blackPct;
  const { reading, failed, waiting, read, next, cancel } = useReading((api, file) => api.readGlare(file, black));
  const draft = useMemo(
    () => (reading.state === 'read' ? inputOf(itemId, reading.read, black, outside.now()) : null),
    [reading, itemId, black],
  );
  const add = useAddGlare(itemId);
  const remove = useRemoveGlare(itemId);
  const story = sensor.glareStory(tests, cleanedAt);
  // As it would stand among the others once it is kept.
  const beside = (input: GlareInput): readonly sensor.GlareComparison[] => {
    const all = [...tests, input].sort((a, b) => a.takenAt.localeCompare(b.takenAt));
    return sensor.glareStory(all, cleanedAt)[all.indexOf(input)]!;
  };
  return (
    <div className="space-y-6">
      <FileDrop accept={PICTURES} name={undefined} multiple onChoose={(_, all) => read(all)}>
        <label className="flex flex-wrap items-center gap-2 text-sm text-soft">
          Take off for the screen’s own black, %
          <input
            className="input w-20 text-base text-ink"
            type="number"
            min={0}
            max={50}
            step="any"
            value={Number.isNaN(blackPct) ? '' : blackPct}
            onChange={(e) => setBlackPct(e.target.valueAsNumber)}
          />
        </label>
      </FileDrop>
      <ReadingState reading={reading} failed={failed} waiting={waiting} onCancel={cancel} />
      {reading.state === 'read' && draft && (
        <section className="sheet space-y-3 p-4" aria-label="The test that was read">
          <Told test={draft} beside={beside(draft)} />
          <p className="text-sm text-soft">
            {count(reading.read.glare.patches.length, 'disc', 'discs')} of the card found{draft.fNumber ? `, ${fStop(draft.fNumber)}` : ''}.
          </p>
          <div className="flex flex-wrap items-center gap-2">
            <Button look="filled" disabled={add.isPending} onClick={() => add.mutate(draft, { onSuccess: next })}>
              Keep this test
            </Button>
            <Button onClick={next}>Drop it</Button>
            {waiting > 0 && <span className="text-sm text-soft">{waiting} more to read after it</span>}
          </div>
          {add.error && <Failure error={add.error} />}
        </section>
      )}
      {tests.length === 0 ? (
        <Empty title="There is no test of this lens yet.">
          One before and one after a clean tell whether it helped; one a year tells whether haze is coming.
        </Empty>
      ) : (
        <Section title="Over time">
          <div className="sheet p-4">
            <Course tests={tests} />
          </div>
          <ol className="sheet mt-3 divide-y divide-line">
            {[...tests].reverse().map((test) => (
              <li key={test.id} className="flex flex-wrap items-start justify-between gap-2 px-4 py-3">
                <div>
                  <p className="text-sm text-soft">
                    <At instant={test.takenAt} />
                    {test.body && `, ${test.body}`}
                    {test.fNumber && `, ${fStop(test.fNumber)}`}
                  </p>
                  <Told test={test} beside={story[tests.indexOf(test)]!} />
                </div>
                <Button disabled={remove.isPending} onClick={() => remove.mutate(test.id)}>
                  Remove
                </Button>
              </li>
            ))}
          </ol>
          {remove.error && <Failure error={remove.error} />}
        </Section>
      )}
      <How itemId={itemId} />
    </div>
  );
}

/** Haze in numbers: how much light a lens scatters where there should be none. */
export function GlarePage() {
  const { id = '' } = useParams();
  const item = useItem(id);
  const tests = useGlareTests(id);
  if (item.isPending || tests.isPending) return <Loading />;
  if (item.isError) return <Failure error={item.error} onRetry={() => void item.refetch()} />;
  if (tests.isError) return <Failure error={tests.error} onRetry={() => void tests.refetch()} />;
  return (
    <Page
      title={`Haze in numbers: ${item.data.name}`}
      sub={
        <Link className="link" to={`/gear/${id}`}>
          Back to {item.data.name}
        </Link>
      }
    >
      <Tests itemId={id} data={tests.data} />
    </Page>
  );
}
