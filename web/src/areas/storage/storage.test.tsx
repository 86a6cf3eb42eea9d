import type { AdvisedChange, RibbonDay, WhatIfStart } from '@bright-keeper/contract';
import { air, sensor, storage } from '@bright-keeper/core';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { ClimateRibbon } from '../../ui/ClimateRibbon';
import { StrokesDrawing } from '../care';
import { adviceWords, changeWords } from './AdviceWords';
import { asToday, changeOf, playableIn, type WhatIf } from './whatIfState';
import { airWords, eventWords, hoursWords, minutesWords } from './words';

afterEach(cleanup);

const room = Array.from({ length: 240 }, (_, h) => ({
  at: new Date(Date.UTC(2026, 0, 1, h)).toISOString(),
  temperatureC: 20,
  humidityPct: 60 + (h % 24),
}));
const box = {
  volumeL: 50,
  airChangesPerDay: 0.5,
  openingsPerWeek: 2,
  targetPct: 50,
  desiccant: { kind: 'silica-gel', massG: 100, loadingGPerG: 0.18 },
} as const;
const start = (setPointPct: number | null = null): Pick<WhatIfStart, 'place' | 'outside' | 'closed'> => ({
  place: storage.usualPlace(box, setPointPct),
  outside: room,
  closed: true,
});
const change = (from: ReturnType<typeof start>, more: Partial<WhatIf>) => changeOf(from, { ...asToday(from), ...more });

describe('what if', () => {
  it('left alone changes nothing of the place as it is today', () => {
    expect(change(start(), {})).toEqual({});
    expect(change(start(42), {})).toEqual({});
  });

  it('with other gel takes it as freshly dried, and what lies there already as full as it is', () => {
    expect(change(start(), { massG: 200 })).toEqual({ desiccant: { kind: 'silica-gel', massG: 200, loadingGPerG: 0.02 } });
    expect(change(start(), { kind: 'rice', massG: 100 })).toEqual({ desiccant: { kind: 'rice', massG: 100, loadingGPerG: 0.08 } });
    expect(change(start(), { kind: 'none' })).toEqual({ desiccant: null });
    expect(change(start(), { openingsPerWeek: 1 })).toEqual({ openingsPerWeek: 1 });
  });

  it('a seal is told by its leak, openings apart', () => {
    const today = asToday(start());
    expect(today.airChangesPerDay).toBeCloseTo(0.5, 9);
    expect(change(start(), { airChangesPerDay: 0.25 }).leakShare).toBeCloseTo(0.5, 9);
    const { place } = start();
    expect(storage.leakOf(storage.changedPlace(place, { leakShare: 0.5 }))).toBeCloseTo(0.25, 9);
  });

  it('cuts the current only of what has some', () => {
    expect(change(start(), { powerCutDays: 5 })).toEqual({});
    const cut = change(start(42), { powerCutDays: 3 }).powerCut!;
    expect((Date.parse(cut.to) - Date.parse(cut.from)) / 86_400_000).toBe(3);
    expect(cut.from >= room[0]!.at && cut.from <= room.at(-1)!.at).toBe(true);
  });

  it('offers what does something there: gel in a box, a set-point in a cabinet, neither on a shelf', () => {
    expect(playableIn(start())).toEqual(['massG', 'airChangesPerDay', 'openingsPerWeek', 'ownWarmerC', 'warmerC', 'damperPct']);
    expect(playableIn(start(42))).toEqual(['ownWarmerC', 'warmerC', 'damperPct', 'setPointPct', 'powerCutDays']);
    expect(playableIn({ ...start(), closed: false })).toEqual(['ownWarmerC', 'warmerC', 'damperPct']);
  });
});

describe('a climate ribbon', () => {
  const days: RibbonDay[] = [
    { day: '2026-03-08', meanPct: 25, minPct: 20, maxPct: 30, dose: 0, daysPast: 0 },
    { day: '2026-03-09', meanPct: 50, minPct: 45, maxPct: 55, dose: 0.2, daysPast: 0 },
    { day: '2026-03-10', meanPct: 85, minPct: 70, maxPct: 92, dose: 2, daysPast: 30 },
  ];
  const ribbon = (all: readonly RibbonDay[], events: Parameters<typeof ClimateRibbon>[0]['events'] = [], today = '2026-03-10') =>
    render(<ClimateRibbon days={all} span={10} today={today} highPct={60} events={events} />).container;

  const slider = () => screen.getByRole('slider', { name: '3 days of air' });

  it('is read by keyboard, day by day, from the last one back', () => {
    ribbon(days);
    expect(slider().getAttribute('aria-valuetext')).toBe(
      'Tue 10 Mar, so far: 70–92 %, on average 85 %; early warning 30 days past the point',
    );
    for (const key of ['ArrowLeft', 'ArrowLeft']) fireEvent.keyDown(slider(), { key });
    expect(slider().getAttribute('aria-valuetext')).toBe('Mon 9 Mar: 45–55 %, on average 50 %; early warning 20 % of the way');
    expect(screen.getByText(/^Mon 9 Mar: 45–55 %/)).toBeTruthy();
    fireEvent.blur(slider());
    expect(screen.queryByText(/^Mon 9 Mar/)).toBeNull();
  });

  it('says that nothing was read where nothing was', () => {
    ribbon([]);
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe('No readings');
  });

  it('draws a day as high as it was damp, in its zone, and one that is not over as an outline', () => {
    const columns = [...ribbon(days).querySelectorAll('rect')].slice(1);
    const heights = columns.map((c) => Number(c.getAttribute('height')));
    expect(heights).toEqual([...heights].sort((a, b) => a - b));
    expect(columns[1]!.getAttribute('class')).toBe('fill-glass-tint');
    expect(columns[2]!.getAttribute('class')).toBe('fill-transparent stroke-soft');
    cleanup();
    const yesterday = [...ribbon(days, [], '2026-03-11').querySelectorAll('rect')].at(-1)!;
    expect(yesterday.getAttribute('class')).toBe('fill-act');
    expect(air.zoneOf(85)).toBe('danger');
  });

  it('keeps the fungus line inside, however high the dose', () => {
    const ys = [...ribbon(days).querySelectorAll('path')]
      .at(-1)!
      .getAttribute('d')!
      .match(/[ML][\d.]+ ([\d.]+)/g)!;
    expect(Number(ys.at(-1)!.split(' ')[1])).toBe(0);
  });

  it('marks events under the day they happened on, and dates under the days', () => {
    ribbon(days, [{ at: '2026-03-09T10:00:00Z', mark: 'G', words: 'gel put in' }]);
    const mark = screen.getByText('gel put in').closest('li')!;
    expect(mark.textContent).toBe('Ggel put in');
    expect(mark.style.left).toBe('85%');
    const dates = screen.getByRole('list', { name: 'Dates' });
    expect([...dates.children].map((d) => d.textContent)).toEqual(['1 Mar', '4 Mar', '7 Mar', 'today']);
  });
});

