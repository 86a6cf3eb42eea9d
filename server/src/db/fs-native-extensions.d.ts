/** The package ships no types; this is what we use of it. */
declare module 'fs-native-extensions' {
  /** Takes the kernel's lock on an open file. False when another holds it. */
  export function tryLock(fd: number): boolean;
  export function unlock(fd: number): void;
}
