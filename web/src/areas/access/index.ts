/* What other areas may use of this one. */
export { Gate } from './Gate';
export { ReadingOnly } from './ReadingOnly';
export { useReach } from './queries';
export { MayComeUnencrypted } from './MayComeUnencrypted';
