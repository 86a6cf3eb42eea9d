import type { SensorFrameInput } from '@bright-keeper/contract';
import { sensor } from '@bright-keeper/core';
import { fStop } from '@bright-keeper/words';
import { useEffect, useRef, type MouseEvent } from 'react';
import { countsOf, spotOf, STOPS, type SpeckRow } from './framesView';

/** The picture of a frame in grey, made once for each picture. */
async function greyOf(blob: Blob): Promise<{ width: number; height: number; data: Uint8Array }> {
  const bitmap = await createImageBitmap(blob);
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [bitmap.width, bitmap.height];
  const context = canvas.getContext('2d')!;
  context.drawImage(bitmap, 0, 0);
  const { data } = context.getImageData(0, 0, bitmap.width, bitmap.height);
  bitmap.close();
  const grey = new Uint8Array(data.length / 4);
  for (let i = 0; i < grey.length; i += 1) grey[i] = data[i * 4]!;
  return { width: canvas.width, height: canvas.height, data: grey };
}

/** Grey as the four bytes of a pixel, whole. */
const OPAQUE = 0xff_00_00_00;
const GREY = 0x01_01_01;

/** Puts grey on a canvas. */
function show(canvas: HTMLCanvasElement, { width, height, data }: { width: number; height: number; data: Uint8Array }): void {
  [canvas.width, canvas.height] = [width, height];
  const pixels = new Uint32Array(width * height);
  for (let i = 0; i < pixels.length; i += 1) pixels[i] = OPAQUE + data[i]! * GREY;
  canvas.getContext('2d')?.putImageData(new ImageData(new Uint8ClampedArray(pixels.buffer), width, height), 0, 0);
}

/** The picture with its shadows cast anew for the aperture that is asked about. */
function Picture({ picture, frame, stop, strong }: { picture: Blob; frame: SensorFrameInput; stop: number; strong: boolean }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const grey = useRef<{ of: Blob; grey: Awaited<ReturnType<typeof greyOf>> } | null>(null);
  useEffect(() => {
    if (!('createImageBitmap' in globalThis)) return;
    let wanted = true;
    void (async () => {
      if (grey.current?.of !== picture) grey.current = { of: picture, grey: await greyOf(picture) };
      if (!wanted || !canvas.current) return;
      const { grey: as } = grey.current;
      const { width, fNumber, spots } = frame;
      show(canvas.current, { ...as, data: sensor.redrawn(as, spots, { frameWidth: width, measuredAt: fNumber, workingAt: stop }) });
    })().catch(() => undefined);
    return () => void (wanted = false);
  }, [picture, frame, stop]);
  return (
    <div className="in-light absolute inset-0">
      <canvas ref={canvas} className={`block size-full ${strong ? 'contrast-[3]' : ''}`} aria-hidden="true" />
    </div>
  );
}

/** The drawing is so many units wide: numbers in it can be read on a phone and are not loud on a screen. */
const DRAWN_WIDE = 700;
const LEAST_RADIUS = 0.01;

type Props = {
  frame: SensorFrameInput;
  rows: readonly SpeckRow[];
  gone: readonly sensor.ToldSpot[];
  picture: Blob | null;
  stop: number;
  selected: number | null;
  onSelect: (number: number | null) => void;
  /** With more contrast than it has, for whoever looks by eye. */
  strong: boolean;
  /** Given where a tap adds a speck. */
  onAdd?: ((at: sensor.Point) => void) | undefined;
};

