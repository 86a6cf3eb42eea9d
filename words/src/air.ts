/** That a device's clock went back, and by how much where that is known. */
export const clockJumpWords = (backMin: number | null): string =>
  backMin === null ? 'In the log, its clock went back here.' : `Its clock went back by ${backMin} min.`;
