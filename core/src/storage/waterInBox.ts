import { saturationPressureHPa, vapourGm3 } from '../air/index.js';
import type { Box } from './box.js';
import { Isotherm } from './desiccants.js';

export const LITRES_A_CUBIC_METRE = 1000;

/**
 * A Newton step no longer than this, % RH, has arrived: what is left is the square of it, times half of how sharply the
 * isotherm bends (0.1 a per cent at most), which is below 1e-4 % RH. The water itself is kept by what flowed, so
 * nothing of it adds up.
 */
const ARRIVED_PCT = 0.03;

/** The water in a box at one temperature, by the vapour of its air. One is kept for many steps: it is warmed, then asked. */
export class WaterInBox {
  /** What a cubic metre of its air can hold, g. */
  saturated = 0;
  /** All the water at the vapour content last read, g, and how steeply it rises there. */
  total = 0;
  slope = 0;
  readonly #volumeM3: number;
  readonly #lining: number;
  readonly #massG: number;
  readonly #isotherm: Isotherm | null;
  #perGram = 0;
  /** How strongly a gram of vapour acts on what holds water, against other temperatures. */
  pull = 0;

  constructor({ volumeL, bufferGPerPct = 0, desiccant }: Pick<Box, 'volumeL' | 'bufferGPerPct' | 'desiccant'>) {
    this.#volumeM3 = volumeL / LITRES_A_CUBIC_METRE;
    this.#lining = bufferGPerPct;
    this.#massG = desiccant?.massG ?? 0;
    this.#isotherm = desiccant && desiccant.massG > 0 ? new Isotherm(desiccant.kind) : null;
  }

  warmTo(temperatureC: number, saturationHPa = saturationPressureHPa(temperatureC)): this {
    this.saturated = vapourGm3(temperatureC, saturationHPa);
    this.#perGram = 100 / this.saturated;
    this.#isotherm?.warmTo(temperatureC, saturationHPa);
    this.pull = this.#perGram * (this.#isotherm?.pull ?? 1);
    return this;
  }

  /** The humidity of its air with so much vapour, % RH. */
  pctOf(vapour: number): number {
    return Math.min(100, vapour * this.#perGram);
  }

  /** What a gram of its desiccant holds beside air of such a humidity, g. */
  heldAt(humidityPct: number): number {
    this.#isotherm?.ask(humidityPct);
    return this.#isotherm?.held ?? 0;
  }

  /** Beyond saturation nothing takes up more: what comes then is in the air. */
  read(vapour: number): this {
    const pct = this.pctOf(vapour);
    this.total = this.#volumeM3 * vapour + this.#lining * pct;
    let uptake = this.#lining;
    if (this.#isotherm) {
      this.#isotherm.ask(pct);
      this.total += this.#massG * this.#isotherm.held;
      uptake += this.#massG * this.#isotherm.slope;
    }
    this.slope = this.#volumeM3 + (pct < 100 ? uptake * this.#perGram : 0);
    return this;
  }

  /**
   * The vapour content at which the water in the box, less what flows in during a step, makes up `total`:
   * `water(c) - flow (room - c) = total`. It rises with c, so Newton steps are kept inside a shrinking bracket.
   */
  vapourAt(total: number, roomGm3: number, flow: number, guess: number): number {
    let low = 0;
    let high = Math.max(this.saturated, roomGm3, guess) * 1.001;
    let c = Math.min(Math.max(guess, 0), high);
    for (let i = 0; i < 60; i++) {
      this.read(c);
      const excess = this.total - flow * (roomGm3 - c) - total;
      if (excess > 0) high = c;
      else low = c;
      const next = c - excess / (this.slope + flow);
      const arrived = Math.abs(next - c) * this.#perGram < ARRIVED_PCT;
      if (next > low && next < high) c = next;
      // Beyond saturation the air holds no more: the bracket ends there.
      else if (!arrived) c = (low + high) / 2;
      if (arrived) return c;
      if (high - low < 1e-12 * (1 + high)) return c;
    }
    return c;
  }
}
