export { Kept } from './Kept';
export { canKeep, chooseKeeping, keepsHere } from './keeping';
export type { Waiting, WaitingCleaning, WaitingLook } from './waiting';
