import { createRequire } from 'node:module';

/** What tests and the bench use of the solver; its own sources do not satisfy our compiler settings. */
interface OdexSolver {
  absoluteTolerance: number;
  relativeTolerance: number;
  solve(
    f: (x: number, y: number[]) => number[],
    from: number,
    y0: number[],
    to: number,
  ): { y: number[] };
}

const odex = createRequire(import.meta.url)('odex') as {
  Solver: new (dimension: number) => OdexSolver;
};

/** An extrapolation method (E. Hairer, S. P. Nørsett, G. Wanner) for this many unknowns. */
export function odexSolver(dimension: number, tolerance: number): OdexSolver {
  const solver = new odex.Solver(dimension);
  solver.absoluteTolerance = tolerance;
  solver.relativeTolerance = tolerance;
  return solver;
}
