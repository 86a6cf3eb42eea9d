const UNITS = ['B', 'kB', 'MB', 'GB', 'TB'];
const STEP = 1000;

/** A number of bytes as people say it. */
export function sizeWords(bytes: number): string {
  let at = 0;
  let size = bytes;
  while (size >= STEP && at < UNITS.length - 1) {
    size /= STEP;
    at += 1;
  }
  return `${size >= 100 || at === 0 ? Math.round(size) : size.toFixed(1)} ${UNITS[at]}`;
}