describe('a swab’s strokes, to scale', () => {
  it.each([
    ['full-frame', 24, 1],
    ['full-frame', 16, 2],
    ['medium-44x33', 24, 2],
  ] as const)('on %s with %i mm show %i lanes that lie on the sensor', (format, widthMm, lanes) => {
    const strokes = sensor.strokesWith(format, widthMm)!;
    const { container } = render(<StrokesDrawing strokes={strokes} format={format} />);
    const drawn = [...container.querySelectorAll('rect')].slice(1);
    expect(drawn).toHaveLength(lanes);
    const { heightMm } = sensor.formats[format];
    for (const lane of drawn) {
      expect(Number(lane.getAttribute('y'))).toBeGreaterThanOrEqual(-1);
      expect(Number(lane.getAttribute('y')) + Number(lane.getAttribute('height'))).toBeLessThanOrEqual(heightMm + 1);
    }
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain(`A swab ${widthMm} mm wide`);
  });
});

describe('words for air', () => {
  it.each([
    [0.5, '30 min'],
    [6.04, '6.0 h'],
    [30, '30 h'],
    [72, '3.0 days'],
  ])('%f hours are “%s”', (hours, words) => expect(hoursWords(hours)).toBe(words));

  it.each([
    [0.2, '1 min'],
    [45, '45 min'],
    [125, '2 h 5 min'],
    [Infinity, 'for ever'],
  ])('%f minutes are “%s”', (minutes, words) => expect(minutesWords(minutes)).toBe(words));

  it('have a unit with each number', () => {
    expect(airWords({ temperatureC: 19.44, humidityPct: 47.6 })).toBe('19.4\u202f°C, 48\u202f%');
    expect(eventWords({ kind: 'gel-set', desiccant: 'rice', massG: 800, loadingPct: 8 })).toBe('800 g of rough rice put in, 8 % water');
    expect(eventWords({ kind: 'indicator', colour: 'spent' })).toBe('Indicator read: spent');
  });
});

describe('advice in words', () => {
  const gel: AdvisedChange = { id: 'more-gel', amount: 200, placeName: null, above: 0.12, below: 0, level: 'safe' };
  const office: AdvisedChange = { ...gel, id: 'other-room', amount: null, placeName: 'Office', above: 0.2, below: 0.05 };
  it('names what helps most for its trouble, then the others, and what each would leave', () => {
    expect(adviceWords({ by: 'past', verdict: 'helps', changes: [gel, office] })).toBe(
      'What helps most for its trouble: 200 g of dry gel (above its band 12 % of the time). Or: stand it in the air of: Office (above its band 20 %, below it 5 % of the time).',
    );
    expect(changeWords({ ...gel, above: 0 }, 'past')).toBe('200 g of dry gel (in its band all the time)');
  });
  it('promises nothing that was held against nothing', () => {
    expect(adviceWords({ by: 'usual', verdict: 'helps', changes: [gel, office] })).toBe(
      'By rule of thumb, held against nothing: what helps most for its trouble: 200 g of dry gel. Or: stand it in the air of: Office.',
    );
    expect(adviceWords({ by: 'usual', verdict: 'cannot-say' })).toMatch(/no advice before its past is explained/);
    for (const advice of [
      { by: 'usual', verdict: 'helps', changes: [gel, office] },
      { by: 'usual', verdict: 'nothing-needed' },
      { by: 'usual', verdict: 'nothing-helps', nearest: gel },
    ] as const)
      expect(adviceWords({ ...advice, changes: [gel] } as never)).not.toMatch(/\d %/);
  });
  it('never calls it advice that leaves the place outside of its band', () => {
    expect(adviceWords({ by: 'past', verdict: 'nothing-helps', nearest: { ...gel, above: 0.83 } })).toMatch(
      /^No single change is enough.*above its band 83 %/,
    );
    expect(adviceWords({ by: 'past', verdict: 'nothing-helps', nearest: null })).toMatch(/two together/);
    expect(adviceWords({ by: 'measured', verdict: 'nothing-needed' })).toMatch(/Nothing has to change: it was measured/);
    expect(adviceWords({ by: 'measured', verdict: 'wait' })).toMatch(/see whether it stays/);
  });
  it('has words for every change', () => {
    for (const id of storage.CHANGE_IDS) expect(changeWords({ ...gel, id, placeName: 'Office' }, 'past').length, id).toBeGreaterThan(20);
  });
});
