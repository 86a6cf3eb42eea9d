import { sensor } from '@bright-keeper/core';
import { sensorViewWords, zoneWords } from '@bright-keeper/words';
import type { SpeckRow } from './framesView';

type Props = {
  rows: readonly SpeckRow[];
  format: sensor.SensorFormat;
  view: sensor.SensorView;
  selected: number | null;
  onView: (view: sensor.SensorView) => void;
};

const DOT = 0.45;

/** The sensor as one faces it through the mount, its specks numbered as in the frame. */
export function FacingMap({ rows, format, view, selected, onView }: Props) {
  const { widthMm: w, heightMm: h } = format;
  const shown = rows.filter((r) => r.visible && r.sure);
  return (
    <div className="space-y-2">
      <label className="block text-sm">
        <span className="mb-1 block text-soft">How you hold the camera</span>
        <select className="input w-full" value={view} onChange={(e) => onView(e.target.value as sensor.SensorView)}>
          {sensor.SENSOR_VIEWS.map((v) => (
            <option key={v} value={v}>
              {sensorViewWords(v)}
            </option>
          ))}
        </select>
      </label>
      <svg
        viewBox={`-1.5 -1.5 ${w + 3} ${h + 3}`}
        className="w-full"
        role="img"
        aria-label={`The sensor as you face it: ${shown.map((r) => `${r.number} ${zoneWords(r.zone)}`).join(', ') || 'nothing that shows'}`}
      >
        <rect x={-1} y={-1} width={w + 2} height={h + 2} rx={1} className="fill-well stroke-line" strokeWidth={0.2} />
        <rect width={w} height={h} className="fill-glass-tint stroke-soft" strokeWidth={0.2} />
        {[1, 2].map((i) => (
          <g key={i} className="stroke-line" strokeWidth={0.12}>
            <line x1={(w * i) / 3} x2={(w * i) / 3} y1={0} y2={h} />
            <line y1={(h * i) / 3} y2={(h * i) / 3} x1={0} x2={w} />
          </g>
        ))}
        {shown.map((row) => (
          <g key={row.number} transform={`translate(${row.facing.x * w} ${row.facing.y * h})`}>
            <circle r={selected === row.number ? DOT * 1.8 : DOT} className={row.kind === 'mark' ? 'fill-soft' : 'fill-lamp'} />
            <text x={0.7} y={-0.5} fontSize={1.7} className="fill-ink font-mono">
              {row.number}
            </text>
          </g>
        ))}
      </svg>
      <p className="text-sm text-soft">{format.name}; only what shows at the aperture asked about.</p>
    </div>
  );
}
