import type { GlareInput, GlareTest } from '@bright-keeper/contract';
import { sensor } from '@bright-keeper/core';
import { fStop, glareGradeWords, notComparableWords } from '@bright-keeper/words';
import { useEffect, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { outside } from '../../outside';
import { FileDrop } from '../../ui/FilePicker';
import { Button, ButtonLink, Empty, Failure, Loading, Notice, Page, Section } from '../../ui/parts';
import { At } from '../../ui/when';
import { startWorker, type Running } from '../../workers/port';
import { useItem } from '../gear';
import { useAddGlare, useGlareTests, useRemoveGlare } from './queries';
import { PICTURES, whyWords } from './ReadFrame';

const percent = (value: number): string => `${value.toFixed(value < 10 ? 1 : 0)} %`;

type State =
  | { state: 'idle' }
  | { state: 'reading'; name: string }
  | { state: 'read'; input: GlareInput; patches: number }
  | { state: 'failed'; name: string; why: string };

/** Reads a frame of the card in a worker of its own. */
function useGlareReading(itemId: string) {
  const [state, setState] = useState<State>({ state: 'idle' });
  const running = useRef<Running<'frame'> | null>(null);
  useEffect(() => () => running.current?.end(), []);
  const read = async (file: File, blackPct: number): Promise<void> => {
    running.current?.end();
    const own = (running.current = startWorker('frame'));
    setState({ state: 'reading', name: file.name });
    const told = await own.api.readGlare(file, blackPct).catch((error: Error) => ({ fault: error.message }));
    if (running.current !== own) return;
    own.end();
    if (!('read' in told)) return setState({ state: 'failed', name: file.name, why: whyWords(told) });
    const { taken, glare } = told.read;
    const { glarePct, lowPct, highPct, patches } = glare;
    const takenAt = taken.takenAt ?? outside.now().toISOString();
    const { fNumber, iso, exposureS, body } = taken;
    setState({
      state: 'read',
      patches: patches.length,
      input: { itemId, takenAt, glarePct, lowPct, highPct, blackPct, fNumber, iso, exposureS, body, style: null, note: '' },
    });
  };
  return { state, read, forget: () => setState({ state: 'idle' }) };
}

/** A test in words, held against the one before. */
function Told({ test, before }: { test: Omit<GlareTest, 'id'>; before: GlareTest | undefined }) {
  const grade = sensor.glareGrade(test.glarePct);
  const differences = before ? sensor.whyNotComparable(before, test) : [];
  const change = before && differences.length === 0 ? test.glarePct - before.glarePct : null;
  const isSure = before && change !== null && (test.highPct < before.lowPct || test.lowPct > before.highPct);
  return (
    <div className="space-y-1">
      <p>
        <b className="text-xl">{percent(test.glarePct)}</b>{' '}
        <span className="text-soft">
          ({percent(test.lowPct)} to {percent(test.highPct)})
        </span>
      </p>
      <p className="text-sm">{glareGradeWords(grade)}</p>
      {before && differences.length > 0 && <p className="text-sm text-soft">{notComparableWords(differences)}</p>}
      {before && change !== null && (
        <p className="text-sm font-medium">
          {isSure
            ? `${change < 0 ? 'Less' : 'More'} than the one before, ${percent(before.glarePct)}.`
            : 'No different from the one before, as far as this test can tell.'}
        </p>
      )}
    </div>
  );
}

/** The tests as dots over time on one scale, with how far each may be off. */
function Course({ tests }: { tests: readonly GlareTest[] }) {
  const most = Math.max(10, ...tests.map((t) => t.highPct)) * 1.1;
  const [w, h] = [600, 140];
  const [first, last] = [Date.parse(tests[0]!.takenAt), Date.parse(tests.at(-1)!.takenAt)];
  const x = (at: string) => 40 + (last > first ? ((Date.parse(at) - first) / (last - first)) * (w - 80) : (w - 80) / 2);
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
      <ButtonLink to={`/gear/${itemId}/glare/card`}>Show the card on this screen</ButtonLink>
    </div>
  </Section>
);

function Tests({ itemId, tests }: { itemId: string; tests: readonly GlareTest[] }) {
  const [blackPct, setBlackPct] = useState(0);
  const { state, read, forget } = useGlareReading(itemId);
  const add = useAddGlare(itemId);
  const remove = useRemoveGlare(itemId);
  const before = tests.at(-1);
  return (
    <div className="space-y-6">
      <FileDrop accept={PICTURES} name={undefined} onChoose={(file) => void read(file, Number.isNaN(blackPct) ? 0 : blackPct)}>
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
      {state.state === 'reading' && <p role="status">Reading {state.name} …</p>}
      {state.state === 'failed' && (
        <Notice tone="attention">
          <b>{state.name}:</b> {state.why}
        </Notice>
      )}
      {state.state === 'read' && (
        <section className="sheet space-y-3 p-4" aria-label="The test that was read">
          <Told test={state.input} before={before} />
          <p className="text-sm text-soft">
            {state.patches} {state.patches === 1 ? 'disc' : 'discs'} of the card found
            {state.input.fNumber ? `, ${fStop(state.input.fNumber)}` : ''}.
          </p>
          <div className="flex gap-2">
            <Button look="filled" disabled={add.isPending} onClick={() => add.mutate(state.input, { onSuccess: forget })}>
              Keep this test
            </Button>
            <Button onClick={forget}>Drop it</Button>
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
                  <Told test={test} before={tests[tests.indexOf(test) - 1]} />
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
      <Tests itemId={id} tests={tests.data.tests} />
    </Page>
  );
}
