/** The colours of the theme for what is drawn on a canvas, read where the page has them, so that night-red stays red. */
export function chartColours(): Record<'ink' | 'soft' | 'line' | 'lamp' | 'glass' | 'act' | 'lampTint' | 'actTint' | 'glassTint', string> {
  const style = getComputedStyle(document.documentElement);
  const of = (name: string) => style.getPropertyValue(`--${name}`).trim();
  return {
    ink: of('ink'),
    soft: of('soft'),
    line: of('line'),
    lamp: of('lamp'),
    glass: of('glass'),
    act: of('act'),
    lampTint: of('lamp-tint'),
    actTint: of('act-tint'),
    glassTint: of('glass-tint'),
  };
}
