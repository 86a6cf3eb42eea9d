import { trip } from '@bright-keeper/core';
import { LENS_CHANGE_ANSWER, lensChangeBecause, lensChangeStep } from '@bright-keeper/words';
import { describe, expect, it } from 'vitest';
import { hourFrom, lengthsFrom, withHour } from './lensChangeView';

describe('what the address says of an hour', () => {
  it('is a fair one where it says nothing, or nothing that can be', () => {
    const fair = { wind: 'still', inTheAir: [], shelter: false, cover: false, film: false };
    expect(hourFrom(new URLSearchParams())).toEqual(fair);
    expect(hourFrom(new URLSearchParams('wind=howling&air=frogs,&has=luck&t=warm&rh=140&gear=&film=8mm'))).toEqual(fair);
  });
  it('takes an hour foretold over what was typed; sand and spray only the eye tells, and they stay', () => {
    const typed = new URLSearchParams('wind=still&air=blowing-sand,light-rain&has=cover&gear=-3');
    const told = { wind: 'raises-dust', inTheAir: ['heavy-rain'], temperatureC: 4, humidityPct: 88 } as const;
    expect(hourFrom(withHour(typed, { ...told, inTheAir: [...told.inTheAir] }))).toEqual({
      ...{ wind: 'raises-dust', inTheAir: ['blowing-sand', 'heavy-rain'], temperatureC: 4, humidityPct: 88 },
      ...{ gearC: -3, shelter: false, cover: true, film: false },
    });
    const mute = withHour(new URLSearchParams('wind=branches-move&air=dew'), { inTheAir: [], temperatureC: 9, humidityPct: 40 });
    expect(hourFrom(mute)).toMatchObject({ wind: 'branches-move', inTheAir: [] });
  });
  it('is as it says', () =>
    expect(hourFrom(new URLSearchParams('wind=raises-dust&air=spray,dew&has=cover&t=21,5&rh=60&gear=-3&film=yes'))).toEqual({
      wind: 'raises-dust',
      inTheAir: ['spray', 'dew'],
      temperatureC: 21.5,
      humidityPct: 60,
      gearC: -3,
      shelter: false,
      cover: true,
      film: true,
    }));
  it.each([
    ['24, 85 24', [24, 85, 24], []],
    ['24mm; 35', [35], ['24mm']],
    ['', [], []],
    ['1 6000 50', [50], ['1', '6000']],
    ['8.5', [8.5], []],
  ])('lengths typed as “%s”', (text, wanted, odd) => expect(lengthsFrom(text)).toEqual({ wanted, odd }));
});

describe('every answer is told in sentences', () => {
  it('each step, each reason and each answer ends as a sentence does, and none twice', () => {
    const said = new Set<string>(Object.values(LENS_CHANGE_ANSWER));
    for (const wind of trip.WIND_SIGNS)
      for (const cold of [{}, { temperatureC: 22, humidityPct: 70, gearC: 2 }, { temperatureC: -5 }])
        for (const shelter of [false, true])
          for (const cover of [false, true]) {
            for (const air of trip.IN_THE_AIR) {
              const advice = trip.lensChangeNow({ wind, inTheAir: [air], shelter, cover, film: false, ...cold });
              const lines = [...lensChangeBecause(advice), ...advice.steps.map(lensChangeStep)];
              expect(new Set(lines).size).toBe(lines.length);
              lines.forEach((line) => said.add(line));
            }
          }
    for (const line of said) expect(line).toMatch(/^[A-Z].*\.$/);
  });
});
