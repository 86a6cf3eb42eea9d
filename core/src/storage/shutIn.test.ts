import { describe, expect, it } from 'vitest';
import { absoluteHumidityGm3, dewOnGlass, saturatedGm3 } from '../air/index.js';
import { balanceHumidityPct } from './desiccants.js';
import { dewAfterMinutes } from './dewSoon.js';
import { DRIED_LOADING } from './gel.js';
import { afterHoursC, bagInSunC, CAR_ABOVE_K, GIVES_WAY, SHELTERS, SUNS, type Shelter, type Sun } from './inTheSun.js';
import { CLEAR_PCT, portFog } from './port.js';
import { bareTauMinutes, TYPICAL_THINGS, type TypicalThing } from './warmUp.js';

const TROPICS = { volumeL: 10, closedC: 28, closedPct: 75, waterC: 18 };

describe('a port taken into colder water', () => {
  it('fogs as the worked point of the science has it: 20.4 g/m³ closed in, 15.4 held, 0.08 g too much, about 0.3 g of gel', () => {
    const { fogs, vapourG, settlesG, gelG, coldPct } = portFog(TROPICS);
    expect(fogs).toBe(true);
    expect(vapourG).toBeCloseTo(0.204, 2);
    expect(settlesG).toBeCloseTo(0.204 - 0.154, 2);
    expect(coldPct).toBeCloseTo((100 * 20.4) / 15.4, -1);
    expect(gelG).toBeGreaterThan(0.2);
    expect(gelG).toBeLessThan(0.4);
  });

  it('has with that gel the very air it was reckoned for: what the gel took is gone from it, and it balances there', () => {
    for (const waterC of [4, 12, 18, 24])
      for (const closedPct of [40, 60, 80, 95]) {
        const { gelG, vapourG } = portFog({ ...TROPICS, waterC, closedPct });
        if (gelG === 0) continue;
        const leftG = (CLEAR_PCT / 100) * saturatedGm3(waterC) * 0.01;
        const loading = DRIED_LOADING['silica-gel'] + (vapourG - leftG) / gelG;
        expect(balanceHumidityPct('silica-gel', waterC, loading)).toBeCloseTo(CLEAR_PCT, 1);
      }
  });

  it('fogs no less in colder water, from damper air or closed in warmer, and never where the water is as warm', () => {
    const of = (more: object) => portFog({ ...TROPICS, ...more });
    for (let waterC = 2; waterC <= 30; waterC++) {
      expect(of({ waterC }).gelG).toBeLessThanOrEqual(of({ waterC: waterC - 1 }).gelG + 1e-9);
      expect(of({ closedPct: 40 + waterC }).coldPct).toBeLessThan(of({ closedPct: 41 + waterC }).coldPct);
      expect(of({ closedC: waterC }).coldPct).toBeLessThan(of({ closedC: waterC + 1 }).coldPct);
    }
    expect(of({ closedC: 18 }).fogs).toBe(false);
    expect(of({ closedC: 18, closedPct: 60 })).toMatchObject({ gelG: 0, settlesG: 0 });
    expect(of({ closedC: 18 }).coldPct).toBeCloseTo(75, 9);
    expect(of({ volumeL: 20 }).gelG).toBeCloseTo(2 * of({}).gelG, 12);
    expect(() => of({ volumeL: 0 })).toThrow(/volumeL/);
  });

  it('holds what the air holds: the vapour of the volume that was closed in', () => {
    expect(portFog(TROPICS).vapourG).toBeCloseTo(0.01 * absoluteHumidityGm3(28, 75), 12);
  });
});

describe('a bag in the sun', () => {
  it('is 20 to 25 K above the air when it is black and calm (the order of magnitude of the science)', () => {
    const above = bagInSunC(30, 'black-bag', 'clear', 0) - 30;
    expect(above).toBeGreaterThanOrEqual(20);
    expect(above).toBeLessThanOrEqual(25);
    expect(CAR_ABOVE_K.clear).toBeGreaterThanOrEqual(20);
    expect(CAR_ABOVE_K.clear).toBeLessThanOrEqual(30);
  });

  it('is no warmer with more wind, less sun or a lighter bag, and never colder than the air', () => {
    for (const shelter of Object.keys(SHELTERS) as Shelter[])
      for (const sun of Object.keys(SUNS) as Sun[])
        for (let wind = 0; wind < 10; wind++) {
          const here = bagInSunC(25, shelter, sun, wind);
          expect(here).toBeGreaterThanOrEqual(25);
          expect(bagInSunC(25, shelter, sun, wind + 1)).toBeLessThanOrEqual(here);
          expect(bagInSunC(25, 'light-bag', sun, wind)).toBeLessThan(bagInSunC(25, 'black-bag', sun, wind));
          expect(bagInSunC(25, shelter, 'hazy', wind)).toBeLessThanOrEqual(bagInSunC(25, shelter, 'clear', wind));
        }
    expect(() => bagInSunC(20, 'shade', 'clear', -1)).toThrow(/windMs/);
  });

  it('warms what lies in it, the small things first, and never beyond itself', () => {
    for (const thing of Object.keys(TYPICAL_THINGS) as TypicalThing[]) {
      expect(afterHoursC(20, 50, 0, thing)).toBe(20);
      for (let hours = 1; hours < 12; hours++) {
        const now = afterHoursC(20, 50, hours, thing);
        expect(now).toBeGreaterThan(afterHoursC(20, 50, hours - 1, thing));
        expect(now).toBeLessThan(50);
      }
    }
    expect(afterHoursC(20, 50, 1, 'small-lens')).toBeGreaterThan(afterHoursC(20, 50, 1, 'long-lens'));
  });

  it('names what gives way in the order in which it does', () => {
    const from = GIVES_WAY.map(({ fromC }) => fromC);
    expect(from).toEqual([...from].sort((a, b) => a - b));
  });
});

describe('dew on a front that comes from a room', () => {
  const sky = dewOnGlass({ airC: 10, humidityPct: 80, windMs: 0, cloud: 0, hoodRatio: 0 });

  it('comes when the glass has cooled so far: put back into the cooling law, it stands at the dew point', () => {
    for (const fromC of [8, 15, 22]) {
      const minutes = dewAfterMinutes(fromC, sky, 'mid-lens')!;
      const then = sky.glassC + (fromC - sky.glassC) * Math.exp(-minutes / bareTauMinutes('mid-lens'));
      expect(then).toBeCloseTo(sky.dewPointC, 9);
    }
  });

  it('comes later from a warmer room and on a larger thing; at once on what is cold, and never where none settles', () => {
    expect(dewAfterMinutes(25, sky, 'mid-lens')!).toBeGreaterThan(dewAfterMinutes(15, sky, 'mid-lens')!);
    expect(dewAfterMinutes(20, sky, 'telescope')!).toBeGreaterThan(dewAfterMinutes(20, sky, 'small-lens')!);
    expect(dewAfterMinutes(2, sky, 'mid-lens')).toBe(0);
    expect(dewAfterMinutes(20, dewOnGlass({ airC: 10, humidityPct: 30, windMs: 5, cloud: 1, hoodRatio: 2.5 }), 'mid-lens')).toBeNull();
  });
});
