import { gearErrors } from '@bright-keeper/contract';
import { gear } from '@bright-keeper/core';
import type { Db } from '../db/index.js';
import type { GearRepository } from '../gear/index.js';
import { problem } from '../http/index.js';

/**
 * That a thing may belong to another one.
 *
 * @param id null while it is not on the shelf yet.
 * @throws ProblemError 422 where that is not on the shelf; 409 where it would belong to itself by that.
 */
export async function checkTogether(db: Db, repository: GearRepository, id: string | null, belongsTo: string): Promise<void> {
  const owner = await repository.find(db, belongsTo);
  if (!owner || owner.archivedAt !== null)
    throw problem(gearErrors, 'item-not-found', { fields: { belongsTo: 'This is not on the shelf any more: choose another one.' } });
  if (id !== null && gear.wouldHoldItself(id, belongsTo, await repository.belongings(db)))
    throw problem(gearErrors, 'belongs-to-itself', { fields: { belongsTo: `${owner.name} belongs to it already, or is the same thing.` } });
}
