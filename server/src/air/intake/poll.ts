import type { IntakeFault } from '@bright-keeper/contract';
import { LIMITS } from '../../limits.js';
import { fetchNearby, NotFetched } from '../../platform/index.js';

const ACCEPT = 'application/senml+json, application/json, text/plain';
const FAULT: Record<NotFetched['why'], IntakeFault> = { 'not-nearby': 'not-nearby', silent: 'unreachable', 'too-large': 'too-large' };

/** What stands at an address of this network, or why nothing came from there. */
export async function askAt(address: string): Promise<{ text: string } | { fault: IntakeFault }> {
  try {
    return { text: await fetchNearby(address, ACCEPT, LIMITS.poll) };
  } catch (error) {
    if (error instanceof NotFetched) return { fault: FAULT[error.why] };
    throw error;
  }
}
