/* Solves one mixed-integer programme in a thread of its own: the solver blocks whoever calls it. */
import loadSolver from 'highs';
import { parentPort, workerData } from 'node:worker_threads';

const { lp, seconds } = workerData;
const solver = await loadSolver();
const solution = solver.solve(lp, { time_limit: seconds, output_flag: false, mip_rel_gap: 0 });
const values = {};
for (const [name, column] of Object.entries(solution.Columns)) if (column.Primal > 0.5) values[name] = column.Primal;
parentPort.postMessage({ answer: { status: solution.Status, objective: solution.ObjectiveValue, values } });
