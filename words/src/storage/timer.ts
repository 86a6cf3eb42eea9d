import { storage } from '@bright-keeper/core';
import { capital } from '../text.js';

/** What is waited for: a thing that warms, of this size where it is known, wrapped like this. */
export const timerWords = ({ size, wrapping }: { size: storage.TypicalThing | null; wrapping: storage.Wrapping }): string =>
  `${capital(size ? storage.TYPICAL_THINGS[size].name : 'it')} warms ${storage.WRAPPINGS[wrapping].name}`;
