import type { sensor } from '@bright-keeper/core';
import { fStop } from '@bright-keeper/words';

/** The blot in a picture of plain sky, at one aperture: as wide and as dark as it is. */
export function Blot({ mark, fNumber, format }: { mark: sensor.FrontMark; fNumber: number; format: sensor.SensorFormat }) {
  const { widthMm: w, heightMm: h } = format;
  const id = `blot-${fNumber}`;
  const core = mark.blotMm > 0 ? mark.plateauMm / mark.blotMm : 0;
  return (
    <figure className="min-w-0">
      <svg
        viewBox={`0 0 ${w} ${h}`}
        className="w-full rounded"
        role="img"
        aria-label={`At ${fStop(fNumber)}: ${mark.visible ? 'a blot shows' : 'nothing shows'}`}
      >
        <defs>
          <radialGradient id={id}>
            <stop offset={core} stopColor="#000" stopOpacity={mark.depth} />
            <stop offset={(1 + core) / 2} stopColor="#000" stopOpacity={mark.depth / 2} />
            <stop offset="1" stopColor="#000" stopOpacity="0" />
          </radialGradient>
        </defs>
        <rect width={w} height={h} className="fill-sky" />
        <circle cx={w * 0.42} cy={h * 0.45} r={mark.blotMm / 2} fill={`url(#${id})`} />
      </svg>
      <figcaption className="mt-1 text-sm">
        <b>{fStop(fNumber)}</b>{' '}
        <span className="text-soft">
          {mark.dimsAll
            ? 'all of it a little darker'
            : `${(mark.depth * 100).toFixed(mark.depth < 0.1 ? 1 : 0)} %, ${mark.visible ? 'shows' : 'does not show'}`}
        </span>
      </figcaption>
    </figure>
  );
}
