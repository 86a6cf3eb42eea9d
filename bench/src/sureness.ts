import { sensor } from '@bright-keeper/core';
import { fibreDepth, photograph } from '../../core/src/sensor/dust/testing/camera.js';
import { asJpeg, greyOfJpeg } from '../../core/src/sensor/dust/testing/jpeg.js';
import { render, sequence } from '../../core/src/sensor/dust/testing/render.js';
import { SCENES } from '../../core/src/sensor/dust/testing/scenes.js';
import { score } from '../../core/src/sensor/dust/testing/score.js';
import { plainShot, smallShadows, smallShadowShot, someFibres, told } from '../../core/src/sensor/dust/testing/shots.js';

/**
 * How far what is said of a frame can be trusted: small sharp shadows in JPEGs of quality 85 by two renderers, fibres, frames
 * without a speck, surfaces that are not plain, and the curve of how sure against how often it is so.
 *
 * @param argv seeds of small shadows for each renderer and of fibres, clean frames, seeds of each scene.
 */
const [SHADOWS = 40, CLEAN = 500, SCENE_SEEDS = 4] = process.argv.slice(2).map(Number);
const SMALL = [[3000, 2000], [4240, 2824]] as const; // prettier-ignore
const CLEAN_SIZES = [[3000, 2000], [3000, 2000], [4240, 2824], [6000, 4000], [3000, 2000], [4240, 2824], [3000, 2000], [8256, 5504]] as const; // prettier-ignore
const COUNT = 150;

type Called = { confidence: number; isSpeck: boolean };
const called: Called[] = [];
const mean = (values: readonly number[]): string => (values.reduce((sum, v) => sum + v, 0) / values.length).toFixed(3);

async function small(name: string, of: (seed: number, width: number, height: number) => Promise<sensor.Frame>): Promise<void> {
  const [recall3, recall2, precision]: [number[], number[], number[]] = [[], [], []];
  for (let seed = 1; seed <= SHADOWS; seed += 1) {
    const [width, height] = SMALL[seed % 2]!;
    const { spots } = sensor.detectDust(await of(seed, width, height), told(width, 2.4));
    const found = score(smallShadows(seed, width, height, COUNT), spots, width, height);
    recall3.push(found.recall3);
    recall2.push(found.recall2);
    precision.push(found.precision);
    called.push(
      ...spots.filter((s) => s.kind === 'dust').map((s) => ({ confidence: s.confidence, isSpeck: !found.falseOnes.includes(s) })),
    );
  }
  console.log(
    `${name}, ${SHADOWS} seeds: recall ${mean(recall3)} (≥ 3 %) ${mean(recall2)} (≥ 2 %), precision ${mean(precision)}; aims 0.90, 0.80, 0.95`,
  );
}

const FIBRES = 25;
async function fibres(): Promise<void> {
  let [deep, found, sure, none] = [0, 0, 0, 0];
  for (let seed = 1; seed <= SHADOWS; seed += 1) {
    const [width, height] = SMALL[seed % 2]!;
    const laid = someFibres(seed, width, height, FIBRES);
    const { quality, ...shot } = plainShot(seed + 300, width, height);
    const { spots } = sensor.detectDust(await greyOfJpeg(photograph({ ...shot, fibres: laid }), quality), told(width, 2.4));
    const hairs = spots.filter((s) => s.kind === 'hair');
    const fibreAt = ({ x, y }: sensor.Spot) =>
      laid.find(({ points }) => points.some(([a, b]) => Math.hypot(a - x * width, b - y * height) < 0.015 * width));
    const plain = laid.filter((f) => fibreDepth(f) >= 0.05);
    const [any, surely] = [new Set(hairs.map(fibreAt)), new Set(hairs.filter(sensor.isSure).map(fibreAt))];
    deep += plain.length;
    found += plain.filter((f) => any.has(f)).length;
    sure += plain.filter((f) => surely.has(f)).length;
    none += hairs.filter((h) => sensor.isSure(h) && !fibreAt(h)).length;
  }
  console.log(
    `${SHADOWS} frames of ${FIBRES} fibres: of those 5 % deep or more ${(found / deep).toFixed(2)} found, ${(sure / deep).toFixed(2)} surely; ${none} called sure that are none`,
  );
}

