import { sensor } from '@bright-keeper/core';
import { execFileSync } from 'node:child_process';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { isMainThread, parentPort, Worker } from 'node:worker_threads';
import { manySpecks, render, sequence, type Speck } from '../../core/src/sensor/dust/testing/render.js';
import { score } from '../../core/src/sensor/dust/testing/score.js';

/**
 * Specks in rendered frames of 6, 24 and 45 megapixels: ours against the adaptive threshold of a compiled, general-purpose
 * vision library with what it marks taken as specks by size, in one process. Aims: on two processors no slower than that at
 * 24 megapixels, less than four bytes a pixel beside the frame. How far what is found can be trusted: `sureness.ts`.
 */
const SIZES = [
  [3000, 2000],
  [6000, 4000],
  [8256, 5504],
] as const;
const RUNS = 5;
const SELF = fileURLToPath(import.meta.url);

type Vision = {
  Mat: new () => { delete: () => void; data32S: Int32Array; data64F: Float64Array };
  matFromArray: (rows: number, columns: number, type: number, data: Uint8Array) => { delete: () => void };
  adaptiveThreshold: (from: object, into: object, most: number, method: number, type: number, block: number, c: number) => void;
  connectedComponentsWithStats: (from: object, labels: object, stats: object, centroids: object) => number;
  CV_8UC1: number;
  ADAPTIVE_THRESH_MEAN_C: number;
  THRESH_BINARY_INV: number;
};
/**
 * It is no module and minds being bundled: loaded as it is, from where the benchmarks keep it. It must not be awaited, for
 * it says that it is a promise of itself.
 */
function loadVision(told: (vision: Vision) => void): void {
  const load = createRequire(join(process.cwd(), 'bench', 'package.json'));
  const vision = load('@techstark/opencv-js') as Vision & { onRuntimeInitialized?: () => void };
  vision.onRuntimeInitialized = () => told(vision);
}

/** Searches a frame on two processors, as the page does: half of it in a worker that was started before. */
async function onTwo(frame: sensor.Frame, worker: Worker): Promise<sensor.Detection> {
  const strips = sensor.stripsOf(frame, 2);
  const [first, second] = strips as [sensor.Strip, sensor.Strip];
  const data = second.frame.data.slice();
  const beside = new Promise<sensor.Detection>((resolve) => worker.once('message', resolve));
  worker.postMessage({ ...second, frame: { ...second.frame, data } }, [data.buffer]);
  const here = sensor.detectDust(first.frame, { strip: first });
  return sensor.joinStrips(frame, strips, [here, await beside]);
}

const timed = async <T>(work: () => T | Promise<T>): Promise<{ result: T; ms: number }> => {
  let best = Infinity;
  let result!: T;
  for (let i = 0; i < RUNS; i += 1) {
    const begin = performance.now();
    result = await work();
    best = Math.min(best, performance.now() - begin);
  }
  return { result, ms: best };
};

const LEAST_PX = 9;
const BLOCK = 101;
const STEPS = 4;
/** So many numbers are told of each component, the fifth of them its area. */
const STATS = 5;
const AREA = 4;

/** What the library finds: dark against the mean around, and the components of that by their size. */
function byLibrary(vision: Vision, { width, height, data }: { width: number; height: number; data: Uint8Array }): sensor.Spot[] {
  const from = vision.matFromArray(height, width, vision.CV_8UC1, data);
  const [marked, labels, stats, middles] = [new vision.Mat(), new vision.Mat(), new vision.Mat(), new vision.Mat()];
  vision.adaptiveThreshold(from, marked, 255, vision.ADAPTIVE_THRESH_MEAN_C, vision.THRESH_BINARY_INV, BLOCK, STEPS);
  const count = vision.connectedComponentsWithStats(marked, labels, stats, middles);
  const spots: sensor.Spot[] = [];
  for (let i = 1; i < count; i += 1) {
    const area = stats.data32S[i * STATS + AREA]!;
    if (area < LEAST_PX) continue;
    const [x, y] = [middles.data64F[2 * i]!, middles.data64F[2 * i + 1]!];
    const wide = Math.sqrt((4 * area) / Math.PI);
    spots.push({ x: (x + 0.5) / width, y: (y + 0.5) / height, depth: 0.1, fwhmPx: wide, diameterPx: wide, kind: 'dust', confidence: 1 });
  }
  for (const mat of [from, marked, labels, stats, middles]) mat.delete();
  return spots;
}

const told = (name: string, ms: number, specks: readonly Speck[], spots: readonly sensor.Spot[], width: number, height: number): string => {
  const { recall3, recall2, precision } = score(specks, spots, width, height);
  return `${name} ${ms.toFixed(0)} ms, recall ${recall3.toFixed(2)} (≥ 3 %) ${recall2.toFixed(2)} (≥ 2 %), precision ${precision.toFixed(2)}`;
};

async function sideBySide(vision: Vision): Promise<void> {
  const beside = new Worker(SELF);
  for (const [width, height] of SIZES) {
    const specks = manySpecks({ width, height, count: 150 });
    const frame = render({ width, height, specks, vignetting: 0.4, blotches: 0.02, noise: 0.01, badPixels: 100 });
    const bytes = execFileSync(process.execPath, [SELF, String(width), String(height)], { encoding: 'utf8' });
    const ours = await timed(() => sensor.detectDust(frame));
    const two = await timed(() => onTwo(frame, beside));
    const library = await timed(() => byLibrary(vision, frame));
    console.log(
      `${((width * height) / 1e6).toFixed(0)} MP: ${told('ours', ours.ms, specks, ours.result.spots, width, height)}, ${Number(bytes).toFixed(1)} bytes a pixel at most; ` +
        `${told('library', library.ms, specks, library.result, width, height)}; ours takes ${(ours.ms / library.ms).toFixed(1)} of its time, on two processors ${two.ms.toFixed(0)} ms, ${(two.ms / library.ms).toFixed(1)}`,
    );
  }
  await beside.terminate();
}

/** What a process of its own takes more of memory while it searches a frame, bytes a pixel: compiled code's is counted there only. */
function memoryOf(width: number, height: number): number {
  const random = sequence(1);
  const frame = { width, height, data: Uint8Array.from({ length: width * height }, () => 180 + 4 * random()) };
  sensor.detectDust({ width: 640, height: 480, data: frame.data.subarray(0, 640 * 480) });
  const before = process.memoryUsage.rss();
  let most = 0;
  sensor.detectDust(frame, { onProgress: () => (most = Math.max(most, process.memoryUsage.rss() - before)) });
  return most / width / height;
}

const [, , width, height] = process.argv.map(Number);
if (isMainThread && width && height) console.log(memoryOf(width, height));
else if (isMainThread) loadVision((vision) => void sideBySide(vision));
else parentPort!.on('message', (strip: sensor.Strip) => parentPort!.postMessage(sensor.detectDust(strip.frame, { strip })));
