import type { Alert } from '@bright-keeper/contract';
import { storage } from '@bright-keeper/core';
import { alertWords } from '@bright-keeper/words';
import { describe, expect, it } from 'vitest';
import { alertRoute } from './AlertList';
import { stretchWords } from './chartWords';
import { asToday, daysOf, playableIn, whatIfFrom } from './whatIfState';

const alert = (facts: storage.AlertFacts): Alert => ({
  id: '1',
  tone: 'attention',
  placeId: 'p',
  placeName: 'Oak cupboard',
  since: null,
  ...facts,
});

/** The action is called the same wherever it is offered, and leads to where it is done. */
describe('where the one action of an alert leads', () => {
  it.each<[storage.AlertFacts, string, string]>([
    [{ cause: 'fungus', threat: 'rising', because: null }, 'What would help?', '/storage/p/what-if'],
    [{ cause: 'fungus', threat: 'thin-log', because: null }, 'Read it more often', '/hygrometers'],
    [{ cause: 'damp', highPct: 60 }, 'What would help?', '/storage/p/what-if'],
    [{ cause: 'too-dry' }, 'Open the place', '/storage/p'],
    [{ cause: 'gel-spent', daysLeft: 2, kind: 'silica-gel', massG: 100, left: 0.1, knownFrom: 'reckoned' }, 'Dry it again', '/storage/p'],
    [{ cause: 'too-closed', itemId: 'i', names: ['Lens'] }, 'Take it out', '/gear/i'],
    [{ cause: 'silent', deviceId: 'd', name: 'Dial' }, 'See the hygrometer', '/hygrometers?device=d'],
  ])('%j: “%s” at %s', (facts, action, route) => {
    expect(alertWords(facts).action).toBe(action);
    expect(alertRoute(alert(facts))).toBe(route);
  });
});

describe('a stretch of a chart in words', () => {
  it('tells when, the air with its extremes, and both models', () => {
    const words = stretchWords({
      at: Date.parse('2026-03-10T09:00:00Z'),
      humidityPct: { min: 41.2, mean: 47.6, max: 55 },
      temperatureC: { min: 17, mean: 18.44, max: 19 },
      dewPointC: 7.1,
      index: 0.12,
      dose: 0.3,
      daysPast: 0,
    });
    expect(words).toMatch(
      /^10 Mar 2026, \d\d:\d\d: 48 % \(41–55\), 18\.4 °C, dew point 7\.1 °C; mould index 0\.1; early warning 30 % of the way$/,
    );
  });
});

describe('what one plays with', () => {
  const start = {
    box: {
      volumeL: 50,
      airChangesPerDay: 2,
      openingsPerWeek: 3,
      targetPct: 45,
      desiccant: { kind: 'silica-gel', massG: 150, loadingGPerG: 0.1 },
    },
    setPointPct: null,
    lowPct: 35,
    highPct: 50,
    room: [
      { at: '2026-03-01T00:00:00Z', temperatureC: 20, humidityPct: 70 },
      { at: '2026-03-11T00:00:00Z', temperatureC: 20, humidityPct: 70 },
    ],
    roomName: 'the room',
    exposure: { index: 0, dose: 0, daysPast: 0 },
    measured: null,
  } as unknown as Parameters<typeof asToday>[0];
  const from = (query: string) => whatIfFrom(new URLSearchParams(query), start);

  it('is today as long as nothing is changed', () => expect(from('')).toEqual(asToday(start)));
  it.each([
    ['massG=300', { massG: 300 }],
    ['massG=99999', { massG: 1000 }],
    ['massG=much', { massG: 150 }],
    ['openingsPerWeek=-4', { openingsPerWeek: 0 }],
    ['kind=rice', { kind: 'rice' }],
    ['kind=sawdust', { kind: 'silica-gel' }],
    ['setPointPct=40', { setPointPct: null }],
  ] as const)('%s is read as %j', (query, what) => expect(from(query)).toMatchObject(what));

  it('takes gel for granted where grams are put into an empty box', () => {
    const { desiccant: _, ...bare } = start.box;
    const empty = { ...start, box: bare };
    expect(whatIfFrom(new URLSearchParams('massG=100'), empty)).toMatchObject({ kind: 'silica-gel', massG: 100 });
    expect(whatIfFrom(new URLSearchParams(''), empty)).toMatchObject({ kind: 'none', massG: 0 });
  });

  it('offers a box its gel and openings, and a cabinet its set-point and power', () => {
    expect(playableIn({ setPointPct: null })).not.toContain('setPointPct');
    expect(playableIn({ setPointPct: null })).toContain('massG');
    expect(playableIn({ setPointPct: 42 })).toEqual(expect.arrayContaining(['setPointPct', 'powerCutDays']));
    expect(playableIn({ setPointPct: 42 })).not.toContain('massG');
  });

  it('plays through the days there are', () => {
    expect(daysOf(start)).toBe(10);
    expect(daysOf({ room: [] })).toBe(0);
  });
});
