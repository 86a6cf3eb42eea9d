import { sensor } from '@bright-keeper/core';
import { expose } from 'comlink';
import { decodePicture, PictureUnreadable, type Unreadable } from './frame/decode';
import { takenOf, type Taken } from './frame/exif';
import { smallOf } from './frame/grey';
import { searchFrame } from './frame/search';

const PREVIEW_PX = 1600;
const QUALITY = 0.85;

/** A frame as it was read: what the file says, what is in it, and it made small to be shown. */
export type FrameReading = {
  taken: Taken;
  width: number;
  height: number;
  detection: sensor.Detection;
  preview: Blob;
  /** It is the picture inside of a raw file, as the camera rendered it. */
  isPreview: boolean;
};
export type GlareReading = { taken: Taken; glare: sensor.Glare };
export type Told<T> = { read: T } | { unreadable: Unreadable } | { trouble: sensor.GlareTrouble };

async function pictureOf(frame: sensor.Frame): Promise<Blob> {
  const small = smallOf(frame, PREVIEW_PX);
  const canvas = new OffscreenCanvas(small.width, small.height);
  canvas.getContext('2d')!.putImageData(new ImageData(small.data, small.width, small.height), 0, 0);
  return canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
}

/** What went wrong, as something that can be sent; what nobody expected is thrown on. */
function toldOf(error: unknown): Told<never> {
  if (error instanceof PictureUnreadable) return { unreadable: error.why };
  if (error instanceof sensor.GlareUnreadable) return { trouble: error.trouble };
  throw error;
}

/** What the file does not say, and whoever keeps the camera does. */
export type ToldOfFrame = { fNumber: number | null; sensorWidthMm: number | null };

/** Reads pictures off the page's own thread: while one of a hundred megapixels is worked on the page goes on. */
const api = {
  readFrame: async (file: File, told: ToldOfFrame, onProgress: (done: number) => void): Promise<Told<FrameReading>> => {
    try {
      const buffer = await file.arrayBuffer();
      const taken = takenOf(buffer);
      const fNumber = told.fNumber ?? taken.fNumber;
      const { frame, isPreview } = await decodePicture(file, buffer);
      onProgress(0.25);
      const detection = await searchFrame(frame, {
        ...(fNumber && { fNumber }),
        ...(told.sensorWidthMm && { sensorWidthMm: told.sensorWidthMm }),
        onProgress: (done) => onProgress(0.25 + 0.7 * done),
      });
      return { read: { taken, width: frame.width, height: frame.height, detection, preview: await pictureOf(frame), isPreview } };
    } catch (error) {
      return toldOf(error);
    }
  },
  readGlare: async (file: File, blackPct: number): Promise<Told<GlareReading>> => {
    try {
      const buffer = await file.arrayBuffer();
      return { read: { taken: takenOf(buffer), glare: sensor.veilingGlarePct((await decodePicture(file, buffer)).frame, { blackPct }) } };
    } catch (error) {
      return toldOf(error);
    }
  },
};
export type FrameWorker = typeof api;
expose(api);
