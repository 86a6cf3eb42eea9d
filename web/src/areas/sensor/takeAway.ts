import type { SensorFrameInput } from '@bright-keeper/contract';
import { sensor } from '@bright-keeper/core';
import { spotOf, type SpeckRow } from './framesView';

/** The specks as JSON that says what it is; lengths in millimetres on the sensor, places as fractions from the top left. */
export function specksJson(rows: readonly SpeckRow[], frame: SensorFrameInput): string {
  const specks = rows.map(({ number, x, y, xMm, yMm, facing, sizeMm, depth, showsFrom, kind, fate, where, confidence }) => ({
    number,
    x,
    y,
    xMm,
    yMm,
    facingX: facing.x,
    facingY: facing.y,
    sizeMm,
    depth,
    showsFromFNumber: showsFrom,
    kind,
    fate,
    where,
    confidence,
  }));
  const { fileName, takenAt, fNumber, width, height } = frame;
  return JSON.stringify({ $schema: SPECKS_SCHEMA, frame: { fileName, takenAt, fNumber, width, height }, specks }, null, 2);
}

const number = { type: 'number' } as const;
const share = { type: 'number', minimum: 0, maximum: 1 } as const;
/** What the file holds, as a JSON schema (2020-12) inside of it: no other place need be asked. */
const SPECKS_SCHEMA = {
  title: 'Specks on a sensor',
  type: 'object',
  properties: {
    frame: {
      type: 'object',
      properties: { fileName: { type: 'string' }, takenAt: { type: 'string' }, fNumber: number, width: number, height: number },
    },
    specks: {
      type: 'array',
      items: {
        type: 'object',
        properties: {
          number,
          x: share,
          y: share,
          xMm: number,
          yMm: number,
          facingX: share,
          facingY: share,
          sizeMm: number,
          depth: share,
          showsFromFNumber: { type: ['number', 'null'] },
          kind: { enum: ['dust', 'hair', 'mark'] },
          fate: { enum: sensor.SPOT_FATES },
          where: { enum: [...sensor.WHEREABOUTS, null] },
          confidence: share,
        },
      },
    },
  },
} as const;

const COLUMNS = [
  'number',
  'x',
  'y',
  'x_mm',
  'y_mm',
  'facing_x',
  'facing_y',
  'size_mm',
  'depth',
  'shows_from_f',
  'kind',
  'fate',
  'where',
  'confidence',
] as const;

/** The same as a table. Nothing in it was typed by anybody, so nothing in it can be a formula. */
export function specksCsv(rows: readonly SpeckRow[]): string {
  const lines = rows.map((r) =>
    [
      r.number,
      r.x,
      r.y,
      r.xMm,
      r.yMm,
      r.facing.x,
      r.facing.y,
      r.sizeMm,
      r.depth,
      r.showsFrom ?? '',
      r.kind,
      r.fate,
      r.where ?? '',
      r.confidence,
    ]
      .map((v) => (typeof v === 'number' && !Number.isInteger(v) ? v.toFixed(5) : String(v)))
      .join(','),
  );
  return [COLUMNS.join(','), ...lines, ''].join('\r\n');
}

/** Room around a shadow that a retouching program may take from. */
const MASK_MARGIN = 1.15;

/** Discs white on black, as large as the frame, for retouching many pictures at once. @returns null where there is no canvas. */
export function maskOf(frame: SensorFrameInput, rows: readonly SpeckRow[]): HTMLCanvasElement | null {
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [frame.width, frame.height];
  const context = canvas.getContext('2d');
  if (!context) return null;
  context.fillStyle = 'black';
  context.fillRect(0, 0, frame.width, frame.height);
  context.fillStyle = 'white';
  for (const row of rows) {
    const spot = spotOf(frame, row);
    // What lies in one lens or in one scene is not in the other pictures, and what is not sure may be the picture itself.
    if (!spot || !row.visible || !row.sure || sensor.isElsewhere(row)) continue;
    context.beginPath();
    context.arc(row.x * frame.width, row.y * frame.height, (spot.diameterPx / 2) * MASK_MARGIN, 0, 2 * Math.PI);
    context.fill();
  }
  return canvas;
}

/** The picture with rings and numbers on it. */
export async function overlayOf(frame: SensorFrameInput, rows: readonly SpeckRow[], picture: Blob): Promise<HTMLCanvasElement | null> {
  const bitmap = await createImageBitmap(picture);
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [bitmap.width, bitmap.height];
  const context = canvas.getContext('2d');
  if (!context) return null;
  context.drawImage(bitmap, 0, 0);
  bitmap.close();
  const scale = canvas.width / frame.width;
  context.lineWidth = 2;
  context.font = '18px sans-serif';
  context.strokeStyle = 'crimson';
  context.fillStyle = 'crimson';
  for (const row of rows) {
    const spot = spotOf(frame, row);
    const r = Math.max(8, ((spot?.diameterPx ?? 0) / 2) * scale + 4);
    context.beginPath();
    context.arc(row.x * canvas.width, row.y * canvas.height, r, 0, 2 * Math.PI);
    context.stroke();
    context.fillText(`${row.number}${row.sure ? '' : '?'}`, row.x * canvas.width + r + 3, row.y * canvas.height - r);
  }
  return canvas;
}

/** Hands a file to whoever asked for it. */
export function save(name: string, content: Blob): void {
  const address = URL.createObjectURL(content);
  const link = Object.assign(document.createElement('a'), { href: address, download: name });
  link.click();
  URL.revokeObjectURL(address);
}

export const saveCanvas = (name: string, canvas: HTMLCanvasElement | null): void =>
  canvas?.toBlob((blob) => blob && save(name, blob), 'image/png');
