/** The part of the ODE library that the tests use: its own loosely typed source must not be compiled with ours. */
export class Solver {
  constructor(dimensions: number);
  absoluteTolerance: number;
  relativeTolerance: number;
  solve(f: (x: number, y: number[]) => number[], x0: number, y0: number[], x1: number): { y: number[] };
}
