/* What other areas may use of this one. */
export { LookButton } from './LookButton';
export { LookPhotos } from './LookPhotos';
export { useStartLook } from './queries';
