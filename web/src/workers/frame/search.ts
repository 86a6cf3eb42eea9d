import { sensor } from '@bright-keeper/core';
import { transfer, wrap } from 'comlink';
import type { DustWorker } from '../dust.worker';

/** Smaller ones are searched before another worker has started. */
const WORTH_TWO = 4_000_000;

/** The other half of the work: a worker of this one, ended with it. */
async function searchBeside(
  { frame: { width, height, data }, rows, part }: sensor.Strip,
  options: sensor.DetectOptions,
): Promise<sensor.Detection> {
  const worker = new Worker(new URL('../dust.worker.ts', import.meta.url), { type: 'module' });
  try {
    const own = data.slice();
    return await wrap<DustWorker>(worker).search(transfer({ width, height, data: own }, [own.buffer]), {
      ...options,
      strip: { rows, part },
    });
  } finally {
    worker.terminate();
  }
}

/** Searches a frame on two processors, where there are two and it is worth it. */
export async function searchFrame(frame: sensor.Frame, options: sensor.DetectOptions): Promise<sensor.Detection> {
  const isWorth = frame.width * frame.height >= WORTH_TWO && navigator.hardwareConcurrency > 1;
  const strips = sensor.stripsOf(frame, isWorth ? 2 : 1);
  const [here, beside] = strips as [sensor.Strip, sensor.Strip?];
  if (!beside) return sensor.detectDust(frame, options);
  const { onProgress: _, ...sent } = options;
  const other = searchBeside(beside, sent);
  const first = sensor.detectDust(here.frame, { ...options, strip: here });
  return sensor.joinStrips(frame, strips, [first, await other]);
}
