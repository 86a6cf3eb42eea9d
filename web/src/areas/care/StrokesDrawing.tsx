import { sensor, type care } from '@bright-keeper/core';

/** How the swab is drawn over the sensor, to scale: its lanes, how they lie over each other, and what one stroke would miss. */
export function StrokesDrawing({ strokes, format }: { strokes: sensor.SwabStrokes; format: NonNullable<care.Traits['sensorFormat']> }) {
  const { widthMm, heightMm } = sensor.formats[format];
  const alongLong = strokes.axis === 'long side';
  const side = alongLong ? heightMm : widthMm;
  const pitch = strokes.lanes === 1 ? 0 : (side - strokes.widthMm) / (strokes.lanes - 1);
  const lanes = Array.from({ length: strokes.lanes }, (_, i) => (strokes.lanes === 1 ? (side - strokes.widthMm) / 2 : i * pitch));
  const words = `A swab ${strokes.widthMm} mm wide along the ${strokes.axis}, ${strokes.lanes} ${strokes.lanes === 1 ? 'strip' : 'strips side by side'}`;
  return (
    <figure className="flex flex-wrap items-center gap-4">
      <svg viewBox={`-4 -4 ${widthMm + 8} ${heightMm + 8}`} className="h-32 max-w-56" role="img" aria-label={words}>
        <rect width={widthMm} height={heightMm} rx="0.6" className="fill-well stroke-soft" strokeWidth="0.5" />
        {lanes.map((at, i) => {
          const size = { long: alongLong ? widthMm : heightMm, across: strokes.widthMm };
          const box = alongLong
            ? { x: 0, y: at, width: size.long, height: size.across }
            : { x: at, y: 0, width: size.across, height: size.long };
          const [cx, cy] = [box.x + box.width / 2, box.y + box.height / 2];
          return (
            <g key={i}>
              <rect {...box} className="fill-lamp-tint stroke-lamp" strokeWidth="0.4" opacity="0.75" />
              <path
                d={alongLong ? `M3 ${cy}H${widthMm - 4}m-2 -1.6l2 1.6l-2 1.6` : `M${cx} 3V${heightMm - 4}m-1.6 -2l1.6 2l1.6 -2`}
                fill="none"
                className="stroke-lamp"
                strokeWidth="0.9"
              />
            </g>
          );
        })}
      </svg>
      <figcaption className="max-w-64">
        {words}
        {strokes.lanes > 1 && `, lying over each other by ${strokes.overlapMm} mm; one stroke alone would miss ${strokes.missedByOneMm} mm`}
        . {strokes.drops} {strokes.drops === 1 ? 'drop' : 'drops'} a side.
      </figcaption>
    </figure>
  );
}
