import { absoluteHumidityGm3, humidityPctFrom, type Reading, saturatedGm3 } from '../../air/index.js';
import { gauss, seeded } from '../../testing/logs.js';

/** A made-up place whose values the fit never sees. Rates a day, times in hours. */
export type HiddenPlace = {
  airChangesPerDay: number;
  vapourExcessGm3: number;
  bufferPerDay: number;
  bufferDays: number;
  warmerC: number;
  lagH: number;
  /** Held at this where it has current. */
  setPointPct?: number;
};
export type Home = { outside: Reading[]; inside: Reading[] };

const START = Date.parse('2026-01-01T00:00:00Z');
const STEP_H = 1 / 20;
const MS_A_STEP = STEP_H * 3_600_000;

/** Weather-like wandering: a sum of slow walks with a daily swing, from one seed. */
function wandering(random: () => number) {
  const phases = Array.from({ length: 6 }, () => 2 * Math.PI * random());
  let slow = 0;
  let vapour = 0;
  return (h: number): { t: number; c: number } => {
    // Two walks that are drawn back to their middle: fronts of some days.
    slow += (-slow / 90 + 0.09 * gauss(random)) * STEP_H * 6;
    vapour += (-vapour / 70 + 0.1 * gauss(random)) * STEP_H * 6;
    const t = 19 + 1.6 * Math.sin((2 * Math.PI * h) / 24 + phases[0]!) + 2 * Math.sin((2 * Math.PI * h) / 2000 + phases[1]!) + slow;
    const c = 9.5 + 1.3 * Math.sin((2 * Math.PI * h) / 1700 + phases[2]!) + 0.4 * Math.sin((2 * Math.PI * h) / 24 + phases[3]!) + vapour;
    return { t, c: Math.min(0.95 * saturatedGm3(t), Math.max(3, c)) };
  };
}

/**
 * The two logs of a made-up place: the same balance in steps of three minutes (explicit Euler, nothing shared with the
 * model that is tested), read every half hour in steps of 0.1 degC and 0.1 % RH with half a per cent of noise.
 */
export function homeOf(hidden: HiddenPlace, days: number, seed: number): Home {
  const random = seeded(seed);
  const room = wandering(random);
  const [n, kb, tb] = [hidden.airChangesPerDay / 24, hidden.bufferPerDay / 24, hidden.bufferDays * 24];
  const outside: Reading[] = [];
  const inside: Reading[] = [];
  let [slowC, c, phi] = [NaN, NaN, NaN];
  const read = (t: number, pct: number, at: string): Reading => ({
    at,
    temperatureC: Math.round(10 * (t + 0.05 * gauss(random))) / 10,
    humidityPct: Math.round(10 * Math.min(99.9, Math.max(1, pct + 0.5 * gauss(random)))) / 10,
  });
  for (let step = 0; step <= (days * 24) / STEP_H; step++) {
    const around = room(step * STEP_H);
    if (step === 0) {
      slowC = around.t;
      c = around.c;
      phi = c / saturatedGm3(slowC + hidden.warmerC);
    }
    const t = slowC + hidden.warmerC;
    const held = (hidden.setPointPct ?? 100) / 100;
    c = Math.min(c, held * saturatedGm3(t));
    if (step % 10 === 0) {
      const at = new Date(START + step * MS_A_STEP).toISOString();
      outside.push(read(around.t, humidityPctFrom(around.t, around.c), at));
      inside.push(read(t, humidityPctFrom(t, c), at));
    }
    const saturated = saturatedGm3(t);
    const flow = n * (around.c + hidden.vapourExcessGm3 - c) + kb * (saturated * phi - c);
    phi += (STEP_H * (c / saturated - phi)) / tb;
    c += STEP_H * flow;
    slowC += (STEP_H * (around.t - slowC)) / hidden.lagH;
  }
  return { outside, inside };
}

/** A place drawn at random from what cupboards, cases and rooms are. */
export function hiddenPlace(random: () => number): HiddenPlace {
  const between = (low: number, high: number) => low + (high - low) * random();
  const spread = (low: number, high: number) => low * (high / low) ** random();
  const airChangesPerDay = spread(0.4, 12);
  return {
    airChangesPerDay,
    vapourExcessGm3: between(-0.5, 2),
    bufferPerDay: airChangesPerDay * spread(0.7, 5),
    bufferDays: spread(1, 12),
    warmerC: between(-3, 1.5),
    lagH: spread(2, 40),
  };
}

export const vapourOf = (r: Reading): number => absoluteHumidityGm3(r.temperatureC, r.humidityPct);
