/* What other areas may use of this one. */
export { LookPhotos } from './LookPhotos';
export { useStartLook } from './queries';
