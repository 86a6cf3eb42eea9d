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

export const allOf = (batches: readonly Heads[]): AllHeads => ({
  pictures: batches.flatMap((b) => b.pictures),
  bodies: new Map(batches.flatMap((b) => b.bodies)),
  lenses: new Map(batches.flatMap((b) => b.lenses)),
  notPictures: batches.reduce((sum, b) => sum + b.notPictures, 0),
  untold: batches.reduce((sum, b) => sum + b.untold, 0),
});
export const NO_HEADS: AllHeads = allOf([]);

/** What is told of many pictures is told anew when there are half as many more: all in all that costs what three times do. */
export const isTimeToTell = (told: number, read: number): boolean => read >= 1.5 * told + 50;
