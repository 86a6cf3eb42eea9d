/** A place as fractions of width and height, from the top left. */
export type Point = { x: number; y: number };

/** How one looks at the sensor when one cleans it. */
export const SENSOR_VIEWS = ['upright', 'on-back-from-base', 'on-back-from-top', 'overhead-top-away', 'overhead-top-to-you'] as const;
export type SensorView = (typeof SENSOR_VIEWS)[number];

/**
 * In which of these views the camera's top points down as one sees it. Whoever bends over a camera on its back sees its
 * top edge far away, from the base, or near, from the top; whoever looks up at one has what lies before him at the bottom
 * of what he sees.
 */
const TOP_IS_DOWN: Record<SensorView, boolean> = {
  upright: false,
  'on-back-from-base': false,
  'on-back-from-top': true,
  'overhead-top-away': true,
  'overhead-top-to-you': false,
};

/**
 * Where a place of the picture lies on the sensor as one faces it through the mount. The lens turns the picture by half a
 * turn, and who faces the sensor sees it from the other side than the picture does: so only top and bottom change.
 *
 * @param point of the picture as the sensor recorded it, EXIF rotation undone.
 */
export function sensorPosition({ x, y }: Point, view: SensorView = 'upright'): Point {
  return TOP_IS_DOWN[view] ? { x: 1 - x, y } : { x, y: 1 - y };
}

export const SENSOR_ZONES = ['top-left', 'top', 'top-right', 'left', 'centre', 'right', 'bottom-left', 'bottom', 'bottom-right'] as const;
export type SensorZone = (typeof SENSOR_ZONES)[number];

const third = (share: number): number => Math.min(2, Math.max(0, Math.floor(share * 3)));
/** In which ninth of what one sees a place lies. */
export const zoneOf = ({ x, y }: Point): SensorZone => SENSOR_ZONES[third(y) * 3 + third(x)]!;
