/* Finds where everything lives best, in a thread of its own; what the search leaves open is put to a solver for so many seconds. */
import { parentPort, workerData } from 'node:worker_threads';
import { bestHomes, homesFromSolver, homesProgramme } from '../../core/dist/storage/index.js';

const { questions, seconds } = workerData;

async function answer(question) {
  const found = bestHomes(question);
  if (found.proven || seconds === 0) return found;
  const { default: loadSolver } = await import('highs');
  const solver = await loadSolver();
  const programme = homesProgramme(question);
  const { Status, Columns } = solver.solve(programme.lp, { time_limit: seconds, output_flag: false, mip_rel_gap: 0 });
  const value = (name) => Columns[name]?.Primal ?? 0;
  const exact = homesFromSolver(programme, { optimal: Status === 'Optimal', value }, found.bound);
  return exact && exact.cost < found.cost + 1e-9 ? exact : found;
}

const answers = [];
for (const question of questions) answers.push(await answer(question));
parentPort.postMessage({ answer: answers });
