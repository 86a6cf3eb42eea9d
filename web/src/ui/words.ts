import { care } from '@bright-keeper/core';

/** The first letter as a capital, for headings and the beginnings of lines. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** "dust (light), fingerprint (obvious)". */
export const findingsWords = (findings: readonly { soil: care.Soil; severity: care.Severity }[]): string =>
  findings.map((f) => `${care.SOILS[f.soil].name} (${care.SEVERITY_NAMES[f.severity]})`).join(', ');

/** "Front glass", as a heading. */
export const surfaceTitle = (surface: care.Surface): string => capital(care.SURFACES[surface].name);

/** "Wear: gloves, eye protection." where something is to be worn, else nothing. */
export const wearWords = (wear: readonly string[]): string => (wear.length > 0 ? `Wear: ${wear.join(', ').replace('-', ' ')}.` : '');
