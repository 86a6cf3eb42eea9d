import { trip } from '@bright-keeper/core';

/** Made-up bags of 120 things for 40 needs, within weight, room and price: packed to the proof. Aim: under 2 s. */
const BAGS = 10;
const [THINGS, NEEDS] = [120, 40];

function made(seed: number): trip.KitQuestion {
  let state = Math.imul(seed, 7919) >>> 0;
  const roll = (): number => (state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0) / 2 ** 32;
  return {
    needs: Array.from({ length: NEEDS }, (_, n) => ({ id: `n${n}`, likelihood: 0.05 + 0.9 * roll(), loss: 10 + 300 * roll() })),
    items: Array.from({ length: THINGS }, (_, k) => ({
      id: `k${k}`,
      ...{ massG: 10 + 200 * roll(), volumeL: 0.02 + 0.4 * roll(), price: 1 + 40 * roll() },
      covers: Object.fromEntries(
        Array.from({ length: 1 + Math.floor(3 * roll()) }, () => [`n${Math.floor(NEEDS * roll())}`, 0.2 + 0.75 * roll()]),
      ),
    })),
    limits: { massG: 1500, volumeL: 4, price: 250 },
  };
}

const times = Array.from({ length: BAGS }, (_, seed) => {
  const question = made(seed + 1);
  const began = performance.now();
  const { proven } = trip.packKit(question);
  return { ms: performance.now() - began, proven };
});
const slowest = Math.max(...times.map(({ ms }) => ms));
console.log(
  `${BAGS} bags of ${THINGS} things for ${NEEDS} needs: ${times.filter(({ proven }) => proven).length} proven, the slowest in ${Math.round(slowest)} ms (aim: all, under 2000)`,
);
