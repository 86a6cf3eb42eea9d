import { care } from '@bright-keeper/core';
import { capital } from '@bright-keeper/words';

export { capital };

/** "dust (light), fingerprint (obvious)". */
export const findingsWords = (findings: readonly { soil: care.Soil; severity: care.Severity }[]): string =>
  findings.map((f) => `${care.SOILS[f.soil].name} (${care.SEVERITY_NAMES[f.severity]})`).join(', ');

/** "Front glass", as a heading. */
export const surfaceTitle = (surface: care.Surface): string => capital(care.SURFACES[surface].name);

/** "Wear: gloves, eye protection." where something is to be worn, else nothing. */
export const wearWords = (wear: readonly string[]): string => (wear.length > 0 ? `Wear: ${wear.join(', ').replace('-', ' ')}.` : '');