async function clean(): Promise<void> {
  let [sure, unsure, megapixels] = [0, 0, 0];
  for (let seed = 1; seed <= CLEAN; seed += 1) {
    const [width, height] = CLEAN_SIZES[seed % CLEAN_SIZES.length]!;
    const { quality, ...shot } = plainShot(seed, width, height);
    const frame = await greyOfJpeg(photograph(shot), quality);
    // One in three does not say at which aperture it was taken.
    const { spots, fitness } = sensor.detectDust(frame, seed % 3 === 0 ? {} : told(width, 2.4));
    const these = spots.filter(sensor.isSure);
    if (these.length > 0 || fitness.textured)
      console.log(`clean seed ${seed}: ${these.length} sure${fitness.textured ? ', taken for not plain' : ''}`);
    sure += these.length;
    unsure += spots.length - these.length;
    megapixels += (width * height) / 1e6;
    called.push(...spots.filter((s) => s.kind === 'dust').map((s) => ({ confidence: s.confidence, isSpeck: false })));
  }
  console.log(`${CLEAN} clean frames, ${megapixels.toFixed(0)} MP: ${sure} called sure (aim: at most one), ${unsure} unsure`);
}

async function scenes(): Promise<void> {
  let [all, dusty] = [0, 0];
  for (const [name, of] of Object.entries(SCENES)) {
    for (let seed = 1; seed <= SCENE_SEEDS; seed += 1) {
      const [width, height] = SMALL[0];
      const frame = await greyOfJpeg(photograph({ ...plainShot(seed + 900, width, height), light: 0.45, scene: of(seed * 13) }), 90);
      const { spots, fitness } = sensor.detectDust(frame, told(width, 2.4));
      const unfit = sensor.unfitFor(fitness);
      const { advice } = sensor.judgeSensor(
        spots.map((s) => ({ ...s, survived: [] })),
        { measuredAt: 16, workingAt: 16, wet: 'self', unfit },
      );
      all += 1;
      if (advice === 'leave' || advice === 'look-again') continue;
      dusty += 1;
      console.log(`${name}, seed ${seed}: taken for a dusty sensor, ${spots.filter(sensor.isSure).length} sure`);
    }
  }
  console.log(`${all} frames of what is not plain: ${dusty} taken for a dusty sensor (aim: none)`);
}

function curve(): void {
  let error = 0;
  for (let low = 0.5; low < 1; low += 0.1) {
    const these = called.filter((c) => c.confidence >= low && c.confidence < (low > 0.85 ? 2 : low + 0.1));
    if (these.length === 0) continue;
    const [said, so] = [
      these.reduce((sum, c) => sum + c.confidence, 0) / these.length,
      these.filter((c) => c.isSpeck).length / these.length,
    ];
    error += (Math.abs(said - so) * these.length) / called.length;
    console.log(`said ${said.toFixed(2)}, so ${so.toFixed(2)}, of ${these.length}`);
  }
  console.log(`expected error of how sure: ${error.toFixed(3)}; aim 0.05`);
}

await small('small shadows as a camera takes them', (seed, width, height) =>
  greyOfJpeg(photograph(smallShadowShot(seed, width, height, COUNT)), 85),
);
await small('small shadows, the first renderer', (seed, width, height) => {
  const random = sequence(seed + 77);
  const specks = smallShadows(seed, width, height, COUNT);
  return asJpeg(render({ width, height, specks, seed, noise: 0.004 + 0.008 * random(), vignetting: 0.3 * random() }), 85);
});
await fibres();
await scenes();
await clean();
curve();
