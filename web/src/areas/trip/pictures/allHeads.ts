import type { trip } from '@bright-keeper/core';
import type { Heads } from '../../../workers/heads/read';

/** What all files read so far said. */
export type AllHeads = {
  pictures: readonly trip.Picture[];
  bodies: ReadonlyMap<string, trip.FileSays>;
  lenses: ReadonlyMap<string, trip.FileSays>;
  notPictures: number;
  untold: number;
};

export const NO_HEADS: AllHeads = { pictures: [], bodies: new Map(), lenses: new Map(), notPictures: 0, untold: 0 };

export const joined = (all: AllHeads, more: Heads): AllHeads => ({
  pictures: [...all.pictures, ...more.pictures],
  bodies: new Map([...all.bodies, ...more.bodies]),
  lenses: new Map([...all.lenses, ...more.lenses]),
  notPictures: all.notPictures + more.notPictures,
  untold: all.untold + more.untold,
});
