import { care } from '@bright-keeper/core';
import { capital } from '../text.js';

/** "dust (light), fingerprint (obvious)". */
export const findingsWords = (findings: readonly { soil: care.Soil; severity: care.Severity }[]): string =>
  findings.map((f) => `${care.SOILS[f.soil].name} (${care.SEVERITY_NAMES[f.severity]})`).join(', ');

/** "Front glass", as a heading. */
export const surfaceTitle = (surface: care.Surface): string => capital(care.SURFACES[surface].name);
