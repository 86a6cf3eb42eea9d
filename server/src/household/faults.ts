import { householdErrors } from '@bright-keeper/contract';
import { problem, type ProblemError } from '../http/index.js';
import { LIMITS } from '../limits.js';

/** What is wrong with a file, by table, row and column: one list, as long as somebody would read. */
export class Faults {
  private readonly fields: Record<string, string> = {};
  private count = 0;

  /** @param row counted from 1, as in the file; left out where it is the table's own. */
  add(table: string, row: number | null, column: string, message: string): void {
    this.count += 1;
    if (this.count <= LIMITS.household.faults)
      this.fields[[table, row, column].filter((part) => part !== null && part !== '').join('.')] = message;
  }

  get any(): boolean {
    return this.count > 0;
  }

  /** So many that no more need be looked for. */
  get enough(): boolean {
    return this.count >= LIMITS.household.faults;
  }

  problem(): ProblemError {
    return problem(householdErrors, 'archive-unfit', { fields: this.fields });
  }
}
