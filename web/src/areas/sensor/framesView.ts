import { frameFacts, type SensorFrame, type SensorFrameInput } from '@bright-keeper/contract';
import { care, sensor } from '@bright-keeper/core';
import type { FrameReading } from '../../workers/frame.worker';

/** Apertures one may ask about. */
export const STOPS = [2.8, 4, 5.6, 8, 11, 16, 22, 32] as const;

/** The stop next to an f-number. */
export const stopNear = (fNumber: number): (typeof STOPS)[number] =>
  STOPS.reduce(
    (best, stop) => (Math.abs(Math.log2(stop / fNumber)) < Math.abs(Math.log2(best / fNumber)) ? stop : best),
    STOPS[0] as (typeof STOPS)[number],
  );

/** A frame that was read and is not kept yet. `fNumber` is null where neither the file nor its keeper told the aperture. */
export type Draft = { reading: FrameReading; file: File; input: SensorFrameInput; fNumber: number | null };

/** Where neither the frame nor the keeper tells it. */
const USUAL = { fNumber: 16, workingAt: 16 } as const;

/** How many pixels the body's files have: as it says, or as the largest of its frames before. */
const pixelsOf = ({ megapixels }: care.Traits, frames: readonly SensorFrame[]): number | null =>
  megapixels ? megapixels * 1e6 : frames.length > 0 ? Math.max(...frames.map((f) => f.width * f.height)) : null;

/** How wide the sensor is for its height, where the body says which it has. */
const aspectOf = ({ sensorFormat }: care.Traits): number | null => {
  const format = sensorFormat && sensor.formats[sensorFormat];
  return format ? format.widthMm / format.heightMm : null;
};

export function draftOf(
  { id: itemId, traits }: { id: string; traits: care.Traits },
  file: File,
  reading: FrameReading,
  frames: readonly SensorFrame[],
  now: Date,
  toldFNumber: number | null = null,
): Draft {
  const { taken, width, height, detection } = reading;
  const before = frames.at(-1);
  const fNumber = toldFNumber ?? taken.fNumber;
  return {
    reading,
    file,
    fNumber,
    input: {
      itemId,
      takenAt: taken.takenAt ?? new Date(Math.min(file.lastModified || now.getTime(), now.getTime())).toISOString(),
      fNumber: fNumber ?? USUAL.fNumber,
      workingAt: before?.workingAt ?? USUAL.workingAt,
      iso: taken.iso,
      exposureS: taken.exposureS,
      focalMm: taken.focalMm,
      body: taken.body,
      lens: taken.lens,
      fileName: file.name.slice(0, 300),
      width,
      height,
      spots: detection.spots.map(({ sizeMm: _, ...s }) => ({ ...s, by: 'found' as const })),
      noise: Math.min(1, detection.noise),
      unfit: sensor.unfitFor(detection.fitness, {
        width,
        height,
        cameraPixels: pixelsOf(traits, frames),
        cameraAspect: aspectOf(traits),
      }),
      tries: [],
      note: '',
    },
  };
}

/** What a story needs of a frame, kept or not. */
export const factsOf = (frame: SensorFrameInput & Partial<Pick<SensorFrame, 'id' | 'exposures' | 'lensChanges'>>): sensor.FrameFacts =>
  frameFacts(frame, {
    id: frame.id ?? 'draft',
    at: frame.takenAt,
    exposures: frame.exposures ?? 0,
    lensChanges: frame.lensChanges ?? null,
  });

/** Width and height of a body's sensor, mm. */
export function sensorOf(traits: care.Traits): sensor.SensorFormat {
  const id = traits.sensorFormat;
  return (id && sensor.formats[id]) || sensor.formats['full-frame'];
}

/** A speck with all that is said of it, in words and numbers that others can use. */
export type SpeckRow = {
  number: number;
  x: number;
  y: number;
  xMm: number;
  yMm: number;
  facing: sensor.Point;
  zone: sensor.SensorZone;
  sizeMm: number;
  depth: number;
  showsFrom: number | null;
  visible: boolean;
  /** Is it sure that it is one? What is not is shown, and counts for nothing. */
  sure: boolean;
  kind: sensor.SpotKind | 'mark';
  fate: sensor.SpotFate;
  where: sensor.Whereabouts | null;
  confidence: number;
};

export function rowsOf(
  chapter: sensor.FrameChapter,
  frame: SensorFrameInput,
  format: sensor.SensorFormat,
  view: sensor.SensorView,
  stop: number,
): SpeckRow[] {
  const pixelMm = format.widthMm / frame.width;
  return chapter.spots.map((s) => {
    const facing = sensor.sensorPosition(s, view);
    return {
      number: s.number,
      x: s.x,
      y: s.y,
      xMm: s.x * format.widthMm,
      yMm: s.y * format.heightMm,
      facing,
      zone: sensor.zoneOf(facing),
      sizeMm: sensor.sizeMm(s, pixelMm),
      depth: s.depth,
      showsFrom: sensor.showsFrom(s, frame.fNumber),
      visible: sensor.visibilityAt(s, { measuredAt: frame.fNumber, workingAt: stop }).visible,
      sure: sensor.isSure(s),
      kind: sensor.isMark(s) ? 'mark' : s.kind,
      fate: s.fate,
      where: s.where,
      confidence: s.confidence,
    };
  });
}

/** The speck of a frame that a row tells of. */
export const spotOf = (
  frame: Pick<SensorFrameInput, 'spots'>,
  { x, y }: Pick<SpeckRow, 'x' | 'y'>,
): SensorFrameInput['spots'][number] | undefined => frame.spots.find((s) => s.x === x && s.y === y);

/** How many specks are sure, how many of those show, and how many places that would show are not sure. */
export const countsOf = (rows: readonly SpeckRow[]): { sure: number; shown: number; unsure: number } => ({
  sure: rows.filter((r) => r.sure).length,
  shown: rows.filter((r) => r.sure && r.visible).length,
  unsure: rows.filter((r) => !r.sure && r.visible).length,
});
