import { describe, expect, it } from 'vitest';
import { dewPointC } from '../air/index.js';
import { HAPPENINGS, planCleaning, type Conditions } from '../care/index.js';
import { IN_THE_AIR, LENS_CHANGE_ANSWERS, lensChangeNow, WIND_SIGNS, windSign, type HourOutside, type InTheAir } from './lensChange.js';

const FAIR: HourOutside = { wind: 'still', inTheAir: [], shelter: false, cover: false, film: false };
const rank = (hour: HourOutside): number => LENS_CHANGE_ANSWERS.indexOf(lensChangeNow(hour).answer);

/** Every hour there is: wind, what is in the air, help at hand, cold gear or not. */
const HOURS: HourOutside[] = WIND_SIGNS.flatMap((wind) =>
  Array.from({ length: 2 ** IN_THE_AIR.length }, (_, bits) => IN_THE_AIR.filter((_a, i) => bits & (1 << i))).flatMap((inTheAir) =>
    [false, true].flatMap((shelter) =>
      [false, true].flatMap((cover) =>
        [false, true].flatMap((film) => [
          { wind, inTheAir, shelter, cover, film },
          { wind, inTheAir, shelter, cover, film, temperatureC: 24, humidityPct: 70, gearC: 5 },
          { wind, inTheAir, shelter, cover, film, temperatureC: -8, humidityPct: 60, gearC: -8 },
        ]),
      ),
    ),
  ),
);

describe('what a wind is called (Beaufort over land, WMO-No. 8, Table 5.1)', () => {
  it.each([
    [0, 'still'],
    [1.5, 'still'],
    [1.6, 'leaves-rustle'],
    [5.4, 'leaves-rustle'],
    [5.5, 'raises-dust'],
    [10.7, 'raises-dust'],
    [10.8, 'branches-move'],
    [30, 'branches-move'],
  ] as const)('%d m/s: %s', (windMs, sign) => expect(windSign(windMs)).toBe(sign));
  it('none below nothing', () => expect(() => windSign(-1)).toThrow(RangeError));
});

describe('may a lens be changed now (common practice)', () => {
  it.each<[string, Partial<HourOutside>, string]>([
    ['a fair hour', {}, 'go-ahead'],
    ['leaves rustle', { wind: 'leaves-rustle' }, 'go-ahead'],
    ['a car beside, however fair', { shelter: true }, 'shelter'],
    ['dust flies, a rain cover', { wind: 'raises-dust', cover: true }, 'under-cover'],
    ['dust flies, nothing', { wind: 'raises-dust' }, 'wait'],
    ['drizzle, a rain cover', { inTheAir: ['light-rain'], cover: true }, 'under-cover'],
    ['blowing sand, a rain cover', { inTheAir: ['blowing-sand'], cover: true }, 'wait'],
    ['blowing sand, a car', { inTheAir: ['blowing-sand'], shelter: true }, 'shelter'],
    ['spray over the rail, a rain cover', { inTheAir: ['spray'], cover: true }, 'wait'],
    ['out of the cold into a damp warm hall', { temperatureC: 22, humidityPct: 60, gearC: 4, shelter: true }, 'wait'],
    ['out of the cold into dry air', { temperatureC: 22, humidityPct: 20, gearC: 4, shelter: true }, 'shelter'],
  ])('%s: %s', (_, hour, answer) => expect(lensChangeNow({ ...FAIR, ...hour }).answer).toBe(answer));

  it('more in the air, or more wind, is never laxer', () => {
    for (const hour of HOURS) {
      for (const more of IN_THE_AIR) expect(rank({ ...hour, inTheAir: [...hour.inTheAir, more] })).toBeGreaterThanOrEqual(rank(hour));
      const harder = WIND_SIGNS[WIND_SIGNS.indexOf(hour.wind) + 1];
      if (harder) expect(rank({ ...hour, wind: harder })).toBeGreaterThanOrEqual(rank(hour));
    }
  });

  it('help at hand never makes it wait, and nothing helps what fogs', () => {
    for (const hour of HOURS) {
      if (lensChangeNow(hour).answer !== 'wait') expect(lensChangeNow({ ...hour, shelter: true, cover: true }).answer).not.toBe('wait');
      if (lensChangeNow(hour).because.includes('fogs')) expect(lensChangeNow({ ...hour, shelter: true, cover: true }).answer).toBe('wait');
    }
  });

  it('is of one mind with the plan: where that touches nothing outdoors, nothing is opened outdoors', () => {
    const touched = (conditions: Conditions) =>
      planCleaning({
        item: { kind: 'lens', traits: { coating: 'multi' } },
        findings: [{ surface: 'front-glass', soil: 'dust', severity: 3 }],
        place: 'field',
        conditions,
      }).steps.some(({ method }) => method !== 'leave');
    expect(touched({})).toBe(true);
    const said: [InTheAir, Conditions][] = [
      ['blowing-sand', { blowingSand: true }],
      ['heavy-rain', { rain: true }],
    ];
    for (const [inTheAir, conditions] of said) {
      expect(touched(conditions)).toBe(false);
      for (const cover of [false, true]) expect(lensChangeNow({ ...FAIR, inTheAir: [inTheAir], cover }).answer).toBe('wait');
    }
    expect(HAPPENINGS['lens-change'].never).toMatch(/blowing sand or rain/);
  });

  it('the body stands open at two steps at most, the next lens at one, nothing before the mount faces down and nothing at the end', () => {
    for (const hour of HOURS) {
      const { answer, steps } = lensChangeNow(hour);
      if (answer === 'wait') {
        expect(steps).toEqual([]);
        continue;
      }
      const open = (what: 'body' | 'off' | 'on') => steps.filter((s) => s.open.includes(what)).length;
      expect([open('body'), open('on')]).toEqual([2, 1]);
      const down = steps.findIndex((s) => s.id === 'mount-down');
      expect(steps.slice(0, down + 1).every((s) => s.open.length === 0)).toBe(true);
      expect(steps.at(-1)!.open.filter((o) => o !== 'off')).toEqual([]);
      expect(steps.some((s) => s.id === 'switch-off')).toBe(!hour.film);
    }
  });

  it('fogs exactly at the dew point', () => {
    const dew = dewPointC(22, 60);
    const at = (gearC: number) => lensChangeNow({ ...FAIR, temperatureC: 22, humidityPct: 60, gearC }).answer;
    expect([at(dew), at(dew + 0.1)]).toEqual(['wait', 'go-ahead']);
  });
});
