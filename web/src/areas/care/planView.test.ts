import type { Drawer, ItemPage, Supply } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { describe, expect, it } from 'vitest';
import { airReading, conditionsFrom } from './planChoices';
import { airDecides, requestFrom, selectedIn, surfacesOf, type PlanOf } from './planView';

const item = {
  id: '1',
  name: 'Corvane 35/2',
  kind: 'lens',
  traits: {},
  noted: [],
  surfaces: [
    { surface: 'front-glass', verdict: 'clean', findings: [{ soil: 'fingerprint', severity: 3 }] },
    { surface: 'barrel', verdict: 'clean', findings: [{ soil: 'dust', severity: 2 }] },
  ],
} as unknown as ItemPage;
const noDrawer: Drawer = { supplies: [], isAll: false, along: null };
const household: PlanOf = { item, mySchools: care.DEFAULT_SCHOOLS, drawer: noDrawer, sensorRehearsed: false };
const request = (query: string, more: Partial<PlanOf> = {}) => requestFrom(new URLSearchParams(query), { ...household, ...more });

describe('the request of a plan page', () => {
  it('holds what the last look found, where it was found', () => {
    expect(request('').findings).toEqual([
      { surface: 'front-glass', soil: 'fingerprint', severity: 3 },
      { surface: 'barrel', soil: 'dust', severity: 2 },
    ]);
  });

  it('assumes everything at hand without a drawer, and keeps to one that is all there is', () => {
    const supply = { id: '2', thing: 'lens-fluid', role: 'any', state: 'clean', stock: null, label: '' } as unknown as Supply;
    expect(request('').onHand).toBeUndefined();
    expect(request('', { drawer: { supplies: [supply], isAll: true, along: null } })).toMatchObject({ moreOnHand: false });
    expect(request('', { drawer: { supplies: [supply], isAll: false, along: null } })).toMatchObject({ moreOnHand: true });
  });

  it('follows the school chosen in the address for this plan alone', () => {
    expect(request('school.breath=never').schools).toMatchObject({ breath: 'never' });
    expect(request('school.breath=loudly').schools).toEqual(care.DEFAULT_SCHOOLS);
  });
});

describe('what the page shows of a plan', () => {
  const plan = care.planCleaning(request(''));
  const surfaces = surfacesOf(plan);

  it('goes through the surfaces in working order', () => expect(surfaces).toEqual(['barrel', 'front-glass']));

  it.each([
    ['front-glass', 'front-glass'],
    ['rear-glass', 'barrel'],
    [null, 'barrel'],
  ] as const)('asked for %s it shows %s', (asked, shown) => expect(selectedIn(plan, surfaces, asked)).toBe(shown));

  it('shows no surface where nothing was found', () => {
    const nothing = care.planCleaning({ ...request(''), findings: [] });
    expect(selectedIn(nothing, surfacesOf(nothing), null)).toBeNull();
  });

  it('asks for the air only outdoors, and only where fluid is in question', () => {
    expect(airDecides(plan, 'home')).toBe(false);
    expect(airDecides(care.planCleaning(request('place=field')), 'field')).toBe(true);
    const dust = { ...request('place=field'), findings: [{ surface: 'barrel', soil: 'dust', severity: 2 }] as care.Finding[] };
    expect(airDecides(care.planCleaning(dust), 'field')).toBe(false);
  });
});

describe('the air outdoors, as it is typed', () => {
  it.each([
    ['-4.5', 'temperatureC', { value: -4.5 }],
    ['-4,5', 'temperatureC', { value: -4.5 }],
    ['', 'temperatureC', {}],
    [null, 'humidityPct', {}],
    ['cold', 'temperatureC', { fault: 'Write a number, like 4.5.' }],
    ['140', 'humidityPct', { fault: 'Between 0 and 100.' }],
    ['-80', 'temperatureC', { fault: 'Between -60 and 70.' }],
  ] as const)('%j as %s is %j', (text, key, reading) => expect(airReading(text, key)).toEqual(reading));

  it('reaches the plan where it can be, and is said beside its field where it cannot', () => {
    expect(conditionsFrom(new URLSearchParams('place=field&temperatureC=-3,5&humidityPct=140'))).toMatchObject({ temperatureC: -3.5 });
    expect(conditionsFrom(new URLSearchParams('place=field&humidityPct=140'))).not.toHaveProperty('humidityPct');
  });
});
