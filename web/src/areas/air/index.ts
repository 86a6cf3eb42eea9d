import { lazy } from 'react';

/* What other areas may use of this one. */

/** Its form comes with the checks of forms: most places are measured and never show it. */
export const FirstReading = lazy(async () => ({ default: (await import('./FirstReading')).FirstReading }));
