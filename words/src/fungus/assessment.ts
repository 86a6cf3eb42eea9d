import { fungus } from '@bright-keeper/core';
import { warningWords } from './warning.js';

const rounded = (n: number): string => (n >= 10 ? n.toFixed(0) : n.toFixed(1));
/** "a day", "12 days", "4 months", "3 years": as exactly as a model knows. */
export const roughDays = (days: number): string =>
  days < 1.5
    ? 'a day'
    : days < 60
      ? `${Math.round(days)} days`
      : days < 730
        ? `${Math.round(days / 30.4)} months`
        : `${Math.round(days / 365.25)} years`;

/** What a verdict about the air stands on. */
export function assessWords(reason: fungus.AssessReason): string {
  switch (reason.says) {
    case 'mould-index': {
      const { name, sensitivity } = fungus.SURFACE_STATES[reason.surfaceState];
      return `Mould index ${rounded(reason.index)} of 6 for ${name} (${fungus.CLASSES[sensitivity].name}); growth shows under the microscope at 1.`;
    }
    case 'early-warning':
      return `Early warning: ${warningWords(reason)}${reason.dose < 1 ? ' to the point' : ''} where growth on optics is to be expected.`;
    case 'growth-in':
      return `If it goes on as in the last week, growth in ${roughDays(reason.days)}.`;
    case 'gap':
      return reason.best === reason.worst
        ? `Nothing was read for ${roughDays(reason.days)} in all; it changes nothing, at best or at worst.`
        : `Nothing was read for ${roughDays(reason.days)} in all: at best it is ${reason.best}, at worst ${reason.worst}.`;
    default:
      return reason satisfies never;
  }
}