/** A frame with its specks numbered; dashed what does not show at the aperture asked about, crossed what is gone. */
export function FrameView({ frame, rows, gone, picture, stop, strong, selected, onSelect, onAdd }: Props) {
  const [w, h] = [DRAWN_WIDE, (DRAWN_WIDE * frame.height) / frame.width];
  const radius = (row: SpeckRow): number => {
    const spot = spotOf(frame, row);
    return Math.max(LEAST_RADIUS * w, ((spot?.kind === 'hair' ? 0.5 : 0.62) * (spot?.diameterPx ?? 0) * w) / frame.width + 5);
  };
  const add = (event: MouseEvent<SVGSVGElement>) => {
    if (!onAdd) return;
    const box = event.currentTarget.getBoundingClientRect();
    onAdd({ x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height });
  };
  const { sure, shown, unsure } = countsOf(rows);
  return (
    <div className="relative w-full overflow-hidden rounded bg-well" style={{ aspectRatio: `${frame.width} / ${frame.height}` }}>
      {picture && <Picture picture={picture} frame={frame} stop={stop} strong={strong} />}
      <svg
        viewBox={`0 0 ${w} ${h}`}
        className={`absolute inset-0 size-full ${onAdd ? 'cursor-crosshair' : ''}`}
        role="group"
        aria-label={`The frame at ${fStop(stop)}: ${shown} of ${sure} specks show${unsure > 0 ? `, ${unsure} unsure` : ''}`}
        onClick={add}
      >
        {gone.map((s) => (
          <g key={`gone-${s.number}`} className="stroke-glass" strokeWidth={2} fill="none" transform={`translate(${s.x * w} ${s.y * h})`}>
            <title>{`${s.number}: gone since the frame before`}</title>
            <path d="M-8-8 8 8M8-8-8 8" />
          </g>
        ))}
        {rows.map((row) => {
          const r = radius(row);
          return (
            <g
              key={row.number}
              role="button"
              tabIndex={0}
              aria-pressed={selected === row.number}
              aria-label={`${row.sure ? 'Speck' : 'Perhaps a speck,'} ${row.number}, ${row.visible ? 'shows' : 'does not show'}`}
              className={`cursor-pointer ${row.fate === 'fresh' ? 'stroke-act' : 'stroke-lamp'} ${row.visible ? '' : 'opacity-50'}`}
              transform={`translate(${row.x * w} ${row.y * h})`}
              onClick={(e) => {
                e.stopPropagation();
                onSelect(selected === row.number ? null : row.number);
              }}
              onKeyDown={(e) => (e.key === 'Enter' || e.key === ' ') && onSelect(selected === row.number ? null : row.number)}
            >
              <circle
                r={r}
                fill="transparent"
                strokeWidth={selected === row.number ? 5 : 2.2}
                {...(row.visible ? {} : { strokeDasharray: '5 5' })}
              />
              <text
                x={row.x > 0.95 ? -r - 26 : r + 3}
                y={row.y < 0.05 ? r + 16 : -r - 1}
                className="fill-ink stroke-sheet font-mono"
                strokeWidth={5}
                paintOrder="stroke"
                fontSize={20}
              >
                {row.number}
                {!row.sure && '?'}
              </text>
            </g>
          );
        })}
      </svg>
    </div>
  );
}

/** The aperture that is asked about, and how much shows at it. */
export function ApertureSlider({
  stop,
  rows,
  onChange,
}: {
  stop: number;
  rows: readonly SpeckRow[];
  onChange: (stop: (typeof STOPS)[number]) => void;
}) {
  const { sure, shown } = countsOf(rows);
  return (
    <label className="flex flex-wrap items-center gap-x-4 gap-y-1">
      <span className="font-medium">At {fStop(stop)}</span>
      <input
        type="range"
        className="min-w-40 flex-1 accent-(--color-lamp)"
        min={0}
        max={STOPS.length - 1}
        step={1}
        value={STOPS.indexOf(stop as (typeof STOPS)[number])}
        aria-label="Aperture"
        aria-valuetext={`${fStop(stop)}: ${shown} of ${sure} show`}
        onChange={(e) => onChange(STOPS[e.target.valueAsNumber]!)}
      />
      <span className="text-soft" aria-live="polite">
        {sure === 0 ? 'no speck that is sure' : `${shown} of ${sure} ${shown === 1 ? 'shows' : 'show'}`}
      </span>
    </label>
  );
}
